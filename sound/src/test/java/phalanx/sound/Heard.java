package phalanx.sound;

import java.util.function.Consumer;
import phalanx.instrument.Guitar;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/** Sound as it comes from an instrument, the left side. */
public final class Heard {

  public static final double RATE = 44100;

  private final Instrument instrument;

  public Heard(Guitar guitar) {
    instrument = new Instrument(guitar, RATE, Levels.FILE);
  }

  /** Does something to the instrument. */
  public Heard after(Consumer<Instrument> act) {
    act.accept(instrument);
    return this;
  }

  /** The next seconds. */
  public double[] seconds(double seconds) {
    int frames = (int) (seconds * RATE);
    float[] out = new float[2 * frames];
    instrument.render(out, 0, frames);
    double[] left = new double[frames];
    for (int n = 0; n < frames; n++) {
      left[n] = out[2 * n];
    }
    return left;
  }

  /** The root of the mean square of a piece. */
  public static double loudness(double[] sound, double from, double to) {
    double sum = 0;
    int first = (int) (from * RATE);
    int last = (int) (to * RATE);
    for (int n = first; n < last; n++) {
      sum += sound[n] * sound[n];
    }
    return Math.sqrt(sum / (last - first));
  }

  /** The highest sample. */
  public static double peak(double[] sound) {
    double most = 0;
    for (double v : sound) {
      most = Math.max(most, Math.abs(v));
    }
    return most;
  }

  /** The largest step from one sample to the next. */
  public static double step(double[] sound, int from, int to) {
    double most = 0;
    for (int n = Math.max(1, from); n < to; n++) {
      most = Math.max(most, Math.abs(sound[n] - sound[n - 1]));
    }
    return most;
  }
}
