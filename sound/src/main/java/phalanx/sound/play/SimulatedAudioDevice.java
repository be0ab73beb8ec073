package phalanx.sound.play;

import java.util.function.BiConsumer;
import phalanx.sound.Texts;

/**
 * A card that nobody hears: it takes frames as fast as a real one would play them, by a clock of
 * its own. For machines without a device, and for tests, which give it a clock that they move and
 * faults at the frame they want.
 */
public final class SimulatedAudioDevice implements AudioDevice {

  private static final double NANOS = 1e9;

  /** Time as a card knows it. */
  public interface Ticking {

    /** Nanoseconds from some moment. */
    long nanos();

    /** Waits. */
    void pass(long nanos) throws InterruptedException;
  }

  /** Time as it passes. */
  public static final Ticking REAL =
      new Ticking() {
        @Override
        public long nanos() {
          return System.nanoTime();
        }

        @Override
        public void pass(long nanos) throws InterruptedException {
          Thread.sleep(nanos / 1_000_000, (int) (nanos % 1_000_000));
        }
      };

  /** What goes wrong with it. */
  public enum Fault {
    NONE,
    /** It cannot be opened. */
    TAKEN,
    /** It is pulled out. */
    GONE,
    /** It takes nothing any more and does not say why. */
    STUCK
  }

  private final Ticking clock;
  private volatile Fault fault = Fault.NONE;
  private volatile long faultAt;
  private volatile BiConsumer<float[], Integer> tap = (samples, frames) -> {};
  private volatile int underruns;
  private volatile int open;
  private volatile Simulated newest;

  /** A card with a clock. */
  public SimulatedAudioDevice(Ticking clock) {
    this.clock = clock;
  }

  /** Goes wrong from a frame on. */
  public void fails(Fault how, long frame) {
    faultAt = frame;
    fault = how;
  }

  /** Hands everything over that it takes. */
  public void tap(BiConsumer<float[], Integer> listener) {
    tap = listener;
  }

  /** How often it had nothing to play though it was in use. */
  public int underruns() {
    return underruns;
  }

  /** How many frames of the newest line were heard. */
  public long heard() {
    Simulated line = newest;
    return line == null ? 0 : line.heard();
  }

  /** How many lines are in use. */
  public int open() {
    return open;
  }

  @Override
  public String name() {
    return Texts.of("simulatedAudioDevice.aSimulatedCard");
  }

  @Override
  public boolean isReal() {
    return false;
  }

  @Override
  public Line open(int rate, int buffer) throws AudioDeviceTrouble {
    if (fault == Fault.TAKEN) {
      throw new AudioDeviceTrouble(Texts.of("simulatedAudioDevice.cannotBeHadAnother", name()));
    }
    open++;
    newest = new Simulated(rate, buffer);
    return newest;
  }

  private final class Simulated implements Line {

    private final int rate;
    private final int buffer;
    private long written;
    private double heard;
    private long last;
    private boolean closed;

    Simulated(int rate, int buffer) {
      this.rate = rate;
      this.buffer = buffer;
    }

    @Override
    public void write(float[] samples, int frames) throws AudioDeviceTrouble, InterruptedException {
      if (fault == Fault.GONE && written >= faultAt) {
        throw new AudioDeviceTrouble(Texts.of("simulatedAudioDevice.isGone", name()));
      }
      while (fault == Fault.STUCK && written >= faultAt || room() < frames) {
        clock.pass((long) Math.max(100_000, (frames - room()) * NANOS / rate));
      }
      tap.accept(samples, frames);
      take(frames);
    }

    private synchronized void take(int frames) {
      if (written == 0) {
        last = clock.nanos();
      }
      written += frames;
    }

    private synchronized double room() {
      advance();
      return buffer - (written - heard);
    }

    private void advance() {
      long now = clock.nanos();
      if (written == 0) {
        return;
      }
      double due = heard + (now - last) * rate / NANOS;
      if (due > written && heard < written) {
        underruns++;
      }
      heard = Math.min(due, written);
      last = now;
    }

    @Override
    public synchronized long heard() {
      if (!closed) {
        advance();
      }
      return (long) heard;
    }

    @Override
    public synchronized void close() {
      if (!closed) {
        closed = true;
        open--;
      }
    }
  }
}
