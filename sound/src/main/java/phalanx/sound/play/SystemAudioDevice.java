package phalanx.sound.play;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.Mixer;
import javax.sound.sampled.SourceDataLine;
import phalanx.sound.Texts;

/** A sound device of the system. */
public final class SystemAudioDevice implements AudioDevice {

  private static final int BITS = 16;
  private static final int FRAME_BYTES = 4;
  private static final double FULL = 32767;
  private static final int RATE = 44100;

  private final String name;
  private final Optional<Mixer.Info> mixer;

  private SystemAudioDevice(String name, Optional<Mixer.Info> mixer) {
    this.name = name;
    this.mixer = mixer;
  }

  /** The devices there are, the system's own choice first; none on a machine without any. */
  public static List<AudioDevice> there() {
    List<AudioDevice> cards = new ArrayList<>();
    DataLine.Info wanted = new DataLine.Info(SourceDataLine.class, format(RATE));
    if (AudioSystem.isLineSupported(wanted)) {
      cards.add(
          new SystemAudioDevice(Texts.of("systemAudioDevice.theSystemSSound"), Optional.empty()));
    }
    for (Mixer.Info info : AudioSystem.getMixerInfo()) {
      if (AudioSystem.getMixer(info).isLineSupported(wanted)) {
        cards.add(new SystemAudioDevice(info.getName(), Optional.of(info)));
      }
    }
    return cards;
  }

  private static AudioFormat format(int rate) {
    return new AudioFormat(rate, BITS, 2, true, false);
  }

  @Override
  public String name() {
    return name;
  }

  @Override
  public boolean isReal() {
    return true;
  }

  @Override
  public Line open(int rate, int buffer) throws AudioDeviceTrouble {
    AudioFormat format = format(rate);
    DataLine.Info wanted = new DataLine.Info(SourceDataLine.class, format);
    try {
      SourceDataLine line =
          (SourceDataLine)
              (mixer.isPresent()
                  ? AudioSystem.getMixer(mixer.get()).getLine(wanted)
                  : AudioSystem.getLine(wanted));
      line.open(format, buffer * FRAME_BYTES);
      line.start();
      return new Open(line);
    } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
      throw new AudioDeviceTrouble(Texts.of("systemAudioDevice.cannotBeHadAnother", name), e);
    }
  }

  private final class Open implements Line {

    private final SourceDataLine line;
    private byte[] bytes = new byte[0];

    Open(SourceDataLine line) {
      this.line = line;
    }

    @Override
    public void write(float[] samples, int frames) throws AudioDeviceTrouble {
      int size = frames * FRAME_BYTES;
      if (bytes.length < size) {
        bytes = new byte[size];
      }
      for (int n = 0; n < 2 * frames; n++) {
        int value = (int) Math.round(samples[n] * FULL);
        bytes[2 * n] = (byte) value;
        bytes[2 * n + 1] = (byte) (value >> 8);
      }
      if (line.write(bytes, 0, size) < size) {
        throw new AudioDeviceTrouble(Texts.of("systemAudioDevice.isGone", name));
      }
    }

    @Override
    public long heard() {
      return line.getLongFramePosition();
    }

    @Override
    public void close() {
      line.stop();
      line.close();
    }
  }
}
