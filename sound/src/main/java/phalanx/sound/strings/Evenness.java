package phalanx.sound.strings;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a player’s hand makes even. The body answers some notes far better than others; a good hand
 * plucks those a little less. The level of a note is worked out from what a pluck puts into its
 * partials and how the body radiates each, and most of what differs is taken back (how much: judged
 * by ear, no source).
 */
final class Evenness {

  /** What of the difference the hand takes back. */
  private static final double TAKEN = 0.8;

  /** Nobody plucks more than this much more or less for that, as a factor. */
  private static final double MOST = 2.2;

  private static final double HIGHEST = 8000;

  private static final int PARTIALS = 40;

  private final List<Modes.Radiating> modes;
  private final List<Resonance> resonances;
  private final double rate;
  private final double usual;
  private final Map<Long, Double> known = new HashMap<>();

  /**
   * For a body.
   *
   * <p>Takes how they come out on average as the measure.
   */
  Evenness(Modes body, double rate) {
    this.rate = rate;
    modes = body.radiating();
    resonances = modes.stream().map(m -> Resonance.of(m.hertz(), m.sharpness(), rate)).toList();
    double sum = 0;
    int count = 0;
    for (double hertz = 82.4; hertz < 800; hertz *= Math.pow(2, 1 / 12.0)) {
      sum += Math.log(energy(hertz, 0.2, 3000));
      count++;
    }
    usual = sum / count;
  }

  /**
   * How much more or less a note is plucked, a factor.
   *
   * @param share of the string at which it is plucked
   * @param roundedHz above which its corners are rounded
   */
  double gain(double hertz, double share, double roundedHz) {
    long key =
        Math.round(hertz * 4) * 1_000_003L
            + Math.round(share * 40) * 101
            + Math.round(roundedHz / 200);
    return known.computeIfAbsent(key, k -> gain(Math.log(energy(hertz, share, roundedHz))));
  }

  private double gain(double level) {
    double gain = Math.exp(-TAKEN * (level - usual) / 2);
    return Math.max(1 / MOST, Math.min(MOST, gain));
  }

  private double energy(double hertz, double share, double roundedHz) {
    double sum = 0;
    for (int n = 1; n <= PARTIALS && n * hertz < HIGHEST; n++) {
      double corner = 1 + Math.pow(n * hertz / roundedHz, 2);
      double amplitude = Math.sin(n * Math.PI * share) / (n * corner);
      sum += amplitude * amplitude * heard(n * hertz);
    }
    return sum;
  }

  /** The energy both sides have of a steady tone. */
  private double heard(double hertz) {
    double omega = 2 * Math.PI * hertz / rate;
    double leftRe = 0;
    double leftIm = 0;
    double rightRe = 0;
    double rightIm = 0;
    for (int n = 0; n < modes.size(); n++) {
      Modes.Radiating mode = modes.get(n);
      double[] at = resonances.get(n).at(omega);
      leftRe += mode.left() * at[0];
      leftIm += mode.left() * at[1];
      rightRe += mode.right() * at[0];
      rightIm += mode.right() * at[1];
    }
    return leftRe * leftRe + leftIm * leftIm + rightRe * rightRe + rightIm * rightIm;
  }
}
