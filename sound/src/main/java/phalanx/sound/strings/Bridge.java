package phalanx.sound.strings;

import java.util.List;

/**
 * The bridge that all strings end on. Where the body is easily moved it takes more from a string
 * and gives it to the others: so what is louder also dies sooner, partials die each in their own
 * time, and open strings ring along. Waves of force come in from the strings; the bridge moves as
 * the body’s resonances answer their sum, solved without delay, and each string gets back what came
 * less what moved (B. Bank and M. Karjalainen, “Passive admittance matrix modeling for guitar
 * synthesis”, DAFx 2010; E. Maestre, G. Scavone and J. Smith, IEEE/ACM Transactions on Audio 25,
 * 2017; one direction only, as most of what is heard is the vertical one). As every resonance is
 * positive-real, no sum of them gives energy.
 */
final class Bridge {

  /** Gains times mobility, an even number of them. */
  private final double[] gain;

  private final double[] b1;
  private final double[] b2;
  private final double[] s1;
  private final double[] s2;
  private final Resonance[] resonances;
  private final double[] mobility;

  /** What all resonances answer to a force at once. */
  private final double instant;

  /** What they have of earlier forces. */
  private double past;

  Bridge(Modes body, double rate) {
    List<Modes.Coupled> all = body.coupled();
    int even = all.size() + all.size() % 2;
    gain = new double[even];
    b1 = new double[even];
    b2 = new double[even];
    s1 = new double[even];
    s2 = new double[even];
    resonances = new Resonance[all.size()];
    mobility = new double[all.size()];
    double sum = 0;
    for (int m = 0; m < all.size(); m++) {
      Resonance r = Resonance.of(all.get(m).hertz(), all.get(m).sharpness(), rate);
      resonances[m] = r;
      mobility[m] = all.get(m).mobility();
      gain[m] = mobility[m] * r.gain();
      b1[m] = r.b1();
      b2[m] = r.b2();
      sum += gain[m];
    }
    instant = sum;
  }

  /**
   * Moves under the waves that come in.
   *
   * @param incoming twice the sum of them, each times its string’s share
   * @param shares the sum of the squares of the shares of all strings
   * @param moved takes the motion; a string gets back its wave less its share of that
   */
  void move(double[] incoming, double shares, double[] moved, int count) {
    double yields = 1 / (1 + instant * shares);
    for (int n = 0; n < count; n++) {
      double motion = (instant * incoming[n] + past) * yields;
      moved[n] = motion;
      past = answered(incoming[n] - shares * motion);
    }
  }

  /** Every resonance goes on under a force; what all have for the next sample. */
  private double answered(double force) {
    double even = 0;
    double odd = 0;
    for (int m = 0; m < gain.length; m += 2) {
      double push = gain[m] * force;
      double y = push + s1[m];
      double next = b1[m] * y + s2[m];
      s1[m] = next;
      s2[m] = b2[m] * y - push;
      even += next;
      double push1 = gain[m + 1] * force;
      double y1 = push1 + s1[m + 1];
      double next1 = b1[m + 1] * y1 + s2[m + 1];
      s1[m + 1] = next1;
      s2[m + 1] = b2[m + 1] * y1 - push1;
      odd += next1;
    }
    return even + odd;
  }

  /**
   * How much later a wave comes back than it came, samples.
   *
   * @param omega radians a sample
   * @param share of the string
   */
  double delay(double omega, double share) {
    double re = 0;
    double im = 0;
    for (int m = 0; m < resonances.length; m++) {
      double[] at = resonances[m].at(omega);
      re += mobility[m] * at[0];
      im += mobility[m] * at[1];
    }
    double s = share * share;
    // (1 − s·H) / (1 + s·H)
    double turn = Math.atan2(-s * im, 1 - s * re) - Math.atan2(s * im, 1 + s * re);
    return -turn / omega;
  }
}
