package phalanx.theory;

import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.text.Language;
import phalanx.text.Texts;

/**
 * The key a chart is written in; with a capo, the key of the shapes.
 *
 * @param tonic the tonic
 * @param mode its scale
 */
public record Key(NoteName tonic, Mode mode) {

  private static final String[] NUMERALS = {"I", "II", "III", "IV", "V", "VI", "VII"};
  private static final int[] MAJOR_FIFTHS = {0, 2, 4, -1, 1, 3, 5};

  /** Reads {@code G}, {@code Am}, {@code F# minor}, {@code D dorian}; empty for anything else. */
  public static Optional<Key> parse(String text) {
    return NoteName.atStartOf(text.trim())
        .flatMap(
            p ->
                switch (text.trim().substring(p.length()).trim()) {
                  case "", "maj" -> Optional.of(new Key(p.note(), Mode.MAJOR));
                  case "m", "min" -> Optional.of(new Key(p.note(), Mode.MINOR));
                  default ->
                      Mode.parse(text.trim().substring(p.length())).map(m -> new Key(p.note(), m));
                });
  }

  /** Sharps (positive) or flats (negative) of the key signature. */
  public int fifths() {
    return MAJOR_FIFTHS[tonic.letter().ordinal()] + 7 * tonic.alteration() + mode.fifths();
  }

  /** The note of a degree, 0 for the tonic to 6. */
  public NoteName degree(int degree) {
    return tonic.plus(mode.degree(degree));
  }

  /** Whether a note belongs to the key's scale. */
  public boolean has(NoteName note) {
    return degreeOf(note.chroma()).isPresent();
  }

  /** The degree (0 to 6) a pitch class (0 for C to 11) is of the scale; empty outside it. */
  public OptionalInt degreeOf(int chroma) {
    return IntStream.range(0, Mode.DEGREES).filter(d -> degree(d).chroma() == chroma).findFirst();
  }

  /** Degree and alteration by which each semitone above the tonic is called: ♭2 ♭3 ♯4 ♭6 ♭7. */
  private static final int[][] CHROMATIC = {
    {1, 0}, {2, -1}, {2, 0}, {3, -1}, {3, 0}, {4, 0}, {4, 1}, {5, 0}, {6, -1}, {6, 0}, {7, -1},
    {7, 0}
  };

  /**
   * What a pitch class (0 for C) is called in this key: its own note where it has one, else a
   * natural, else as the harmonic chromatic scale has it (common practice).
   */
  public NoteName nameOf(int chroma) {
    OptionalInt degree = degreeOf(chroma);
    if (degree.isPresent()) {
      return degree(degree.getAsInt());
    }
    return Stream.of(Letter.values())
        .map(l -> new NoteName(l, 0))
        .filter(n -> n.chroma() == chroma)
        .findFirst()
        .orElseGet(
            () -> tonic.plus(chromatic(Math.floorMod(chroma - tonic.chroma(), 12))).simplified());
  }

  private static Interval chromatic(int semitones) {
    return Interval.of(CHROMATIC[semitones][0], CHROMATIC[semitones][1]);
  }

  /** The same scale on the same tonic an interval higher. */
  public Key up(Interval interval) {
    return new Key(tonic.plus(interval).simplified(), mode);
  }

  /** The interval up by semitones (0 to 11) that gives the key with the fewest accidentals. */
  public Interval intervalUp(int semitones) {
    return IntStream.rangeClosed(1, 7)
        .mapToObj(number -> new Interval(number, semitones))
        .filter(i -> Math.abs(i.alteration()) <= 1)
        .min(Comparator.comparingInt(i -> Math.abs(up(i).fifths())))
        .orElse(Interval.UNISON);
  }

  /**
   * The roman numeral of a chord: upper case with a major third, lower with a minor one, ♭ or ♯ for
   * a root outside the key, the rest of the symbol behind it, and the figure of an inversion.
   */
  public String numeral(Chord chord) {
    int step = Math.floorMod(chord.root().letter().ordinal() - tonic.letter().ordinal(), 7);
    int natural = degree(step).chroma();
    int off = Math.floorMod(chord.root().chroma() - natural + 6, 12) - 6;
    boolean minorThird = chord.intervals().contains(Interval.of(3, -1));
    String numeral = minorThird ? NUMERALS[step].toLowerCase(Locale.ROOT) : NUMERALS[step];
    String sign = off < 0 ? "♭".repeat(-off) : "♯".repeat(off);
    return sign + numeral + figures(chord);
  }

  /** The numeral of a degree (0 to 6) with the third its own scale gives it. */
  String degreeNumeral(int degree) {
    Interval third = Interval.between(degree(degree), degree((degree + 2) % Mode.DEGREES));
    return third.chroma() == 3 ? NUMERALS[degree].toLowerCase(Locale.ROOT) : NUMERALS[degree];
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

  /** Quality and inversion; of a seventh chord they are one figure: ⁷, ⁶₅, ⁴₃, ⁴₂. */
  private static String figures(Chord chord) {
    Optional<String> stem = seventh(chord.suffix());
    int bass =
        chord.slash().flatMap(b -> chord.intervalOf(b.chroma())).map(Interval::number).orElse(0);
    if (stem.isPresent() && (bass == 3 || bass == 5 || bass == 7)) {
      return stem.get() + (bass == 3 ? "⁶₅" : bass == 5 ? "⁴₃" : "⁴₂");
    }
    return quality(chord) + inversion(chord);
  }

  /** What stands before the figure of a plain seventh chord; empty for every other one. */
  private static Optional<String> seventh(String suffix) {
    return switch (suffix) {
      case "7", "m7" -> Optional.of("");
      case "maj7", "mmaj7", "m(maj7)" -> Optional.of("maj");
      case "m7b5" -> Optional.of("ø");
      case "dim7" -> Optional.of("°");
      default -> Optional.empty();
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
    return NoteNaming.ENGLISH.name(tonic) + (mode == Mode.MAJOR ? "" : " " + mode.words());
  }

  /**
   * As a player says it: {@code G}, {@code A minor}, {@code D Dorian}; in German {@code G-Dur},
   * {@code a-Moll}, where minor keys are written small.
   */
  public String text(NoteNaming naming) {
    String name = naming.name(tonic);
    return switch (mode) {
      case MAJOR -> Texts.of("key.major", name);
      case MINOR -> Texts.of("key.minor", isGerman() ? small(name) : name);
      default -> Texts.of("key.inMode", name, mode.title());
    };
  }

  private static boolean isGerman() {
    return Language.spoken() == Language.GERMAN;
  }

  private static String small(String name) {
    return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }
}
