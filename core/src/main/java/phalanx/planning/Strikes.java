package phalanx.planning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Strike;
import phalanx.song.Clock;
import phalanx.song.Song;
import phalanx.theory.Ticks;

/** What the picking hand is asked for at each moment, before its fingers are chosen. */
final class Strikes {

  /** Up to this string, ③, the thumb plucks what the index finger touches. */
  private static final int LOWEST_OF_RING = 3;

  private final Song song;
  private final Clock clock;
  private final TuneStrokes tune;

  Strikes(Song song, Clock clock, TuneStrokes tune) {
    this.song = song;
    this.clock = clock;
    this.tune = tune;
  }

  /** What is struck at one step. */
  Strike of(VoicedStep on) {
    Optional<Integer> thumb =
        on.plucks().stream().filter(VoicedStroke::byThumb).map(VoicedStroke::string).findFirst();
    Map<Integer, PickFinger> wanted = new HashMap<>();
    Set<PickFinger> gesture = new HashSet<>();
    List<Integer> strings = new ArrayList<>();
    for (VoicedStroke p : on.plucks()) {
      if (p.byThumb() && p.played().isTouchedByPicking()) {
        gesture.add(PickFinger.I);
      }
      if (!p.byThumb() && p.slur().isEmpty() && !on.sweeps(p)) {
        strings.add(p.string());
        p.pluck().finger().ifPresent(f -> wanted.put(p.string(), f));
        if (p.pluck().role() == Role.TUNE && isNearTouch(on.placed().tick())) {
          wanted.put(p.string(), PickFinger.A);
        }
        if (p.played().isTouchedByPicking()) {
          // The index finger touches; behind it the thumb plucks the lower strings, where it is
          // free, and the ring finger the others.
          gesture.add(PickFinger.I);
          boolean low = p.string() <= LOWEST_OF_RING && thumb.isEmpty();
          boolean ring = song.school().fingers().contains(PickFinger.A) && !low;
          wanted.put(p.string(), ring ? PickFinger.A : PickFinger.P);
        }
      }
    }
    on.brush().ifPresent(b -> gesture.addAll(b.touch().fingers()));
    List<Set<PickFinger>> lighter = new ArrayList<>();
    if (on.hit().isPresent()) {
      VoicedHit hit = on.hit().get();
      if (gesture.isEmpty() && isForTheTune(on)) {
        lighter.addAll(hit.besideTheTune());
      }
      gesture.addAll(hit.fingers());
    }
    int tick = clock.evened(on.placed().tick(), 0);
    Map<Integer, Integer> delays = new HashMap<>(delays(on));
    delays.replaceAll((string, delay) -> clock.evenedDelay(on.placed().bar(), delay));
    return new Strike(tick, thumb, strings, wanted, gesture, lighter, delays);
  }

  /**
   * Whether the fingers pluck nothing but the tune. A pattern that asks for a hit and for fingers
   * beside it is told so.
   */
  private static boolean isForTheTune(VoicedStep on) {
    List<VoicedStroke> plucked = on.plucks().stream().filter(p -> !p.byThumb()).toList();
    return !plucked.isEmpty() && plucked.stream().allMatch(p -> p.rings().isPresent());
  }

  /**
   * Whether the index finger is on its way from or to a harmonic, so that the ring finger plucks.
   */
  private boolean isNearTouch(int tick) {
    return song.school().fingers().contains(PickFinger.A)
        && tune.touches().subSet(tick - Ticks.PER_QUARTER, tick + Ticks.PER_QUARTER + 1).stream()
            .anyMatch(t -> t != tick);
  }

  /** How much later than the first each string of a roll comes. */
  static Map<Integer, Integer> delays(VoicedStep on) {
    Map<Integer, Integer> delays = new HashMap<>();
    Optional<Roll> roll = on.placed().step().roll();
    int count = on.plucks().size();
    for (int k = 0; roll.isPresent() && k < count; k++) {
      int place = roll.get().towardsTreble() ? k : count - 1 - k;
      delays.put(on.plucks().get(k).string(), place * roll.get().stepTicks());
    }
    return delays;
  }
}
