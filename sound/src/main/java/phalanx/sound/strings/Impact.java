package phalanx.sound.strings;

import java.util.SplittableRandom;
import phalanx.picking.HitKind;

/**
 * Hits on strings and wood, and the metronome, each as a few damped tones and a puff of noise.
 * Tones and times order what players hear (common practice, no source): a palm is deep and soft, a
 * nail high and short, a slap sharp with a thud below it.
 */
final class Impact {

  /** A damped tone: where, Hz; how long to −60 dB, s; how high. */
  private record Tone(double hertz, double decay, double level) {}

  /** A puff of noise between two frequencies, Hz: how long to −60 dB, s; how high. */
  private record Puff(double low, double high, double decay, double level) {}

  private static final double LONGEST = 0.5;

  private Impact() {}

  /** What a hit sounds like. */
  static double[] of(HitKind kind, double rate) {
    long seed = 100 + kind.ordinal();
    return switch (kind) {
      case CLICK -> made(rate, seed, new Puff(1800, 9000, 0.06, 0.85), new Tone(640, 0.05, 0.16));
      case PALM ->
          made(
              rate,
              seed,
              new Puff(40, 380, 0.16, 1.1),
              new Tone(92, 0.34, 0.85),
              new Tone(178, 0.2, 0.35));
      case NAIL_TAP ->
          made(
              rate,
              seed,
              new Puff(3500, 14000, 0.025, 0.8),
              new Tone(1150, 0.05, 0.15),
              new Tone(3400, 0.035, 0.3));
      case FINGERTIP_TAP ->
          made(
              rate,
              seed,
              new Puff(180, 1900, 0.05, 0.7),
              new Tone(410, 0.12, 0.4),
              new Tone(780, 0.08, 0.22));
      case THUMB_SLAP ->
          made(
              rate,
              seed,
              new Puff(1100, 7000, 0.1, 1.1),
              new Tone(118, 0.2, 0.24),
              new Tone(1750, 0.09, 0.18));
      case HEEL_MUTE -> made(rate, seed, new Puff(60, 600, 0.09, 1.1), new Tone(150, 0.12, 0.34));
    };
  }

  /** The metronome: higher on the first beat of a bar, softer between beats. */
  static double[] click(Beat beat, double rate) {
    return switch (beat) {
      case FIRST ->
          made(
              rate,
              7,
              new Puff(3000, 9000, 0.01, 0.2),
              new Tone(1568, 0.07, 0.42),
              new Tone(3136, 0.04, 0.12));
      case BEAT ->
          made(
              rate,
              7,
              new Puff(3000, 9000, 0.01, 0.15),
              new Tone(1047, 0.06, 0.34),
              new Tone(2093, 0.03, 0.08));
      case BETWEEN -> made(rate, 7, new Puff(3000, 9000, 0.008, 0.08), new Tone(1047, 0.04, 0.14));
    };
  }

  private static double[] made(double rate, long seed, Puff puff, Tone... tones) {
    double[] out = new double[(int) (LONGEST * rate)];
    for (Tone tone : tones) {
      double omega = 2 * Math.PI * tone.hertz() / rate;
      double keep = Math.pow(10, -3 / (tone.decay() * rate));
      double level = tone.level();
      for (int n = 0; n < out.length; n++) {
        out[n] += level * Math.sin(omega * n);
        level *= keep;
      }
    }
    SplittableRandom random = new SplittableRandom(seed);
    double pass = 1 - Math.exp(-2 * Math.PI * puff.high() / rate);
    double stop = 1 - Math.exp(-2 * Math.PI * puff.low() / rate);
    double keep = Math.pow(10, -3 / (puff.decay() * rate));
    double level = puff.level();
    double once = 0;
    double high = 0;
    double low = 0;
    for (int n = 0; n < out.length; n++) {
      // Twice, so that a dull hit keeps no hiss.
      once += pass * (random.nextDouble() * 2 - 1 - once);
      high += pass * (once - high);
      low += stop * (high - low);
      out[n] += level * (high - low);
      level *= keep;
    }
    return faded(out, rate);
  }

  /** Starts and ends at nothing, without a step. */
  private static double[] faded(double[] out, double rate) {
    int in = (int) (0.0004 * rate);
    for (int n = 0; n < in; n++) {
      out[n] *= (double) n / in;
    }
    int end = (int) (0.02 * rate);
    for (int n = 0; n < end; n++) {
      out[out.length - 1 - n] *= (double) n / end;
    }
    return out;
  }
}
