package phalanx.sound.render;

import java.util.SplittableRandom;

/**
 * Samples as whole numbers, little end first. To 16 bits they are dithered with triangular noise of
 * two steps (S. Lipshitz, R. Wannamaker and J. Vanderkooy, Journal of the Audio Engineering Society
 * 40(5), 1992), so that what fades away ends in noise and not in steps; always the same noise.
 */
final class Samples {

  private static final int BYTE = 8;

  private final int bits;
  private final SplittableRandom noise = new SplittableRandom(16);

  Samples(int bits) {
    this.bits = bits;
  }

  byte[] bytes(float[] samples) {
    int size = bits / BYTE;
    byte[] out = new byte[samples.length * size];
    double full = (1 << (bits - 1)) - 1;
    int at = 0;
    for (float sample : samples) {
      double dither = bits == 16 ? noise.nextDouble() - noise.nextDouble() : 0;
      long value = Math.round(sample * full + dither);
      value = Math.max(-(1L << (bits - 1)), Math.min((1L << (bits - 1)) - 1, value));
      for (int b = 0; b < size; b++) {
        out[at++] = (byte) (value >> (BYTE * b));
      }
    }
    return out;
  }
}
