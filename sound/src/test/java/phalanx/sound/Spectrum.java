package phalanx.sound;

import org.apache.commons.math3.complex.Complex;
import org.apache.commons.math3.transform.DftNormalization;
import org.apache.commons.math3.transform.FastFourierTransformer;
import org.apache.commons.math3.transform.TransformType;

/** The magnitudes of a piece of sound, by the Fourier transform of Apache Commons Math. */
public final class Spectrum {

  private static final int PADDED = 1 << 17;

  private final double rate;
  private final double[] magnitude = new double[PADDED / 2];

  /** Of samples under a Hann window, padded with zeros so that peaks are finely resolved. */
  public Spectrum(double[] samples, double rate) {
    this.rate = rate;
    double[] padded = new double[PADDED];
    for (int n = 0; n < samples.length; n++) {
      padded[n] = samples[n] * 0.5 * (1 - Math.cos(2 * Math.PI * n / samples.length));
    }
    Complex[] bins =
        new FastFourierTransformer(DftNormalization.STANDARD)
            .transform(padded, TransformType.FORWARD);
    for (int k = 0; k < magnitude.length; k++) {
      magnitude[k] = bins[k].abs();
    }
  }

  /** The frequency of the highest peak within a semitone, Hz, between bins by a parabola. */
  public double peakNear(double hertz) {
    int low = bin(hertz / 1.059);
    int high = bin(hertz * 1.059);
    int top = low;
    for (int k = low; k <= high; k++) {
      top = magnitude[k] > magnitude[top] ? k : top;
    }
    double a = Math.log(magnitude[top - 1]);
    double b = Math.log(magnitude[top]);
    double c = Math.log(magnitude[top + 1]);
    return (top + (a - c) / (2 * (a - 2 * b + c))) * rate / PADDED;
  }

  /** The height of the spectrum about a frequency, dB against nothing in particular. */
  public double decibels(double hertz) {
    double most = 0;
    for (int k = bin(hertz * 0.985); k <= bin(hertz * 1.015); k++) {
      most = Math.max(most, magnitude[k]);
    }
    return 20 * Math.log10(most);
  }

  /** The energy between two frequencies. */
  public double energy(double from, double to) {
    double sum = 0;
    for (int k = bin(from); k < bin(to); k++) {
      sum += magnitude[k] * magnitude[k];
    }
    return sum;
  }

  /** Where the weight of the spectrum lies, Hz: what is heard as brightness. */
  public double centroid() {
    double sum = 0;
    double all = 0;
    for (int k = bin(50); k < bin(10000); k++) {
      sum += magnitude[k] * k;
      all += magnitude[k];
    }
    return sum / all * rate / PADDED;
  }

  private int bin(double hertz) {
    return (int) Math.round(hertz * PADDED / rate);
  }

  /** How far one frequency is from another, cents. */
  public static double cents(double hertz, double from) {
    return 1200 * Math.log(hertz / from) / Math.log(2);
  }
}
