package phalanx.sound.strings;

/**
 * A resonance as a digital filter: a band-pass with a peak of 1, by the bilinear transform, y(n) =
 * gain·(x(n) − x(n−2)) + b1·y(n−1) + b2·y(n−2). Its answer never leads or lags the force by more
 * than a quarter of a turn, so that a bridge made of such filters takes energy and gives none.
 */
record Resonance(double gain, double b1, double b2) {

  static Resonance of(double hertz, double sharpness, double rate) {
    double omega = 2 * Math.PI * hertz / rate;
    double alpha = Math.sin(omega) / (2 * sharpness);
    return new Resonance(
        alpha / (1 + alpha), 2 * Math.cos(omega) / (1 + alpha), -(1 - alpha) / (1 + alpha));
  }

  /**
   * What it answers at a frequency, as real and imaginary part.
   *
   * @param omega radians a sample
   */
  double[] at(double omega) {
    double nr = gain * (1 - Math.cos(2 * omega));
    double ni = gain * Math.sin(2 * omega);
    double dr = 1 - b1 * Math.cos(omega) - b2 * Math.cos(2 * omega);
    double di = b1 * Math.sin(omega) + b2 * Math.sin(2 * omega);
    double size = dr * dr + di * di;
    return new double[] {(nr * dr + ni * di) / size, (ni * dr - nr * di) / size};
  }
}
