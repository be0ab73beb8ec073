package phalanx.sound.listening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.practice.HeardSound;

/** Files of all kinds, with three tones of known pitch and time; tones are sums of sines. */
class RecordingTest {

  private static final double[] AT = {0.4, 0.9, 1.5};
  private static final int[] MIDI = {45, 52, 64};

  /** Plucked tones: eight harmonics that decay. */
  private static double sample(double t) {
    double sum = 0;
    for (int k = 0; k < AT.length; k++) {
      double since = t - AT[k];
      double base = 440 * Math.pow(2, (MIDI[k] - 69) / 12.0);
      for (int h = 1; since >= 0 && h <= 8; h++) {
        sum += 0.12 / h * Math.exp(-since * (2 + h)) * Math.sin(2 * Math.PI * h * base * since);
      }
    }
    return sum;
  }

  private static byte[] wave(int rate, int bits, int channels) throws IOException {
    int frames = 2 * rate;
    boolean unsigned = bits == 8;
    ByteBuffer bytes =
        ByteBuffer.allocate(frames * channels * bits / 8).order(ByteOrder.LITTLE_ENDIAN);
    for (int n = 0; n < frames; n++) {
      for (int c = 0; c < channels; c++) {
        long value = Math.round(sample((double) n / rate) * ((1L << bits - 1) - 1));
        switch (bits) {
          case 8 -> bytes.put((byte) (value + 128));
          case 16 -> bytes.putShort((short) value);
          case 24 -> {
            bytes.put((byte) value);
            bytes.putShort((short) (value >> 8));
          }
          default -> bytes.putInt((int) value);
        }
      }
    }
    AudioFormat format = new AudioFormat(rate, bits, channels, !unsigned, false);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    AudioInputStream in =
        new AudioInputStream(new ByteArrayInputStream(bytes.array()), format, frames);
    AudioSystem.write(in, AudioFileFormat.Type.WAVE, out);
    return out.toByteArray();
  }

  @ParameterizedTest
  @CsvSource({
    "8000, 16, 1",
    "11025, 16, 1",
    "16000, 8, 1",
    "22050, 16, 2",
    "32000, 16, 1",
    "44100, 16, 2",
    "44100, 24, 1",
    "48000, 24, 2",
    "88200, 16, 1",
    "96000, 32, 2"
  })
  void threeTonesAreHeardInEveryKindOfFile(int rate, int bits, int channels) throws IOException {
    List<HeardSound> heard =
        Recording.listen(new ByteArrayInputStream(wave(rate, bits, channels)), 440);
    assertThat(heard).hasSize(3);
    for (int k = 0; k < 3; k++) {
      assertThat(heard.get(k).seconds()).isEqualTo(AT[k], within(0.006));
      assertThat(heard.get(k).fresh(MIDI[k])).isGreaterThan(0.8);
      assertThat(heard.get(k).fresh(MIDI[k] + 1)).isLessThan(0.5);
    }
  }

  @Test
  void whatIsNoRecordingIsRefusedInWords() throws IOException {
    assertThatThrownBy(() -> Recording.listen(new ByteArrayInputStream("x".getBytes()), 440))
        .isInstanceOf(Recording.Unreadable.class)
        .hasMessageContaining("expected a recording");
    byte[] slow = wave(8000, 16, 1);
    ByteBuffer.wrap(slow).order(ByteOrder.LITTLE_ENDIAN).putInt(24, 4000);
    assertThatThrownBy(() -> Recording.listen(new ByteArrayInputStream(slow), 440))
        .isInstanceOf(Recording.Unreadable.class)
        .hasMessageContaining("8 to 96 kHz");
  }

  /** A file that ends in its middle gives what there is of it. */
  @Test
  void aFileThatWasCutIsHeardAsFarAsItGoes() throws IOException {
    byte[] whole = wave(44100, 16, 1);
    byte[] half = java.util.Arrays.copyOf(whole, whole.length * 6 / 10);
    assertThat(Recording.listen(new ByteArrayInputStream(half), 440)).hasSize(2);
  }
}
