package phalanx.sound.render;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SamplesTest {

  @Test
  void twentyFourBitsAreExactToAStepAndLittleEndFirst() {
    byte[] bytes = new Samples(24).bytes(new float[] {0.5f, -0.5f});
    int half = (bytes[0] & 0xff) | (bytes[1] & 0xff) << 8 | bytes[2] << 16;
    assertThat(half).isEqualTo(Math.round(0.5 * ((1 << 23) - 1)));
    int minus = (bytes[3] & 0xff) | (bytes[4] & 0xff) << 8 | bytes[5] << 16;
    assertThat(minus).isEqualTo((int) Math.round(-0.5 * ((1 << 23) - 1)));
  }

  /** Triangular dither: a tone a third of a step high is still there on average. */
  @Test
  void whatIsSmallerThanAStepIsDithered() {
    float[] quiet = new float[40000];
    java.util.Arrays.fill(quiet, (float) (1 / 3.0 / 32767));
    byte[] bytes = new Samples(16).bytes(quiet);
    double sum = 0;
    for (int n = 0; n < quiet.length; n++) {
      short value = (short) ((bytes[2 * n] & 0xff) | bytes[2 * n + 1] << 8);
      assertThat((int) value).isBetween(-2, 2);
      sum += value;
    }
    assertThat(sum / quiet.length).isCloseTo(1 / 3.0, org.assertj.core.data.Offset.offset(0.02));
  }
}
