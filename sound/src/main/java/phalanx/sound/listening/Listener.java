package phalanx.sound.listening;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import phalanx.practice.HeardSound;

/**
 * Hears a stream of samples: give it some, and it tells which sounds have begun. It remembers less
 * than a second, whatever the length of the stream.
 */
public final class Listener {

  private static final double MEMORY = 0.7;
  private static final double SILENCE = 0.25;
  private static final double EDGE = 0.01;

  private final double rate;
  private final SampleHistory samples;
  private final OnsetDetector onsets;
  private final PitchSalience pitches;
  private final Deque<OnsetDetector.Onset> waiting = new ArrayDeque<>();

  /**
   * A listener.
   *
   * @param rate samples a second, 8,000 to 48,000
   * @param a4 what the player is tuned to, Hz
   */
  public Listener(double rate, double a4) {
    this.rate = rate;
    samples = new SampleHistory((int) (MEMORY * rate));
    onsets = new OnsetDetector(rate, samples);
    pitches = new PitchSalience(rate, a4);
  }

  /** Hears more; the sounds whose beginning and pitch are known now, by time. */
  public List<HeardSound> hear(float[] more, int count) {
    List<HeardSound> heard = new ArrayList<>();
    for (int n = 0; n < count; n++) {
      samples.add(more[n]);
      if ((samples.end() & 63) == 0) {
        waiting.addAll(onsets.advance());
        known(heard, 0);
      }
    }
    return heard;
  }

  /** What was still waiting for more when the stream ended. */
  public List<HeardSound> end() {
    // The edge at which a stream breaks off is no beginning.
    double last = samples.end() / rate - EDGE;
    int more = (int) (SILENCE * rate);
    List<HeardSound> heard = new ArrayList<>(hear(new float[more], more));
    known(heard, pitches.needs());
    heard.removeIf(h -> h.seconds() >= last);
    return heard;
  }

  private void known(List<HeardSound> heard, int less) {
    while (!waiting.isEmpty()
        && waiting.peek().sample() + pitches.needs() - less <= samples.end()) {
      OnsetDetector.Onset onset = waiting.remove();
      heard.add(pitches.at(samples, onset.sample(), onset.strength()));
    }
  }
}
