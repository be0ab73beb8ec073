package phalanx.sound.play;

/** Something that makes frames heard. */
public interface AudioDevice {

  /** What players call it. */
  String name();

  /** Whether anything is really heard. */
  boolean isReal();

  /**
   * Takes it into use.
   *
   * @param rate frames a second
   * @param buffer frames it holds before they are heard
   * @throws AudioDeviceTrouble if it cannot be had
   */
  Line open(int rate, int buffer) throws AudioDeviceTrouble;

  /** A card in use. Written by one thread; {@link #heard} may be asked by others. */
  interface Line extends AutoCloseable {

    /**
     * Takes frames, left and right in turns; waits until there is room.
     *
     * @throws AudioDeviceTrouble if the card is gone
     * @throws InterruptedException if the thread is told to end while it waits
     */
    void write(float[] samples, int frames) throws AudioDeviceTrouble, InterruptedException;

    /** How many frames were heard since it was opened. */
    long heard();

    /** Gives the card back; what was not heard is dropped. */
    @Override
    void close();
  }
}
