package phalanx.embellishment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.TuneWriter;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.TunePitches;
import phalanx.technique.Technique;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * Makes a fill of the tune of some bars: from its first note in them to their end, counted by the
 * degrees of the chord they end on.
 */
public final class FillMaker {

  private static final int OCTAVE = 12;

  /** Furthest from the root's octave that a degree can be written. */
  private static final int MOST_OCTAVES = 2;

  private static final List<String> DEGREES =
      List.of("1", "b2", "2", "b3", "3", "4", "b5", "5", "b6", "6", "b7", "7");

  /** Third, sixth and seventh have another form in the other colour. */
  private static final Map<String, String> BLUESY = Map.of("3", "b3", "6", "b7", "7", "b7");

  private static final Map<String, String> MAJOR = Map.of("b3", "3", "b7", "6");

  /** A degree, unless it stands behind a note in brackets or names its string. */
  private static final Pattern DEGREE = Pattern.compile("\\([^)]*\\)|@[1-6]|(b?[1-7])");

  private FillMaker() {}

  /** A fill, or why there is none. */
  public record Result(Optional<Fill> fill, String trouble) {}

  /**
   * Makes a fill.
   *
   * @param bars the bars' identities, one after the other
   * @param chord the last chord in them
   */
  public static Result of(Song song, List<Integer> bars, Chord chord, String name) {
    Timeline timeline = Timeline.of(song);
    List<TuneNote> notes = new ArrayList<>();
    int end = 0;
    for (int bar : bars) {
      BarTune tune = song.tune().at(bar, song.chart());
      if (tune.heldTicks() > 0 && !notes.isEmpty()) {
        TuneNote last = notes.remove(notes.size() - 1);
        notes.add(last.lasting(end + tune.heldTicks() - last.tick()));
      }
      for (TuneNote note : tune.notes()) {
        notes.add(at(note, end + note.tick()));
      }
      end += timeline.lengthOf(bar).orElse(0);
    }
    if (notes.isEmpty()) {
      return no(Texts.of("fillMaker.thereIsNoTune"));
    }
    int first = notes.get(0).tick();
    int beats = (end - first + Ticks.PER_QUARTER - 1) / Ticks.PER_QUARTER;
    int from = end - beats * Ticks.PER_QUARTER;
    if (beats > Fill.MOST_BEATS || from < 0) {
      return no(Texts.of("fillMaker.aFillLastsTo"));
    }
    List<TuneNote> moved = notes.stream().map(n -> at(n, n.tick() - from)).toList();
    return written(song, new BarTune(0, moved), beats, chord, name);
  }

  private static Result no(String why) {
    return new Result(Optional.empty(), why);
  }

  private static TuneNote at(TuneNote note, int tick) {
    return new TuneNote(
        tick, note.lengthTicks(), note.wants(), note.slur(), note.graces(), note.techniques());
  }

  private static Result written(Song song, BarTune run, int beats, Chord chord, String name) {
    boolean harmonics =
        run.notes().stream()
            .flatMap(n -> n.techniques().stream())
            .anyMatch(Technique.NaturalHarmonic.class::isInstance);
    if (harmonics) {
      return no(Texts.of("fillMaker.aNaturalHarmonicSounds"));
    }
    int root = root(song, run, chord);
    boolean far =
        run.notes().stream()
            .flatMap(n -> n.wants().stream())
            .anyMatch(w -> Math.abs(octave(midi(song, w), root)) > MOST_OCTAVES);
    if (far) {
      return no(Texts.of("fillMaker.itsNotesLieMore"));
    }
    String line = TuneWriter.write(run, new Meter(beats, 4), want -> degree(song, want, root));
    // As it is played in the colour it has; in the other a note or two differ.
    boolean bluesy = line.contains("b3") || line.contains("b7") && !line.matches(".*(?<!b)3.*");
    String other = changed(line, bluesy ? MAJOR : BLUESY);
    Map<Fill.Colour, String> lines =
        Map.of(Fill.Colour.MAJOR, bluesy ? other : line, Fill.Colour.BLUESY, bluesy ? line : other);
    Fill fill = new Fill(name, "", beats, lines, Set.of(Fill.Kind.values()));
    return new Result(Optional.of(fill), "");
  }

  /** The chord's root in the octave of the lowest note, or in that below it. */
  private static int root(Song song, BarTune run, Chord chord) {
    int lowest =
        run.notes().stream()
            .flatMap(n -> n.wants().stream())
            .mapToInt(w -> midi(song, w))
            .min()
            .orElseThrow();
    return lowest - Math.floorMod(lowest - chord.root().chroma(), OCTAVE);
  }

  private static int midi(Song song, Want want) {
    return TunePitches.of(song, want).pitch().midi();
  }

  private static int octave(int midi, int root) {
    return Math.floorDiv(midi - root, OCTAVE);
  }

  private static String degree(Song song, Want want, int root) {
    int midi = midi(song, want);
    int octave = octave(midi, root);
    String marks = octave < 0 ? ",".repeat(-octave) : "'".repeat(octave);
    String string =
        TunePitches.of(song, want).string().map(n -> "@" + (Tuning.STRINGS - n)).orElse("");
    return DEGREES.get(Math.floorMod(midi - root, OCTAVE)) + marks + string;
  }

  private static String changed(String line, Map<String, String> changes) {
    Matcher m = DEGREE.matcher(line);
    return m.replaceAll(
        r ->
            Matcher.quoteReplacement(
                r.group(1) == null ? r.group() : changes.getOrDefault(r.group(1), r.group(1))));
  }
}
