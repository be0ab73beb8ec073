package phalanx.practice;

import java.util.Comparator;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;

/**
 * Some bars of an arrangement as one of its own, to be shown and heard: the same ticks, the same
 * numbers of bars, and time from the first of them on. Its plan is that of the whole.
 */
public final class Excerpt {

  private Excerpt() {}

  /** The bars that have anything between two ticks, with what the arrangement plays there. */
  public static Arrangement of(Arrangement a, int fromTick, int toTick) {
    List<PlayedBar> bars =
        a.timeline().bars().stream()
            .filter(b -> b.startTick() < toTick && fromTick < b.endTick())
            .toList();
    if (bars.isEmpty()) {
      return a;
    }
    int from = bars.get(0).startTick();
    int to = bars.get(bars.size() - 1).endTick();
    Timeline timeline =
        new Timeline(
            bars,
            a.timeline().slots().stream().filter(s -> from <= s.tick() && s.tick() < to).toList());
    return new Arrangement(
        a.song(),
        timeline,
        a.slotsFrom(from, to),
        a.notesFrom(Math.max(from, fromTick), Math.min(to, toTick)),
        a.gesturesFrom(from, to),
        a.dampsFrom(from, to),
        a.holds().stream()
            .filter(h -> h.fromTick() < to && from < h.toTick())
            .map(h -> cut(h, from, to))
            .toList(),
        a.plan());
  }

  /** The first full bar between two ticks, with nothing in it: what only clicks are heard of. */
  public static Arrangement silent(Arrangement a, int fromTick, int toTick) {
    PlayedBar bar =
        a.timeline().bars().stream()
            .filter(b -> b.startTick() < toTick && fromTick < b.endTick())
            .max(Comparator.comparingInt(PlayedBar::lengthTicks))
            .orElseThrow();
    Arrangement one = of(a, bar.startTick(), bar.endTick());
    return new Arrangement(
        one.song(),
        one.timeline(),
        one.slots(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        one.plan());
  }

  private static Hold cut(Hold hold, int from, int to) {
    return new Hold(
        hold.finger(),
        hold.fret(),
        hold.lowString(),
        hold.highString(),
        Math.max(from, hold.fromTick()),
        Math.min(to, hold.toTick()),
        hold.guides() && hold.toTick() <= to);
  }
}
