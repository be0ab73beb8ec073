package phalanx.planning;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.MelodyNote;
import phalanx.picking.Density;
import phalanx.picking.Pattern;
import phalanx.picking.Stroke;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Ticks;

/**
 * Which strokes of a pattern are played beside a tune: as many as the player said, and where
 * nothing is said none between the notes of a quick line and none in a pick-up, which is the tune
 * alone (common practice, no source).
 */
final class InnerStrokes {

  /** Notes further apart than this are no quick line, ms, however short they are written. */
  private static final double QUICK_MS = 500;

  private final Song song;
  private final Timeline timeline;
  private final TreeMap<Integer, MelodyNote> tune = new TreeMap<>();
  private final Set<Integer> leftOut;

  /**
   * For a song.
   *
   * @param leftOut when nothing is played but the thumb, unless the player said how much is
   */
  InnerStrokes(Song song, Timeline timeline, List<MelodyNote> line, Set<Integer> leftOut) {
    this.leftOut = leftOut;
    this.song = song;
    this.timeline = timeline;
    line.forEach(n -> tune.put(n.tick(), n));
  }

  /** A step as it is played at a tick of the song. */
  Pattern.Step played(Pattern.Step step, int tick, PlayedBar bar) {
    Optional<Density> said = song.picking().densities().at(bar.written(), song.chart());
    if (said.isEmpty() && isTunesPickup(bar)) {
      return step.withStrokes(List.of());
    }
    boolean inner =
        switch (said.orElse(Density.FULL)) {
          case THUMB, TUNE -> false;
          case HELD -> !isStruckOrShort(tick, bar);
          case FULL -> said.isPresent() || !leftOut.contains(tick) && !isQuick(tick, bar);
        };
    return inner
        ? step
        : step.withStrokes(step.strokes().stream().filter(s -> !isFingers(s)).toList());
  }

  private static boolean isFingers(Stroke stroke) {
    return stroke instanceof Stroke.OnRole r
        && !(stroke instanceof Stroke.Stop)
        && !r.role().isThumb();
  }

  /** The first bar, where it is shorter than its metre and something is sung in it. */
  private boolean isTunesPickup(PlayedBar bar) {
    return bar.metreTick() > 0
        && bar == timeline.bars().get(0)
        && !tune.subMap(bar.startTick(), bar.endTick()).isEmpty();
  }

  /** Whether the tune begins a note here, or sounds one shorter than a beat. */
  private boolean isStruckOrShort(int tick, PlayedBar bar) {
    Map.Entry<Integer, MelodyNote> note = tune.floorEntry(tick);
    return note != null
        && tick < note.getValue().endTick()
        && (tick == note.getKey()
            || note.getValue().endTick() - note.getKey() < bar.meter().beatTicks());
  }

  /** Whether three notes around a tick follow each other in half beats or less. */
  private boolean isQuick(int tick, PlayedBar bar) {
    Integer at = tune.floorKey(tick);
    if (at == null || tick >= tune.get(at).endTick()) {
      return false;
    }
    Integer next = tune.higherKey(at);
    if (next == null || !isShort(at, next, bar)) {
      return false;
    }
    Integer before = tune.lowerKey(at);
    Integer after = tune.higherKey(next);
    return before != null && isShort(before, at, bar) || after != null && isShort(next, after, bar);
  }

  private boolean isShort(int from, int to, PlayedBar bar) {
    int half = Math.min(bar.meter().beatTicks(), Ticks.PER_QUARTER) / 2;
    return to - from <= half && Ticks.millis((long) to - from, bar.tempo()) <= QUICK_MS;
  }
}
