package phalanx.sound.strings;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;

/** Hits, clicks and small noises that are under way. Not safe for several threads. */
final class Percussion {

  private final double rate;
  private final List<Struck> struck = new ArrayList<>();

  /** A hit or a click under way. */
  private static final class Struck {
    final double[] sound;
    final double level;
    final Layer layer;
    final boolean always;
    int at;

    Struck(double[] sound, double level, Layer layer, boolean always) {
      this.always = always;
      this.sound = sound;
      this.level = level;
      this.layer = layer;
    }
  }

  Percussion(double rate) {
    this.rate = rate;
  }

  /** A hit on strings or wood, no two alike. */
  void hit(HitKind kind, double strength, long seed) {
    struck.add(new Struck(Impact.of(kind, rate, seed), strength, Layer.HITS, false));
  }

  /** A small noise of the hands. */
  void noise(HandNoise kind, double strength, long seed, Layer layer) {
    struck.add(new Struck(Impact.of(kind, rate, seed), strength, layer, false));
  }

  /**
   * A click of the metronome.
   *
   * @param always whether it is heard though the metronome is not
   */
  void click(Beat beat, boolean always) {
    struck.add(new Struck(Impact.click(beat, rate), 1, Layer.CLICK, always));
  }

  boolean isSilent() {
    return struck.isEmpty();
  }

  /** Adds what goes through the body of the guitar, or what does not: the metronome. */
  void add(boolean clicks, Levels levels, double[] one, double[] other, int frames) {
    for (Iterator<Struck> all = struck.iterator(); all.hasNext(); ) {
      Struck s = all.next();
      if (clicks != (s.layer == Layer.CLICK)) {
        continue;
      }
      double level = s.level * (s.always ? 1 : levels.gain(s.layer));
      int last = Math.min(frames, s.sound.length - s.at);
      for (int n = 0; n < last; n++) {
        double v = level * s.sound[s.at + n];
        one[n] += v;
        if (other != one) {
          other[n] += v;
        }
      }
      s.at += last;
      if (s.at == s.sound.length) {
        all.remove();
      }
    }
  }
}
