package phalanx.sound.listening;

import java.io.IOException;

/** Where live sound comes from: the system’s microphone, or a simulated one. */
public interface SoundInput extends AutoCloseable {

  /** What it is called. */
  String name();

  /** Whether a room is heard; a simulated one says so wherever it is shown. */
  boolean isReal();

  /** Samples a second. */
  int rate();

  /**
   * Waits for more samples, of one channel.
   *
   * @return how many there are; less than 0 when there will be none
   * @throws IOException if the device is gone
   */
  int read(float[] samples) throws IOException;

  @Override
  void close();
}
