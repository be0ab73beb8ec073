package phalanx.sound.listening;

import java.io.IOException;
import java.util.Optional;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.TargetDataLine;

/** The microphone that the system listens with. */
public final class SystemMicrophone implements SoundInput {

  private static final int RATE = 44_100;
  private static final int BLOCK = 1024;
  private static final AudioFormat FORMAT = new AudioFormat(RATE, 16, 1, true, false);

  private final TargetDataLine line;
  private final MonoSamples mono;
  private final byte[] bytes = new byte[2 * BLOCK];

  private SystemMicrophone(TargetDataLine line) throws IOException {
    this.line = line;
    mono = MonoSamples.of(FORMAT);
  }

  /** Opens it; empty where there is none, or another program has it for itself. */
  public static Optional<SoundInput> open() {
    try {
      TargetDataLine line =
          (TargetDataLine) AudioSystem.getLine(new DataLine.Info(TargetDataLine.class, FORMAT));
      line.open(FORMAT, 8 * BLOCK);
      line.start();
      return Optional.of(new SystemMicrophone(line));
    } catch (LineUnavailableException | IllegalArgumentException | IOException e) {
      // That there is none is what the caller is told.
      return Optional.empty();
    }
  }

  @Override
  public String name() {
    return "microphone";
  }

  @Override
  public boolean isReal() {
    return true;
  }

  @Override
  public int rate() {
    return RATE;
  }

  @Override
  public int read(float[] samples) throws IOException {
    if (!line.isOpen()) {
      return -1;
    }
    int frames = line.read(bytes, 0, Math.min(bytes.length, 2 * samples.length)) / 2;
    if (frames <= 0) {
      return -1;
    }
    mono.read(bytes, frames, samples);
    return frames;
  }

  @Override
  public void close() {
    line.stop();
    line.close();
  }
}
