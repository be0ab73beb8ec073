package phalanx.theory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.text.Texts;

/**
 * Where notes that are foreign to a key come from: a chord that leads to a degree of the key, or
 * another scale on the same tonic. Which scales are named first is common practice, no source.
 *
 * @param foreign the notes outside the key
 * @param leadsTo the degree the chord is a dominant of, 0 to 6, if it is one
 * @param scales the scales on the same tonic that have all the notes, the likeliest first
 * @param key the key they are foreign to
 */
public record Borrowing(
    List<NoteName> foreign, Optional<Integer> leadsTo, List<Mode> scales, Key key) {

  /** Scales a player thinks of together, nearest first: the first row that serves is the answer. */
  private static final List<List<Mode>> FROM_MAJOR =
      List.of(
          List.of(Mode.MAJOR, Mode.MIXOLYDIAN, Mode.MINOR, Mode.LYDIAN),
          List.of(Mode.DORIAN, Mode.HARMONIC_MINOR),
          List.of(Mode.PHRYGIAN, Mode.MELODIC_MINOR),
          List.of(Mode.LOCRIAN));

  private static final List<List<Mode>> FROM_MINOR =
      List.of(
          List.of(Mode.MINOR, Mode.DORIAN, Mode.HARMONIC_MINOR),
          List.of(Mode.MELODIC_MINOR, Mode.PHRYGIAN),
          List.of(Mode.MAJOR, Mode.MIXOLYDIAN),
          List.of(Mode.LYDIAN, Mode.LOCRIAN));

  public Borrowing {
    foreign = List.copyOf(foreign);
    scales = List.copyOf(scales);
  }

  /** Where a chord's foreign notes come from; empty for a chord of the key. */
  public static Optional<Borrowing> of(Key key, Chord chord) {
    List<NoteName> notes = new ArrayList<>(chord.notes());
    chord.slash().filter(b -> chord.intervalOf(b.chroma()).isEmpty()).ifPresent(notes::add);
    return of(key, notes).map(b -> new Borrowing(b.foreign, b.dominantOf(chord), b.scales, key));
  }

  /** Where notes come from; empty if all belong to the key. */
  public static Optional<Borrowing> of(Key key, List<NoteName> notes) {
    List<NoteName> foreign = notes.stream().filter(n -> !key.has(n)).toList();
    if (foreign.isEmpty()) {
      return Optional.empty();
    }
    List<Mode> scales =
        (key.mode().hasMinorThird() ? FROM_MINOR : FROM_MAJOR)
            .stream()
                .map(row -> row.stream().filter(m -> serves(key, m, notes)).toList())
                .filter(row -> !row.isEmpty())
                .findFirst()
                .orElse(List.of());
    return Optional.of(new Borrowing(foreign, Optional.empty(), scales, key));
  }

  private static boolean serves(Key key, Mode mode, List<NoteName> notes) {
    Key other = new Key(key.tonic(), mode);
    return mode != key.mode() && notes.stream().allMatch(other::has);
  }

  /**
   * A major triad on a degree of the key, made dominant by a foreign third or minor seventh.
   * Without a seventh it counts only where no usual scale has it.
   */
  private Optional<Integer> dominantOf(Chord chord) {
    Interval third = Interval.of(3, 0);
    Interval seventh = Interval.of(7, -1);
    List<Interval> has = chord.intervals();
    boolean leads =
        has.contains(third)
            && (foreign.contains(chord.root().plus(third))
                || foreign.contains(chord.root().plus(seventh)))
            && (has.contains(seventh) || !isUsual());
    if (!leads || !key.has(chord.root())) {
      return Optional.empty();
    }
    NoteName target = chord.root().plus(Interval.of(4, 0));
    return IntStream.range(1, Mode.DEGREES)
        .filter(d -> key.degree(d).chroma() == target.chroma() && hasPerfectFifth(key, d))
        .boxed()
        .findFirst();
  }

  private boolean isUsual() {
    List<Mode> usual = (key.mode().hasMinorThird() ? FROM_MINOR : FROM_MAJOR).get(0);
    return usual.containsAll(scales) && !scales.isEmpty();
  }

  private static boolean hasPerfectFifth(Key key, int degree) {
    NoteName fifth = key.degree((degree + 4) % Mode.DEGREES);
    return Interval.between(key.degree(degree), fifth).chroma() == 7;
  }

  /** In a player's words: {@code from Mixolydian or the parallel minor}, {@code V of ii}. */
  public String words() {
    List<String> ways = new ArrayList<>();
    leadsTo.ifPresent(d -> ways.add(Texts.of("borrowing.vOf", key.degreeNumeral(d))));
    String from =
        scales.stream().map(this::scaleWords).collect(Collectors.joining(Texts.of("borrowing.or")));
    if (!from.isEmpty()) {
      ways.add(Texts.of("borrowing.from", from));
    }
    return ways.isEmpty()
        ? Texts.of("borrowing.foreignToTheKey")
        : String.join(Texts.of("borrowing.or2"), ways);
  }

  private String scaleWords(Mode mode) {
    boolean parallel = mode == Mode.MINOR || mode == Mode.MAJOR;
    return parallel ? Texts.of("borrowing.theParallel", mode.title()) : mode.title();
  }
}
