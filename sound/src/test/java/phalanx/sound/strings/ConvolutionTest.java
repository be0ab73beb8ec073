package phalanx.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the convolution as its definition has it, sample by sample. */
class ConvolutionTest {

  private static double[] noise(int length, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] out = new double[length];
    for (int n = 0; n < length; n++) {
      out[n] = 2 * random.nextDouble() - 1;
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource({"1, 64, 100", "63, 64, 64", "64, 64, 7", "200, 64, 300", "1000, 128, 512"})
  void itIsTheConvolutionOnePartitionLater(int taps, int block, int piece) {
    double[][] sides = {noise(taps, 1), noise(taps, 2)};
    double[] in = noise(3000, 3);
    Convolution convolution = new Convolution(sides, block);
    double[][] out = new double[2][in.length];
    for (int from = 0; from < in.length; from += piece) {
      int count = Math.min(piece, in.length - from);
      double[] some = java.util.Arrays.copyOfRange(in, from, from + count);
      double[] left = new double[count];
      double[] right = new double[count];
      convolution.add(some, 0.5, left, right, count);
      System.arraycopy(left, 0, out[0], from, count);
      System.arraycopy(right, 0, out[1], from, count);
    }
    for (int side = 0; side < 2; side++) {
      for (int n = 0; n + block < in.length; n++) {
        double sum = 0;
        for (int k = 0; k < taps && k <= n; k++) {
          sum += sides[side][k] * in[n - k];
        }
        assertThat(out[side][n + convolution.latency()]).isCloseTo(0.5 * sum, within(1e-9));
      }
    }
  }

  @Test
  void aResponseIsTakenFromWhereItBeginsAtTheRateAskedFor() {
    float[] blow = new float[1000];
    blow[300] = 0.5f;
    blow[301] = 0.25f;
    ImpulseResponse response = new ImpulseResponse(blow, blow, 22050);
    double[][] sides = response.at(44100, 0);
    assertThat(sides[0][0]).isGreaterThan(sides[0][2]);
    // Steady pressure goes through as before, whatever the rate.
    double own = java.util.Arrays.stream(response.at(22050, 0)[0]).sum();
    assertThat(java.util.Arrays.stream(sides[0]).sum()).isCloseTo(own, within(0.3 * own));
    assertThat(sides[0]).hasSizeBetween(1390, 1402);
  }
}
