package phalanx.sound.strings;

import java.util.SplittableRandom;
import phalanx.picking.HitKind;

/**
 * Hits on strings and wood, and the metronome, each as a few damped tones and a puff of noise.
 * Tones and times order what players hear (common practice, no source): a palm is deep and soft, a
 * nail high and short, a slap sharp with a thud below it. No two hits of a hand are alike: pitch,
 * length and noise differ a little with the seed.
 */
final class Impact {

  /** A damped tone: where, Hz; how long to −60 dB, s; how high. */
  private record Tone(double hertz, double decay, double level) {}

  /** A puff of noise between two frequencies, Hz: how long to −60 dB, s; how high. */
  private record Puff(double low, double high, double decay, double level) {}

  private static final double LONGEST = 0.45;

  /** How far tones lie from their place, and how much longer or louder one is, as shares. */
  private static final double SPREAD = 0.03;

  private static final double UNEVEN = 0.1;

  private Impact() {}

  /** What a hit sounds like. */
  static double[] of(HitKind kind, double rate, long seed) {
    return switch (kind) {
      case CLICK -> made(rate, seed, new Puff(1800, 9000, 0.06, 1.6), new Tone(640, 0.05, 0.4));
      case PALM ->
          made(
              rate,
              seed,
              new Puff(40, 380, 0.16, 1.6),
              new Tone(92, 0.34, 1.2),
              new Tone(178, 0.2, 0.5));
      case NAIL_TAP ->
          made(
              rate,
              seed,
              new Puff(3500, 14000, 0.025, 1.4),
              new Tone(1150, 0.05, 0.3),
              new Tone(3400, 0.035, 0.5));
      case FINGERTIP_TAP ->
          made(
              rate,
              seed,
              new Puff(180, 1900, 0.05, 2.4),
              new Tone(410, 0.12, 1.1),
              new Tone(780, 0.08, 0.6));
      case THUMB_SLAP ->
          made(
              rate,
              seed,
              new Puff(1100, 7000, 0.1, 1.5),
              new Tone(118, 0.2, 0.5),
              new Tone(1750, 0.09, 0.26));
      case HEEL_MUTE -> made(rate, seed, new Puff(60, 600, 0.09, 5.5), new Tone(150, 0.12, 2.2));
    };
  }

  /** A small noise of the hands. */
  static double[] of(HandNoise kind, double rate, long seed) {
    return switch (kind) {
      case CONTACT -> made(rate, seed, new Puff(1500, 6000, 0.02, 1), new Tone(900, 0.015, 0.1));
      case SQUEAK -> made(rate, seed, new Puff(1400, 4200, 0.16, 1), new Tone(2300, 0.1, 0.06));
      case RELEASE -> made(rate, seed, new Puff(900, 5000, 0.015, 1), new Tone(500, 0.02, 0.1));
    };
  }

  /** The metronome: higher on the first beat of a bar, softer between beats. */
  static double[] click(Beat beat, double rate) {
    Puff puff =
        new Puff(3000, 9000, 0.01, beat == Beat.FIRST ? 0.2 : beat == Beat.BEAT ? 0.15 : 0.08);
    return switch (beat) {
      case FIRST -> exact(rate, 7, puff, new Tone(1568, 0.07, 0.42), new Tone(3136, 0.04, 0.12));
      case BEAT -> exact(rate, 7, puff, new Tone(1047, 0.06, 0.34), new Tone(2093, 0.03, 0.08));
      case BETWEEN -> exact(rate, 7, puff, new Tone(1047, 0.04, 0.14));
    };
  }

  private static double[] made(double rate, long seed, Puff puff, Tone... tones) {
    SplittableRandom random = new SplittableRandom(seed);
    Tone[] moved = new Tone[tones.length];
    for (int t = 0; t < tones.length; t++) {
      moved[t] =
          new Tone(
              tones[t].hertz() * about(random, SPREAD),
              tones[t].decay() * about(random, UNEVEN),
              tones[t].level() * about(random, UNEVEN));
    }
    Puff other =
        new Puff(
            puff.low(),
            puff.high() * about(random, UNEVEN),
            puff.decay() * about(random, UNEVEN),
            puff.level() * about(random, UNEVEN));
    return exact(rate, random.nextLong(), other, moved);
  }

  private static double about(SplittableRandom random, double share) {
    return 1 + share * (2 * random.nextDouble() - 1);
  }

  private static double[] exact(double rate, long seed, Puff puff, Tone... tones) {
    double longest = puff.decay();
    for (Tone tone : tones) {
      longest = Math.max(longest, tone.decay());
    }
    double[] out = new double[(int) (Math.min(LONGEST, 1.2 * longest + 0.03) * rate)];
    for (Tone tone : tones) {
      add(out, tone, rate);
    }
    add(out, puff, rate, new SplittableRandom(seed));
    return faded(out, rate);
  }

  /** A damped sine by its own recursion, which takes no sine a sample. */
  private static void add(double[] out, Tone tone, double rate) {
    double omega = 2 * Math.PI * tone.hertz() / rate;
    double keep = Math.pow(10, -3 / (tone.decay() * rate));
    double c = 2 * keep * Math.cos(omega);
    double k = keep * keep;
    double before = 0;
    double now = tone.level() * keep * Math.sin(omega);
    for (int n = 1; n < out.length; n++) {
      out[n] += now;
      double next = c * now - k * before;
      before = now;
      now = next;
    }
  }

  private static void add(double[] out, Puff puff, double rate, SplittableRandom random) {
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
  }

  /** Starts and ends at nothing, without a step. */
  private static double[] faded(double[] out, double rate) {
    int in = (int) (0.0004 * rate);
    for (int n = 0; n < in; n++) {
      out[n] *= (double) n / in;
    }
    int end = Math.min(out.length / 2, (int) (0.02 * rate));
    for (int n = 0; n < end; n++) {
      out[out.length - 1 - n] *= (double) n / end;
    }
    return out;
  }
}
