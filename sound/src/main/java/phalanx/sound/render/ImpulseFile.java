package phalanx.sound.render;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import phalanx.sound.Texts;
import phalanx.sound.strings.ImpulseResponse;

/** Reads an impulse response from a WAVE file: one or two channels, 8 to 192 kHz. */
public final class ImpulseFile {

  private static final int FLOAT_BITS = 32;

  private ImpulseFile() {}

  /** Why a file is no impulse response, in words for the player. */
  public static final class Unreadable extends IOException {
    private static final long serialVersionUID = 1;

    Unreadable(String words, Throwable cause) {
      super(words, cause);
    }
  }

  /**
   * Reads a file; what is longer than {@link ImpulseResponse#LONGEST} is left out.
   *
   * @throws Unreadable if it is none
   */
  public static ImpulseResponse read(Path file) throws IOException {
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file));
        AudioInputStream audio = AudioSystem.getAudioInputStream(in)) {
      return read(audio);
    } catch (UnsupportedAudioFileException | IllegalArgumentException e) {
      throw new Unreadable(Texts.of("impulseFile.expectedAnImpulseResponse"), e);
    }
  }

  private static ImpulseResponse read(AudioInputStream audio) throws IOException {
    AudioFormat format = audio.getFormat();
    int channels = format.getChannels();
    float rate = format.getSampleRate();
    if (channels < 1 || channels > 2 || !(rate >= 8000 && rate <= 192_000)) {
      throw new Unreadable(Texts.of("impulseFile.expectedOneOrTwo", channels, rate / 1000), null);
    }
    AudioFormat plain =
        new AudioFormat(
            AudioFormat.Encoding.PCM_FLOAT,
            rate,
            FLOAT_BITS,
            channels,
            channels * Float.BYTES,
            rate,
            false);
    int most = (int) (ImpulseResponse.LONGEST * rate) * channels * Float.BYTES;
    byte[] bytes = AudioSystem.getAudioInputStream(plain, audio).readNBytes(most);
    int frames = bytes.length / (channels * Float.BYTES);
    if (frames == 0) {
      throw new Unreadable(Texts.of("impulseFile.thereIsNoSound"), null);
    }
    ByteBuffer buffer = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    float[] left = new float[frames];
    float[] right = new float[frames];
    for (int n = 0; n < frames; n++) {
      left[n] = finite(buffer.getFloat(n * channels * Float.BYTES));
      right[n] = finite(buffer.getFloat((n * channels + channels - 1) * Float.BYTES));
    }
    return new ImpulseResponse(left, right, rate);
  }

  private static float finite(float sample) {
    return Float.isFinite(sample) ? sample : 0;
  }
}
