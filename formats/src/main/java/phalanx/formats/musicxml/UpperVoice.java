package phalanx.formats.musicxml;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.formats.Texts;
import phalanx.text.Phrase;

/**
 * The voice of a part that lies highest for most of its time. Where it is not written in a measure,
 * as in files that name voices anew from bar to bar, the highest there takes its place.
 */
final class UpperVoice {

  /** Of two voices that share the top this much it is not clear which one is the tune. */
  private static final double SHARED = 0.4;

  /** A voice as it is told apart from others; the staff counts only where names come twice. */
  private record Key(int staff, String name) {

    private String words(boolean byStaff) {
      return byStaff
          ? Texts.of("upperVoice.staffVoice", staff, name)
          : Texts.of("upperVoice.voice", name);
    }
  }

  private final boolean byStaff;
  private final Map<Key, Long> highest = new LinkedHashMap<>();
  private final Map<String, Key> voices = new TreeMap<>();
  private final Optional<Key> own;
  private final Optional<Key> upper;

  private UpperVoice(List<MeasureReader.Content> measures, Optional<String> chosen) {
    byStaff = measures.stream().anyMatch(UpperVoice::hasOneNameTwice);
    for (MeasureReader.Content measure : measures) {
      Map<Key, TreeMap<Integer, ScoreNote>> lines = lines(measure);
      lines.keySet().forEach(k -> voices.put(k.words(byStaff), k));
      top(lines).ifPresent(k -> highest.merge(k, time(lines.get(k)), Long::sum));
    }
    own = chosen.map(voices::get);
    upper = own.or(this::highest);
  }

  private Optional<Key> highest() {
    return highest.entrySet().stream()
        .max(Map.Entry.<Key, Long>comparingByValue().thenComparing(e -> -e.getKey().staff()))
        .map(Map.Entry::getKey);
  }

  /**
   * The upper voice of a part.
   *
   * @param chosen another of its voices, as {@link #voices()} calls it
   */
  static UpperVoice of(List<MeasureReader.Content> measures, Optional<String> chosen) {
    return new UpperVoice(measures, chosen);
  }

  /** The names of the part’s voices, in order. */
  List<String> voices() {
    return List.copyOf(voices.keySet());
  }

  /** Whether the player chose the voice. */
  boolean isChosen() {
    return own.isPresent();
  }

  /** Whether a name is used on two staves at once, so that it is two voices. */
  private static boolean hasOneNameTwice(MeasureReader.Content measure) {
    Map<String, Map<Integer, int[]>> spans = new HashMap<>();
    for (ScoreNote note : measure.notes()) {
      int[] span =
          spans
              .computeIfAbsent(note.voice(), v -> new HashMap<>())
              .computeIfAbsent(note.staff(), s -> new int[] {Integer.MAX_VALUE, 0});
      span[0] = Math.min(span[0], note.tick());
      span[1] = Math.max(span[1], note.endTick());
    }
    return spans.values().stream()
        .map(s -> List.copyOf(s.values()))
        .anyMatch(s -> s.size() > 1 && s.get(0)[0] < s.get(1)[1] && s.get(1)[0] < s.get(0)[1]);
  }

  private Key key(ScoreNote note) {
    return new Key(byStaff ? note.staff() : 1, note.voice());
  }

  /** The highest note of each voice at each time it strikes. */
  private Map<Key, TreeMap<Integer, ScoreNote>> lines(MeasureReader.Content measure) {
    Map<Key, TreeMap<Integer, ScoreNote>> lines = new LinkedHashMap<>();
    for (ScoreNote note : measure.notes()) {
      if (note.pitch().isPresent() && !note.isGrace()) {
        lines
            .computeIfAbsent(key(note), k -> new TreeMap<>())
            .merge(note.tick(), note, (a, b) -> midi(b) > midi(a) ? b : a);
      }
    }
    return lines;
  }

  private static int midi(ScoreNote note) {
    return note.pitch().orElseThrow().midi();
  }

  private static long time(TreeMap<Integer, ScoreNote> line) {
    return line.values().stream().mapToLong(ScoreNote::lengthTicks).sum();
  }

  private static double height(TreeMap<Integer, ScoreNote> line) {
    double sum = 0;
    for (ScoreNote note : line.values()) {
      sum += (double) midi(note) * note.lengthTicks();
    }
    return sum / time(line);
  }

  private static Optional<Key> top(Map<Key, TreeMap<Integer, ScoreNote>> lines) {
    return lines.entrySet().stream()
        .max(
            Comparator.<Map.Entry<Key, TreeMap<Integer, ScoreNote>>>comparingDouble(
                    e -> height(e.getValue()))
                .thenComparing(e -> -e.getKey().staff()))
        .map(Map.Entry::getKey);
  }

  /** The notes and rests of the voice in a measure. */
  List<ScoreNote> in(MeasureReader.Content measure) {
    Set<Key> there = new HashSet<>();
    measure.notes().forEach(n -> there.add(key(n)));
    Optional<Key> mine =
        own.isPresent() ? own : upper.filter(there::contains).or(() -> top(lines(measure)));
    return measure.notes().stream().filter(n -> mine.equals(Optional.of(key(n)))).toList();
  }

  /** Says which voice was taken where another lies as high for much of the time. */
  Optional<String> doubt() {
    List<Long> times = highest.values().stream().sorted(Comparator.reverseOrder()).toList();
    boolean shared = own.isEmpty() && times.size() > 1 && times.get(1) > SHARED * times.get(0);
    String words = Texts.of("upperVoice.twoVoicesTakeTurns");
    return upper.filter(k -> shared).map(k -> Phrase.of(words, k.name()));
  }
}
