package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Hold;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.sound.Layer;
import phalanx.sound.strings.HandNoise;
import phalanx.sound.strings.Material;

/**
 * Fingers that are heard along wound strings: one that stays on its string while the hand shifts,
 * and one that slides from note to note.
 */
final class WoundStringNoise {

  /** Against a pluck, for each fret of the way, at the greatest freedom. */
  private static final double STRENGTH = 0.03;

  /** Further than this it grows no louder, frets. */
  private static final int FARTHEST = 3;

  /** So that the seeds of shifts and slides differ from those of other nuances. */
  private static final int SHIFT = 70;

  private static final int SLIDE = 80;

  private final Performance performance;
  private final Nuances nuances;
  private final double freedom;
  private final Material material;
  private final List<Event> events = new ArrayList<>();

  WoundStringNoise(Performance performance, Nuances nuances, double freedom) {
    this.performance = performance;
    this.nuances = nuances;
    this.freedom = freedom;
    material = Material.of(performance.arrangement().song().guitar());
  }

  /** All of it, in no order. */
  List<Event> events() {
    if (freedom > 0) {
      shifts();
      slides();
    }
    return events;
  }

  private record Way(Finger finger, int string) {}

  private void shifts() {
    Map<Way, Hold> guiding = new HashMap<>();
    List<Hold> holds = new ArrayList<>(performance.arrangement().holds());
    holds.sort(Comparator.comparingInt(Hold::fromTick));
    for (Hold hold : holds) {
      Way way = new Way(hold.finger(), hold.lowString());
      Hold from = guiding.get(way);
      if (from != null && from.fret() != hold.fret() && from.toTick() <= hold.fromTick()) {
        double at = performance.clock().seconds(from.toTick(), 0);
        heard(at, from.toTick(), SHIFT, way.string, hold.fret() - from.fret(), Layer.FINGERS);
        guiding.remove(way);
      }
      if (hold.guides()) {
        guiding.put(way, hold);
      }
    }
  }

  private void slides() {
    Sounded[] before = new Sounded[Tuning.STRINGS];
    for (Sounded sounded : performance.notes()) {
      int string = sounded.note().string();
      Sounded last = before[string];
      before[string] = sounded;
      boolean slid = sounded.note().attack() == Attack.SLID && sounded.from().isPresent();
      if (slid && last != null) {
        int frets = sounded.note().midi() - last.note().midi();
        double begins = sounded.onset() - PlayedNotes.slideSeconds(last, sounded);
        heard(begins, sounded.note().tick(), SLIDE, string, frets, Layer.of(sounded.note()));
      }
    }
  }

  private void heard(double at, int tick, int kind, int string, int frets, Layer layer) {
    if (frets != 0 && material.isWound(string)) {
      double strength = STRENGTH * freedom * Math.min(FARTHEST, Math.abs(frets));
      long seed = nuances.seed(tick, kind + string);
      events.add(new Event.Noise(at, HandNoise.SQUEAK, strength, seed, layer));
    }
  }
}
