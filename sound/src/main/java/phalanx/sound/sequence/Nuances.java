package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import phalanx.arrangement.Attack;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.song.Timeline.PlayedBar;

/**
 * What differs from stroke to stroke when a player plays: when, how strongly, where. Drawn from the
 * song and the place in it, so that the same song always sounds the same and a bar that comes again
 * does not (common practice, no source: spread of a pinch, unevenness of level and time).
 */
final class Nuances {

  /** No stroke comes earlier or later than this, s. */
  private static final double LATEST = 0.008;

  /** The strings of a pinch are struck within, s, the bass first. */
  private static final double PINCH = 0.005;

  private static final double PINCH_MORE = 0.010;

  /** A stroke by itself is early or late by up to this, s. */
  private static final double JITTER = 0.004;

  /** Levels differ by this either way, dB; the first beat has more, what is off the beat less. */
  private static final double LEVEL = 1;

  private static final double ACCENT = 0.8;

  /** Places differ by this either way, mm. */
  private static final double PLACE = 5;

  /** A brush takes this long, s: softly, plainly, with an accent. */
  private static final double SOFT_BRUSH = 0.055;

  private static final double PLAIN_BRUSH = 0.035;
  private static final double ACCENTED_BRUSH = 0.018;

  /** Strokes at one time lie no further apart than this, s. */
  private static final double TOGETHER = 1e-4;

  private static final double USUAL = 0.5;

  private final Performance performance;
  private final double freedom;
  private final long song;
  private final Map<Sounded, Nuance> nuances = new IdentityHashMap<>();

  /**
   * Of one stroke.
   *
   * @param at when, seconds
   * @param strength a factor
   * @param place mm towards the neck
   * @param seed of its noises
   */
  record Nuance(double at, double strength, double place, long seed) {}

  Nuances(Performance performance, double freedom) {
    this.performance = performance;
    this.freedom = freedom;
    song = performance.arrangement().song().title().hashCode() * 0x9E3779B97F4A7C15L;
    TreeMap<Integer, List<Sounded>> byTick = new TreeMap<>();
    for (Sounded note : performance.notes()) {
      byTick.computeIfAbsent(note.note().tick(), t -> new ArrayList<>()).add(note);
    }
    byTick.values().forEach(this::moment);
  }

  /** Of a note. */
  Nuance of(Sounded note) {
    return nuances.get(note);
  }

  /** A seed for something at a place. */
  long seed(int tick, int what) {
    return song ^ (tick * 0xBF58476D1CE4E5B9L + what * 0x94D049BB133111EBL);
  }

  private void moment(List<Sounded> notes) {
    List<Sounded> brushed = notes.stream().filter(n -> n.note().isBrushed()).toList();
    if (brushed.size() > 1 && freedom > 0) {
      brush(brushed);
    }
    List<Sounded> rest =
        notes.stream()
            .filter(n -> !nuances.containsKey(n))
            .sorted(Comparator.comparingInt(n -> n.note().string()))
            .toList();
    SplittableRandom random = new SplittableRandom(seed(rest.isEmpty() ? 0 : tick(rest), 99));
    double spread = scale() * (PINCH + PINCH_MORE * random.nextDouble());
    double jitter = scale() * JITTER * (2 * random.nextDouble() - 1);
    long plucked = rest.stream().filter(n -> isTogether(n, rest)).count();
    int place = 0;
    for (Sounded note : rest) {
      boolean together = plucked > 1 && isTogether(note, rest);
      double share = together ? (double) place++ / (plucked - 1) - 0.5 : 0;
      boolean slurred = note.note().attack().isSlur() && note.from().isPresent();
      double moved = slurred ? 0 : spread * share + (together ? jitter / 2 : jitter);
      put(note, note.onset() + Math.max(-LATEST, Math.min(LATEST, moved)));
    }
  }

  private static int tick(List<Sounded> notes) {
    return notes.get(0).note().tick();
  }

  /** Whether it is struck at one time with others; rolled strings are not. */
  private static boolean isTogether(Sounded note, List<Sounded> all) {
    return note.note().attack() == Attack.PLUCKED
        && all.stream().anyMatch(o -> o != note && Math.abs(o.onset() - note.onset()) < TOGETHER);
  }

  /** A brush goes as fast as it is strong, whatever the tempo. */
  private void brush(List<Sounded> notes) {
    List<Sounded> row = notes.stream().sorted(Comparator.comparingDouble(Sounded::onset)).toList();
    double length =
        row.stream().mapToDouble(n -> brush(n.note().force())).min().orElse(PLAIN_BRUSH);
    for (int k = 0; k < row.size(); k++) {
      put(row.get(k), row.get(0).onset() + length * k / (row.size() - 1));
    }
  }

  private static double brush(Force force) {
    return switch (force) {
      case SOFT -> SOFT_BRUSH;
      case PLAIN -> PLAIN_BRUSH;
      case ACCENTED -> ACCENTED_BRUSH;
    };
  }

  private void put(Sounded note, double at) {
    int tick = note.note().tick();
    long seed = seed(tick, note.note().string());
    SplittableRandom random = new SplittableRandom(seed);
    double decibels = LEVEL * (2 * random.nextDouble() - 1) + accent(tick);
    double strength = Math.pow(10, scale() * decibels / 20);
    double place = scale() * PLACE * (2 * random.nextDouble() - 1);
    nuances.put(note, new Nuance(Math.max(0, at), strength, place, seed));
  }

  /** The first beat of a bar is stronger, what lies off the beat weaker, dB. */
  private double accent(int tick) {
    PlayedBar bar = performance.arrangement().timeline().barAt(tick);
    int within = bar.inMetre(tick);
    return within == 0 ? ACCENT : within % bar.meter().beatTicks() == 0 ? 0 : -ACCENT;
  }

  /** Half of the way is what players usually do. */
  private double scale() {
    return Math.min(2, freedom / USUAL);
  }
}
