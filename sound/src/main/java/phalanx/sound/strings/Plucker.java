package phalanx.sound.strings;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * What leaves the string: the softer, the rounder the bend it leaves, the darker the sound. The
 * figures order what players hear (common practice, no source).
 */
public enum Plucker {
  FLESH("flesh", 1500, 0.006, 150),
  FINGERTIP("fingertip", 2400, 0.010, 125),
  NAIL("nail", 4200, 0.022, 125),
  PICK("pick", 7000, 0.035, 125);

  private final String word;
  private final double roundedHz;
  private final double scrape;
  private final double usualPlace;

  Plucker(String word, double roundedHz, double scrape, double usualPlace) {
    this.word = word;
    this.roundedHz = roundedHz;
    this.scrape = scrape;
    this.usualPlace = usualPlace;
  }

  /** Its word on the command line and on the screen. */
  public String word() {
    return word;
  }

  /** The one of a word. */
  public static Optional<Plucker> worded(String word) {
    return Stream.of(values()).filter(p -> p.word.equals(word)).findFirst();
  }

  /** Above this the bend is rounded off, Hz. A stronger pluck is brighter, not only louder. */
  double roundedHz(double strength) {
    return roundedHz * Math.pow(strength, 0.9);
  }

  /** How much of the noise of leaving is in it, against the pluck. */
  double scrape() {
    return scrape;
  }

  /** Where it usually plucks, mm from the bridge: a thumb lies farther from it than fingers. */
  double usualPlace() {
    return usualPlace;
  }
}
