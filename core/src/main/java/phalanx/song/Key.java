package phalanx.song;

import java.util.Optional;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.NoteName;

/**
 * The key a chart is written in; with a capo, the key of the shapes.
 *
 * @param tonic the tonic
 * @param minor whether it is a minor key
 */
public record Key(NoteName tonic, boolean minor) {

  private static final String[] NUMERALS = {"I", "II", "III", "IV", "V", "VI", "VII"};
  private static final int[] MAJOR_FIFTHS = {0, 2, 4, -1, 1, 3, 5};

  /** Reads {@code G}, {@code Am} or {@code F# minor}; empty for anything else. */
  public static Optional<Key> parse(String text) {
    return NoteName.atStartOf(text.trim())
        .flatMap(
            p ->
                switch (text.trim().substring(p.length()).trim()) {
                  case "", "major", "maj" -> Optional.of(new Key(p.note(), false));
                  case "m", "min", "minor" -> Optional.of(new Key(p.note(), true));
                  default -> Optional.empty();
                });
  }

  /** Sharps (positive) or flats (negative) of the key signature. */
  public int fifths() {
    int major = MAJOR_FIFTHS[tonic.letter().ordinal()] + 7 * tonic.alteration();
    return minor ? major - 3 : major;
  }

  /**
   * The roman numeral of a chord: upper case with a major third, lower with a minor one, ♭ or ♯ for
   * a root outside the key, the rest of the symbol behind it, and the figure of an inversion.
   */
  public String numeral(Chord chord) {
    int step = Math.floorMod(chord.root().letter().ordinal() - tonic.letter().ordinal(), 7);
    int natural = diatonic(step).chroma();
    int off = Math.floorMod(chord.root().chroma() - natural + 6, 12) - 6;
    boolean minorThird = chord.intervals().contains(Interval.of(3, -1));
    String numeral = minorThird ? NUMERALS[step].toLowerCase() : NUMERALS[step];
    String sign = off < 0 ? "♭".repeat(-off) : "♯".repeat(off);
    return sign + numeral + quality(chord) + inversion(chord);
  }

  private NoteName diatonic(int step) {
    boolean lowered = minor && (step == 2 || step == 5 || step == 6);
    return tonic.plus(Interval.of(step + 1, lowered ? -1 : 0));
  }

  private static String quality(Chord chord) {
    String suffix = chord.suffix().replaceFirst("^m(?!aj)", "");
    return switch (suffix) {
      case "" -> "";
      case "dim" -> "°";
      case "dim7" -> "°⁷";
      case "7b5" -> chord.suffix().equals("m7b5") ? "ø⁷" : "⁷♭⁵";
      case "7" -> "⁷";
      case "6" -> "⁶";
      case "9" -> "⁹";
      default -> chord.withoutSlash().toString().substring(chord.root().toString().length());
    };
  }

  private static String inversion(Chord chord) {
    return chord
        .slash()
        .map(
            bass ->
                switch (chord.intervalOf(bass.chroma()).map(Interval::number).orElse(0)) {
                  case 3 -> "⁶";
                  case 5 -> "⁶₄";
                  default -> "/" + bass;
                })
        .orElse("");
  }

  @Override
  public String toString() {
    return tonic + (minor ? " minor" : "");
  }
}
