package phalanx.sound.listening;

import phalanx.sound.Texts;

/** Samples that were made before, heard as fast as they sound: a simulated microphone, live. */
public final class PlayedInput implements SoundInput {

  private static final int BLOCK = 1024;

  private final float[] samples;
  private final int rate;
  private final double speed;
  private final long start = System.nanoTime();
  private int at;
  private volatile boolean closed;

  /**
   * Samples.
   *
   * @param speed 1 in real time; more for tests
   */
  public PlayedInput(float[] samples, int rate, double speed) {
    this.samples = samples.clone();
    this.rate = rate;
    this.speed = speed;
  }

  @Override
  public String name() {
    return Texts.of("playedInput.simulatedMicrophone");
  }

  @Override
  public boolean isReal() {
    return false;
  }

  @Override
  public int rate() {
    return rate;
  }

  @Override
  public int read(float[] to) {
    int now = Math.min(Math.min(BLOCK, to.length), samples.length - at);
    if (closed || now <= 0) {
      return -1;
    }
    double due = (at + now) / (double) rate / speed;
    double wait = due - (System.nanoTime() - start) / 1e9;
    if (wait > 0) {
      try {
        Thread.sleep((long) (1000 * wait));
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return -1;
      }
    }
    System.arraycopy(samples, at, to, 0, now);
    at += now;
    return now;
  }

  @Override
  public void close() {
    closed = true;
  }
}
