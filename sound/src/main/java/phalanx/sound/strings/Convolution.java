package phalanx.sound.strings;

import org.jtransforms.fft.DoubleFFT_1D;

/**
 * A sound as a body or a room answers it: convolution with its impulse response, in equal
 * partitions that are kept as spectra (uniformly partitioned overlap-save; W. Gardner, Journal of
 * the Audio Engineering Society 43(3), 1995, in its simplest form). It answers one partition later.
 * Time: a transform of two partitions each, and one product for each partition of the response.
 */
final class Convolution {

  private final int block;
  private final DoubleFFT_1D transform;

  /** Spectra of the partitions of both sides. */
  private final double[][][] response;

  /** Spectra of the last blocks of sound, in a ring. */
  private final double[][] heard;

  private final double[] window;
  private final double[] sum;
  private final double[][] answer;
  private int newest;
  private int filled;

  /**
   * A response.
   *
   * @param sides left and right, as many samples each
   * @param block length of a partition, a power of two, which is also the delay
   */
  Convolution(double[][] sides, int block) {
    this.block = block;
    transform = new DoubleFFT_1D(2L * block);
    int parts = (sides[0].length + block - 1) / block;
    response = new double[2][parts][2 * block];
    for (int side = 0; side < 2; side++) {
      for (int p = 0; p < parts; p++) {
        int count = Math.min(block, sides[side].length - p * block);
        System.arraycopy(sides[side], p * block, response[side][p], 0, count);
        transform.realForward(response[side][p]);
      }
    }
    heard = new double[parts][2 * block];
    window = new double[2 * block];
    sum = new double[2 * block];
    answer = new double[2][block];
  }

  /** How much later it answers, samples. */
  int latency() {
    return block;
  }

  /** Adds the answer to a sound to both sides, at a level. */
  void add(double[] in, double level, double[] left, double[] right, int frames) {
    for (int n = 0; n < frames; n++) {
      left[n] += level * answer[0][filled];
      right[n] += level * answer[1][filled];
      window[block + filled] = in[n];
      if (++filled == block) {
        answerBlock();
        filled = 0;
      }
    }
  }

  private void answerBlock() {
    newest = newest == 0 ? heard.length - 1 : newest - 1;
    System.arraycopy(window, 0, heard[newest], 0, 2 * block);
    transform.realForward(heard[newest]);
    for (int side = 0; side < 2; side++) {
      java.util.Arrays.fill(sum, 0);
      for (int p = 0; p < heard.length; p++) {
        multiply(heard[(newest + p) % heard.length], response[side][p]);
      }
      transform.realInverse(sum, true);
      System.arraycopy(sum, block, answer[side], 0, block);
    }
    System.arraycopy(window, block, window, 0, block);
  }

  /** Adds a product of spectra, packed as the transform packs them. */
  private void multiply(double[] a, double[] b) {
    sum[0] += a[0] * b[0];
    sum[1] += a[1] * b[1];
    for (int k = 2; k < a.length; k += 2) {
      sum[k] += a[k] * b[k] - a[k + 1] * b[k + 1];
      sum[k + 1] += a[k] * b[k + 1] + a[k + 1] * b[k];
    }
  }
}
