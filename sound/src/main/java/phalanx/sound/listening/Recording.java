package phalanx.sound.listening;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import phalanx.practice.HeardSound;
import phalanx.sound.Texts;

/**
 * A recording in a WAVE file: 8 to 96 kHz, any number of channels, 8 to 32 bits or floats, of any
 * length. It is read once from beginning to end and never kept.
 */
public final class Recording {

  private static final int BLOCK = 8192;

  private Recording() {}

  /** Why a file cannot be listened to, in words. */
  public static final class Unreadable extends IOException {
    private static final long serialVersionUID = 1;

    Unreadable(String words, Throwable cause) {
      super(words, cause);
    }
  }

  /**
   * What is heard in a file.
   *
   * @param a4 what the player is tuned to, Hz
   * @throws Unreadable if it is no recording, in words for the player
   */
  public static List<HeardSound> listen(InputStream file, double a4) throws IOException {
    try (AudioInputStream audio =
        AudioSystem.getAudioInputStream(new BufferedInputStream(file, 1 << 16))) {
      return heard(audio, a4);
    } catch (UnsupportedAudioFileException e) {
      throw new Unreadable(Texts.of("recording.expectedARecordingAs"), e);
    }
  }

  private static List<HeardSound> heard(AudioInputStream audio, double a4) throws IOException {
    AudioFormat format = audio.getFormat();
    double rate = format.getSampleRate();
    if (!(rate >= 8000 && rate <= 96_000)) {
      throw new Unreadable(Texts.of("recording.expectedToKhzFound", rate / 1000), null);
    }
    MonoSamples mono = MonoSamples.of(format);
    Decimator decimator = new Decimator(rate);
    Listener listener = new Listener(decimator.rate(), a4);
    List<HeardSound> all = new ArrayList<>();
    byte[] bytes = new byte[BLOCK * format.getFrameSize()];
    float[] samples = new float[BLOCK];
    while (true) {
      int read = audio.readNBytes(bytes, 0, bytes.length);
      int frames = read / format.getFrameSize();
      if (frames == 0) {
        break;
      }
      mono.read(bytes, frames, samples);
      int count = decimator.apply(samples, frames);
      all.addAll(listener.hear(samples, count));
    }
    all.addAll(listener.end());
    return List.copyOf(all);
  }
}
