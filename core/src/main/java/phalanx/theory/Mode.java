package phalanx.theory;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;

/** A seven-note scale, by how its degrees differ from the major scale on the same tonic. */
public enum Mode {
  MAJOR("major", 0, 0, 0, 0, 0, 0, 0, 0),
  MINOR("minor", -3, 0, 0, -1, 0, 0, -1, -1),
  DORIAN("Dorian", -2, 0, 0, -1, 0, 0, 0, -1),
  PHRYGIAN("Phrygian", -4, 0, -1, -1, 0, 0, -1, -1),
  LYDIAN("Lydian", 1, 0, 0, 0, 1, 0, 0, 0),
  MIXOLYDIAN("Mixolydian", -1, 0, 0, 0, 0, 0, 0, -1),
  LOCRIAN("Locrian", -5, 0, -1, -1, 0, -1, -1, -1),
  /** Minor with a raised seventh; written with the signature of minor. */
  HARMONIC_MINOR("harmonic minor", -3, 0, 0, -1, 0, 0, -1, 0),
  /** Minor with raised sixth and seventh; written with the signature of minor. */
  MELODIC_MINOR("melodic minor", -3, 0, 0, -1, 0, 0, 0, 0);

  /** Degrees of a scale. */
  public static final int DEGREES = 7;

  private final String words;
  private final int fifths;
  private final int[] alterations;

  Mode(String words, int fifths, int... alterations) {
    this.words = words;
    this.fifths = fifths;
    this.alterations = alterations;
  }

  /** What it is called in files, and by players who speak English. */
  public String words() {
    return words;
  }

  /** What players call it, in the language spoken. */
  public String title() {
    return switch (this) {
      case MAJOR -> Texts.of("mode.major");
      case MINOR -> Texts.of("mode.minor");
      case DORIAN -> Texts.of("mode.dorian");
      case PHRYGIAN -> Texts.of("mode.phrygian");
      case LYDIAN -> Texts.of("mode.lydian");
      case MIXOLYDIAN -> Texts.of("mode.mixolydian");
      case LOCRIAN -> Texts.of("mode.locrian");
      case HARMONIC_MINOR -> Texts.of("mode.harmonicMinor");
      case MELODIC_MINOR -> Texts.of("mode.melodicMinor");
    };
  }

  /** Reads what {@link #words} says, in any case; empty for anything else. */
  public static Optional<Mode> parse(String text) {
    return Stream.of(values()).filter(m -> m.words.equalsIgnoreCase(text.trim())).findFirst();
  }

  /** Sharps (positive) or flats its signature has more than major's on the same tonic. */
  int fifths() {
    return fifths;
  }

  /** The interval of a degree (0 for the tonic to 6) above the tonic. */
  public Interval degree(int degree) {
    return Interval.of(degree + 1, alterations[degree]);
  }

  /** Whether its third is minor. */
  public boolean hasMinorThird() {
    return alterations[2] < 0;
  }

  /** Whether it is one of the seven modes, which have a signature of their own. */
  public boolean hasSignature() {
    return this != HARMONIC_MINOR && this != MELODIC_MINOR;
  }
}
