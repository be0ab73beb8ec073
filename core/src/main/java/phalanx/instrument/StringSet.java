package phalanx.instrument;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;
import phalanx.theory.Pitch;

/**
 * A set of six strings by what they weigh.
 *
 * <p>Unit weights of plain steel and phosphor bronze as string makers publish them, in pounds an
 * inch, from memory; no maker is meant. Nylon sets as the round pulls that are usual at 650 mm,
 * from memory, and from these the weights. Wound from string ③ on steel, from ④ on nylon.
 */
public enum StringSet {
  /** 0.012 to 0.053 inch. */
  STEEL_LIGHT(
      "steel-light",
      Texts.of("stringSet.lightSteelToMm"),
      648,
      pounds(0.00056962, 0.00036722, 0.00021018, 0.00011682, 0.00005671, 0.00003190)),
  /** 0.013 to 0.056 inch. */
  STEEL_MEDIUM(
      "steel-medium",
      Texts.of("stringSet.mediumSteelToMm"),
      648,
      pounds(0.00063477, 0.00041751, 0.00025365, 0.00013640, 0.00006402, 0.00003744)),
  NYLON_NORMAL(
      "nylon-normal",
      Texts.of("stringSet.nylonNormalPull"),
      650,
      pulls(6.4, 7.1, 7.0, 5.5, 5.2, 6.9)),
  NYLON_HARD(
      "nylon-hard", Texts.of("stringSet.nylonHardPull"), 650, pulls(6.8, 7.5, 7.4, 5.8, 5.6, 7.3));

  /** Newtons a kilogram-force. Source: standard gravity, 3rd CGPM 1901. */
  public static final double NEWTONS_PER_KGF = 9.80665;

  private static final double KG_PER_M = 17.857967;
  private static final double NYLON_SCALE = 650;

  private final String word;
  private final String words;
  private final double madeForScale;
  private final double[] weights;

  StringSet(String word, String words, double madeForScale, double[] weights) {
    this.word = word;
    this.words = words;
    this.madeForScale = madeForScale;
    this.weights = weights;
  }

  private static double[] pounds(double... perInch) {
    return Arrays.stream(perInch).map(w -> w * KG_PER_M).toArray();
  }

  private static double[] pulls(double... kgf) {
    double[] weights = new double[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double speed = 2 * NYLON_SCALE / 1000 * Pitch.frequency(Tuning.STANDARD.midi(s), Pitch.A4_HZ);
      weights[s] = kgf[s] * NEWTONS_PER_KGF / (speed * speed);
    }
    return weights;
  }

  /** What it is called on the command line. */
  public String word() {
    return word;
  }

  /** What it is, for a player. */
  public String words() {
    return words;
  }

  /** The set of a word of the command line. */
  public static Optional<StringSet> of(String word) {
    return Stream.of(values()).filter(s -> s.word.equals(word)).findFirst();
  }

  /** The usual set of a guitar's build. */
  public static StringSet usual(Guitar guitar) {
    return guitar.build().equals(Guitar.STEEL) ? STEEL_LIGHT : NYLON_NORMAL;
  }

  /** Mass of a metre of a string (0 for ⑥ to 5 for ①), kg. */
  public double kilogramsPerMetre(int string) {
    return weights[string];
  }

  /**
   * How hard a string pulls, newtons: T = μ·(2·L·f)², the ideal string's (Mersenne's law).
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param hz its pitch when open
   * @param scaleLength from nut to bridge, mm
   */
  public double newtons(int string, double hz, double scaleLength) {
    double speed = 2 * scaleLength / 1000 * hz;
    return weights[string] * speed * speed;
  }

  /**
   * The pull a string is made for: in standard tuning on the scale the set is usual on, newtons.
   */
  public double madeFor(int string) {
    double hz = Pitch.frequency(Tuning.STANDARD.midi(string), Pitch.A4_HZ);
    return newtons(string, hz, madeForScale);
  }
}
