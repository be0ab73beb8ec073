package phalanx.sound.listening;

import java.io.IOException;
import java.util.List;
import phalanx.practice.HeardSound;

/** Listens to an input on a thread of its own until it is closed or the input ends. */
public final class LiveListening implements AutoCloseable {

  /** Is told on the listening thread. */
  public interface Ear {
    /** Sounds began; a moment ago, as their pitch has to be known. */
    void heard(List<HeardSound> sounds);

    /** The input ended; with why where it was lost. */
    void ended(String why);
  }

  private final SoundInput input;
  private final Ear ear;
  private final double a4;
  private volatile boolean closed;

  /** Begins to listen. */
  public LiveListening(SoundInput input, double a4, Ear ear) {
    this.input = input;
    this.a4 = a4;
    this.ear = ear;
    Thread thread = new Thread(this::listen, "listening");
    thread.setDaemon(true);
    thread.start();
  }

  private void listen() {
    Decimator decimator = new Decimator(input.rate());
    Listener listener = new Listener(decimator.rate(), a4);
    float[] samples = new float[4096];
    String why = "";
    try {
      int count = input.read(samples);
      while (count >= 0 && !closed) {
        tell(listener.hear(samples, decimator.apply(samples, count)));
        count = input.read(samples);
      }
      tell(listener.end());
    } catch (IOException e) {
      why = String.valueOf(e.getMessage());
    }
    input.close();
    if (!closed) {
      ear.ended(why);
    }
  }

  private void tell(List<HeardSound> sounds) {
    if (!sounds.isEmpty() && !closed) {
      ear.heard(sounds);
    }
  }

  /** What is listened to. */
  public SoundInput input() {
    return input;
  }

  @Override
  public void close() {
    closed = true;
    input.close();
  }
}
