package phalanx.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/** The chords that a key has, and those from elsewhere that songs in it borrow most. */
public final class KeyChords {

  /** Qualities players put on a root, the most usual first. */
  static final List<String> QUALITIES =
      List.of("", "m", "7", "m7", "maj7", "sus4", "add9", "6", "m7b5", "dim7", "9", "sus2", "aug");

  /** A root so many semitones above the tonic, and a quality. */
  private record Borrowed(int semitones, String quality) {}

  /**
   * In major: the sevenths that lead to II, IV, V and VI, and IV, VI, VII and III of the parallel
   * minor (common practice, no source).
   */
  private static final List<Borrowed> IN_MAJOR =
      List.of(
          new Borrowed(9, "7"),
          new Borrowed(0, "7"),
          new Borrowed(2, "7"),
          new Borrowed(4, "7"),
          new Borrowed(5, "m"),
          new Borrowed(10, ""),
          new Borrowed(8, ""),
          new Borrowed(3, ""));

  /**
   * In minor: V with its leading note, IV of the melodic scale, the seventh that leads to IV, the
   * diminished one to I, the Neapolitan, and I in major to end on (common practice, no source).
   */
  private static final List<Borrowed> IN_MINOR =
      List.of(
          new Borrowed(7, ""),
          new Borrowed(7, "7"),
          new Borrowed(5, ""),
          new Borrowed(0, "7"),
          new Borrowed(11, "dim7"),
          new Borrowed(1, ""),
          new Borrowed(0, ""));

  private static final Map<Integer, String> TRIADS_ON_MINOR_THIRD = Map.of(6, "dim", 7, "m");
  private static final Map<Integer, String> TRIADS_ON_MAJOR_THIRD = Map.of(7, "", 8, "aug");

  private KeyChords() {}

  /** The triads on the degrees of a key, in order. */
  public static List<Chord> triads(Key key) {
    return onDegrees(key, d -> triad(key, d));
  }

  /** The seventh chords on the degrees of a key, in order. */
  public static List<Chord> sevenths(Key key) {
    return onDegrees(key, d -> seventh(key, d));
  }

  private static List<Chord> onDegrees(Key key, IntFunction<String> quality) {
    return IntStream.range(0, Mode.DEGREES)
        .mapToObj(d -> chord(key.degree(d), quality.apply(d)))
        .flatMap(Optional::stream)
        .toList();
  }

  /** The chords that are written in a chart, each once, in order. */
  public static List<Chord> written(Chart chart) {
    return chart.bars().stream()
        .flatMap(b -> b.changes().stream())
        .map(ChordChange::harmony)
        .filter(Harmony.Sounding.class::isInstance)
        .map(h -> ((Harmony.Sounding) h).chord())
        .distinct()
        .toList();
  }

  /** Those of a chart that are neither a key's own nor often borrowed in it. */
  public static List<Chord> others(Chart chart, Key key) {
    List<Chord> offered = new ArrayList<>(triads(key));
    offered.addAll(sevenths(key));
    offered.addAll(borrowed(key));
    return written(chart).stream().filter(c -> !offered.contains(c)).toList();
  }

  /** Chords from elsewhere, the most usual first; none that the key has itself. */
  public static List<Chord> borrowed(Key key) {
    boolean minor = above(key, 0, 2) == 3;
    List<Chord> own = Stream.concat(triads(key).stream(), sevenths(key).stream()).toList();
    return (minor ? IN_MINOR : IN_MAJOR)
        .stream()
            .map(
                b ->
                    chord(
                        key.nameOf(Math.floorMod(key.tonic().chroma() + b.semitones(), 12)),
                        b.quality()))
            .flatMap(Optional::stream)
            .filter(c -> !own.contains(c))
            .toList();
  }

  /** A chord with the usual qualities on its root, and over the other notes of its triad. */
  public static List<Chord> like(Chord chord) {
    List<Chord> all = new ArrayList<>();
    QUALITIES.forEach(q -> chord(chord.root(), q).ifPresent(all::add));
    Chord plain = chord.withoutSlash();
    plain.notes().stream().skip(1).limit(2).map(plain::over).forEach(all::add);
    all.remove(chord);
    return all;
  }

  private static String triad(Key key, int degree) {
    Map<Integer, String> triads =
        above(key, degree, 2) == 3 ? TRIADS_ON_MINOR_THIRD : TRIADS_ON_MAJOR_THIRD;
    return triads.getOrDefault(above(key, degree, 4), "");
  }

  private static String seventh(Key key, int degree) {
    String triad = triad(key, degree);
    boolean major = above(key, degree, 6) == 11;
    return switch (triad) {
      case "dim" -> above(key, degree, 6) == 9 ? "dim7" : "m7b5";
      case "m" -> major ? "mmaj7" : "m7";
      case "aug" -> "maj7#5";
      default -> major ? "maj7" : "7";
    };
  }

  private static int above(Key key, int degree, int steps) {
    NoteName other = key.degree((degree + steps) % Mode.DEGREES);
    return Interval.between(key.degree(degree), other).chroma();
  }

  static Optional<Chord> chord(NoteName root, String quality) {
    return ChordReader.read(root.ascii() + quality) instanceof ChordReading.Read read
        ? Optional.of(read.chord())
        : Optional.empty();
  }
}
