package phalanx.sound.listening;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import phalanx.sound.Texts;

/** Frames of bytes as samples from -1 to 1, the channels added up. */
final class MonoSamples {

  private final int channels;
  private final int bytes;
  private final boolean isFloat;
  private final boolean signed;
  private final ByteOrder order;

  private MonoSamples(AudioFormat format) {
    channels = format.getChannels();
    bytes = format.getSampleSizeInBits() / 8;
    isFloat = format.getEncoding().equals(Encoding.PCM_FLOAT);
    signed = !format.getEncoding().equals(Encoding.PCM_UNSIGNED);
    order = format.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN;
  }

  /**
   * A reader of a format.
   *
   * @throws Recording.Unreadable if its samples are packed
   */
  static MonoSamples of(AudioFormat format) throws IOException {
    Encoding encoding = format.getEncoding();
    int bits = format.getSampleSizeInBits();
    boolean linear =
        encoding.equals(Encoding.PCM_SIGNED)
                && (bits == 8 || bits == 16 || bits == 24 || bits == 32)
            || encoding.equals(Encoding.PCM_UNSIGNED) && bits == 8
            || encoding.equals(Encoding.PCM_FLOAT) && (bits == 32 || bits == 64);
    if (!linear || format.getChannels() < 1) {
      throw new Recording.Unreadable(Texts.of("monoSamples.expectedPlainSamplesOf", format), null);
    }
    return new MonoSamples(format);
  }

  /** Reads so many frames. */
  void read(byte[] from, int frames, float[] to) {
    ByteBuffer buffer = ByteBuffer.wrap(from).order(order);
    for (int f = 0; f < frames; f++) {
      double sum = 0;
      for (int c = 0; c < channels; c++) {
        sum += sample(buffer, (f * channels + c) * bytes);
      }
      float value = (float) (sum / channels);
      to[f] = Float.isFinite(value) ? Math.max(-4, Math.min(4, value)) : 0;
    }
  }

  private double sample(ByteBuffer buffer, int at) {
    if (isFloat) {
      return bytes == 4 ? buffer.getFloat(at) : buffer.getDouble(at);
    }
    return switch (bytes) {
      case 1 -> signed ? buffer.get(at) / 128.0 : ((buffer.get(at) & 0xff) - 128) / 128.0;
      case 2 -> buffer.getShort(at) / 32768.0;
      case 3 -> triple(buffer, at) / 8388608.0;
      default -> buffer.getInt(at) / 2147483648.0;
    };
  }

  private int triple(ByteBuffer buffer, int at) {
    boolean little = order == ByteOrder.LITTLE_ENDIAN;
    int low = buffer.get(little ? at : at + 2) & 0xff;
    int middle = buffer.get(at + 1) & 0xff;
    int high = buffer.get(little ? at + 2 : at);
    return high << 16 | middle << 8 | low;
  }
}
