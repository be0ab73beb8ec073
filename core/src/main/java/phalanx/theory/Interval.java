package phalanx.theory;

/**
 * A spelled interval upward from a root, at most two octaves.
 *
 * @param number 1 for a unison, 3 for a third, 13 for a thirteenth; 1 to 15
 * @param semitones its size in semitones
 */
public record Interval(int number, int semitones) implements Comparable<Interval> {

  public static final Interval UNISON = new Interval(1, 0);

  private static final int[] MAJOR_SCALE = {0, 2, 4, 5, 7, 9, 11};

  public Interval {
    if (number < 1 || number > 15) {
      throw new IllegalArgumentException("interval number out of range: " + number);
    }
  }

  /**
   * The interval of the major scale with this number, altered: {@code of(5, -1)} is the diminished
   * fifth.
   */
  public static Interval of(int number, int alteration) {
    return new Interval(number, natural(number) + alteration);
  }

  /**
   * Reads {@code 5P}, {@code 3m}, {@code 9A}: number, then P perfect, M major, m minor, A
   * augmented, d diminished (repeated for doubly).
   *
   * @throws IllegalArgumentException if the text is none of these
   */
  public static Interval parse(String text) {
    if (!text.matches("\\d{1,2}(P|M|m|A{1,2}|d{1,2})")) {
      throw new IllegalArgumentException("not an interval: " + text);
    }
    String quality = text.replaceAll("\\d", "");
    int number = Integer.parseInt(text.replaceAll("\\D", ""));
    int lowered = isPerfect(number) ? 0 : 1;
    return of(
        number,
        switch (quality.charAt(0)) {
          case 'm' -> -1;
          case 'A' -> quality.length();
          case 'd' -> -quality.length() - lowered;
          default -> 0;
        });
  }

  /** The interval, smaller than an octave, from one note up to another. */
  public static Interval between(NoteName from, NoteName to) {
    int steps = Math.floorMod(to.letter().ordinal() - from.letter().ordinal(), 7);
    int semitones = Math.floorMod(to.chroma() - from.chroma(), 12);
    int alteration = Math.floorMod(semitones - MAJOR_SCALE[steps] + 6, 12) - 6;
    return of(steps + 1, alteration);
  }

  /** Whether it is no step at all. */
  public boolean isUnison() {
    return number == 1 && semitones == 0;
  }

  /** The interval that leads back up to the octave: a fourth for a fifth. */
  public Interval inverted() {
    return of(9 - Math.min(8, number), 0).resized(12 - chroma());
  }

  private Interval resized(int wanted) {
    return new Interval(number, semitones + Math.floorMod(wanted - semitones + 6, 12) - 6);
  }

  private static int natural(int number) {
    return MAJOR_SCALE[(number - 1) % 7] + 12 * ((number - 1) / 7);
  }

  private static boolean isPerfect(int number) {
    int simple = (number - 1) % 7;
    return simple == 0 || simple == 3 || simple == 4;
  }

  /** Scale steps from the root: one less than the number. */
  public int steps() {
    return number - 1;
  }

  /** Semitones within one octave, 0 to 11. */
  public int chroma() {
    return Math.floorMod(semitones, 12);
  }

  /** How far it lies from the major scale's interval of the same number, in semitones. */
  public int alteration() {
    return semitones - natural(number);
  }

  @Override
  public int compareTo(Interval other) {
    return number != other.number
        ? Integer.compare(number, other.number)
        : Integer.compare(semitones, other.semitones);
  }

  /** The short name that {@link #parse} reads. */
  @Override
  public String toString() {
    int alteration = alteration();
    if (alteration > 0) {
      return number + "A".repeat(alteration);
    }
    if (isPerfect(number)) {
      return number + (alteration == 0 ? "P" : "d".repeat(-alteration));
    }
    return number
        + switch (alteration) {
          case 0 -> "M";
          case -1 -> "m";
          default -> "d".repeat(-alteration - 1);
        };
  }
}
