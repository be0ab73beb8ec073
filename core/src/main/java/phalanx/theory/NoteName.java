package phalanx.theory;

import java.util.Optional;

/**
 * A spelled note without its octave, such as B♭ or F♯.
 *
 * @param letter the letter
 * @param alteration semitones sharp (positive) or flat (negative), -3 to 3
 * @throws IllegalArgumentException if the alteration is out of range
 */
public record NoteName(Letter letter, int alteration) {

  /** Alterations beyond a triple sharp or flat have no use in chord names. */
  private static final int MOST_ALTERED = 3;

  public NoteName {
    if (Math.abs(alteration) > MOST_ALTERED) {
      throw new IllegalArgumentException("alteration out of range: " + alteration);
    }
  }

  /**
   * Reads a note name at the start of a text: a capital letter and its accidentals, which may be
   * written ♯ ♭ # b or x.
   *
   * @return the note and how many characters it took, or empty where no note stands
   */
  public static Optional<Prefix> atStartOf(String text) {
    if (text.isEmpty() || "CDEFGAB".indexOf(text.charAt(0)) < 0) {
      return Optional.empty();
    }
    return withAccidentals(Letter.valueOf(text.substring(0, 1)), 0, text, 1);
  }

  /** Reads the accidentals that stand in a text from a place on. */
  static Optional<Prefix> withAccidentals(Letter letter, int altered, String text, int from) {
    int alteration = altered;
    int end = from;
    while (end < text.length() && Math.abs(alteration) < MOST_ALTERED) {
      int step = accidental(text.charAt(end));
      if (step == 0 || alteration * step < 0) {
        break;
      }
      alteration += step;
      end++;
    }
    return Optional.of(new Prefix(new NoteName(letter, alteration), end));
  }

  private static int accidental(char sign) {
    return switch (sign) {
      case '#', '♯' -> 1;
      case 'b', '♭' -> -1;
      default -> 0;
    };
  }

  /** Reads a whole text as a note name; empty if anything else stands in it. */
  public static Optional<NoteName> parse(String text) {
    return atStartOf(text).filter(p -> p.length() == text.length()).map(Prefix::note);
  }

  /** The pitch class: semitones above C, 0 to 11. */
  public int chroma() {
    return Math.floorMod(letter.semitones() + alteration, 12);
  }

  /**
   * The note an interval higher, spelled by the interval's number: D♭ and a minor seventh is C♭.
   * Where that would take more than three accidentals it is spelled by its sound: a ninth raised
   * above F♯♯♯ is B.
   */
  public NoteName plus(Interval interval) {
    Letter target = letter.plus(interval.steps());
    int distance = Math.floorMod(target.semitones() - letter.semitones(), 12);
    int wanted = Math.floorMod(interval.semitones() + alteration, 12);
    int change = Math.floorMod(wanted - distance + 6, 12) - 6;
    return Math.abs(change) <= MOST_ALTERED
        ? new NoteName(target, change)
        : bySound(target, change);
  }

  /** The same sound with at most one accidental: G for F♯♯, kept as it is otherwise. */
  public NoteName simplified() {
    return Math.abs(alteration) <= 1 ? this : bySound(letter, alteration);
  }

  private static NoteName bySound(Letter letter, int alteration) {
    int chroma = Math.floorMod(letter.semitones() + alteration, 12);
    for (Letter other : Letter.values()) {
      if (other.semitones() == chroma) {
        return new NoteName(other, 0);
      }
    }
    int step = alteration > 0 ? 1 : -1;
    Letter near = letter;
    while (Math.floorMod(near.semitones() + step, 12) != chroma) {
      near = near.plus(step);
    }
    return new NoteName(near, step);
  }

  /** The name in plain characters, {@code Bb} or {@code F#}, for files and the command line. */
  public String ascii() {
    return letter + (alteration < 0 ? "b".repeat(-alteration) : "#".repeat(alteration));
  }

  /** The name with music signs, {@code B♭} or {@code F♯}, for screens. */
  @Override
  public String toString() {
    return letter + signs(alteration);
  }

  /** Sharps or flats as music signs. */
  static String signs(int alteration) {
    return alteration < 0 ? "♭".repeat(-alteration) : "♯".repeat(alteration);
  }

  /**
   * A note found at the start of a longer text.
   *
   * @param note the note
   * @param length characters it takes
   */
  public record Prefix(NoteName note, int length) {}
}
