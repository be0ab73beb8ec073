package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePart;
import org.audiveris.proxymusic.ScorePartwise;
import phalanx.formats.TuneSources;

/**
 * Which part of a score carries the tune: one that says so by its name or has the chord symbols,
 * else one that sounds for most of the piece, high, and one note at a time. The weights are judged.
 */
final class TunePart {

  private static final int OCTAVE = 12;

  /** So much of a part stands in another that is its tablature. */
  private static final double SAME = 0.7;

  private final ScorePartwise score;
  private final Map<ScorePartwise.Part, Double> scores =
      new TreeMap<>(Comparator.comparingInt(this::place));

  TunePart(ScorePartwise score) {
    this.score = score;
    List<ScorePartwise.Part> parts = pitched();
    int most = parts.stream().mapToInt(TunePart::measuresThatSound).max().orElse(1);
    for (ScorePartwise.Part part : parts) {
      scores.put(part, rate(part, most));
    }
  }

  private int place(ScorePartwise.Part part) {
    return score.getPart().indexOf(part);
  }

  private List<ScorePartwise.Part> pitched() {
    return score.getPart().stream()
        .filter(p -> notes(p).stream().anyMatch(ScoreNote::isPitched))
        .toList();
  }

  private static List<Note> notes(ScorePartwise.Part part) {
    List<Note> notes = new ArrayList<>();
    part.getMeasure()
        .forEach(
            m ->
                m.getNoteOrBackupOrForward().stream()
                    .filter(Note.class::isInstance)
                    .map(Note.class::cast)
                    .forEach(notes::add));
    return notes;
  }

  private static int measuresThatSound(ScorePartwise.Part part) {
    return (int)
        part.getMeasure().stream()
            .filter(
                m ->
                    m.getNoteOrBackupOrForward().stream()
                        .anyMatch(o -> o instanceof Note n && ScoreNote.isPitched(n)))
            .count();
  }

  private static double rate(ScorePartwise.Part part, int most) {
    List<Note> notes = notes(part);
    double height = 0;
    int pitched = 0;
    int together = 0;
    int lyrics = 0;
    for (Note note : notes) {
      if (ScoreNote.isPitched(note) && ScoreNote.isHeard(note)) {
        pitched++;
        height += OCTAVE * note.getPitch().getOctave() + note.getPitch().getStep().ordinal();
        together += note.getChord() == null ? 0 : 1;
        lyrics += note.getLyric().isEmpty() ? 0 : 1;
      }
    }
    if (pitched == 0) {
      return -100;
    }
    boolean chords =
        part.getMeasure().stream()
            .anyMatch(
                m -> m.getNoteOrBackupOrForward().stream().anyMatch(Harmony.class::isInstance));
    String name = name(part).toLowerCase(Locale.ROOT);
    boolean says =
        name.matches(
            ".*\\b(tune|melody|vocals?|voice|lead|solo|sopran\\w*|chant|song|cantus)\\b.*");
    boolean denies =
        name.matches(
            ".*\\b(bass|contrabass|drums?|timpani|percussion|tuba|cello\\w*|accomp\\w*)\\b.*");
    double sounding = (double) measuresThatSound(part) / most;
    return (says ? 3 : 0)
        + (lyrics * 3 > pitched ? 3 : 0)
        + (chords ? 4 : 0)
        - (denies ? 3 : 0)
        + 4 * sounding
        + height / pitched / OCTAVE
        - (double) together / pitched;
  }

  /** What a part is called. */
  private static String name(ScorePartwise.Part part) {
    if (part.getId() instanceof ScorePart listed
        && listed.getPartName() != null
        && listed.getPartName().getValue() != null
        && !listed.getPartName().getValue().isBlank()) {
      return listed.getPartName().getValue().strip().replaceAll("\\s+", " ");
    }
    return part.getId() instanceof ScorePart listed ? listed.getId() : "part";
  }

  /**
   * The likeliest, or its tablature where that stands in a part of its own; the first with measures
   * where nothing sounds.
   */
  Optional<ScorePartwise.Part> likeliest() {
    return best().map(this::tablature);
  }

  /** The part that has the notes of another with their strings and frets; else that one. */
  private ScorePartwise.Part tablature(ScorePartwise.Part part) {
    if (isTablature(part)) {
      return part;
    }
    Set<String> notes = tones(part);
    return scores.keySet().stream()
        .filter(p -> p != part && isTablature(p))
        .filter(
            p -> {
              Set<String> there = tones(p);
              return notes.stream().filter(there::contains).count() >= SAME * notes.size();
            })
        .findFirst()
        .orElse(part);
  }

  private static boolean isTablature(ScorePartwise.Part part) {
    List<Note> heard = notes(part).stream().filter(ScoreNote::isPitched).toList();
    long placed = heard.stream().filter(ScoreNote::isPlaced).count();
    return !heard.isEmpty() && placed >= SAME * heard.size();
  }

  /** What sounds in each measure, octaves aside: a tablature is not always written in the same. */
  private static Set<String> tones(ScorePartwise.Part part) {
    Set<String> tones = new HashSet<>();
    for (int m = 0; m < part.getMeasure().size(); m++) {
      for (Object item : part.getMeasure().get(m).getNoteOrBackupOrForward()) {
        if (item instanceof Note n && ScoreNote.isPitched(n)) {
          tones.add(m + ":" + n.getPitch().getStep() + n.getPitch().getAlter());
        }
      }
    }
    return tones;
  }

  private Optional<ScorePartwise.Part> best() {
    return scores.entrySet().stream()
        .max(
            Map.Entry.<ScorePartwise.Part, Double>comparingByValue()
                .thenComparing(e -> -place(e.getKey())))
        .map(Map.Entry::getKey)
        .or(() -> score.getPart().stream().filter(p -> !p.getMeasure().isEmpty()).findFirst());
  }

  /** The names of all parts that sound, each once, in the order of the score. */
  List<String> names() {
    return TuneSources.apart(scores.keySet().stream().map(TunePart::name).toList());
  }

  /** What this list calls a part. */
  String nameOf(ScorePartwise.Part part) {
    int at = List.copyOf(scores.keySet()).indexOf(part);
    return at < 0 ? name(part) : names().get(at);
  }

  /** A part and one of its voices, if that is named too. */
  record Chosen(ScorePartwise.Part part, Optional<String> voice) {}

  /** What a name stands for: a part, or a voice of one, as {@link TuneSources#voice} puts it. */
  Optional<Chosen> called(String name) {
    List<String> names = names();
    for (int p = 0; p < names.size(); p++) {
      ScorePartwise.Part part = List.copyOf(scores.keySet()).get(p);
      if (name.equals(names.get(p))) {
        return Optional.of(new Chosen(part, Optional.empty()));
      }
      String front = TuneSources.voice(names.get(p), "");
      if (name.startsWith(front) && !names.contains(name)) {
        return Optional.of(new Chosen(part, Optional.of(name.substring(front.length()))));
      }
    }
    return Optional.empty();
  }
}
