package phalanx.desktop.strip;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.desktop.strip.StripLayout.StripSystem;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.PickFinger;

/**
 * What of the strip lies at a point, and what lies beside it. Pure geometry like the layout it
 * asks.
 *
 * @param layout where everything is
 */
public record StripTouch(StripLayout layout) {

  /** How near to its middle a note is touched, px. */
  private static final double TOUCH = 9;

  /** The slot at a point of the strip. */
  public Optional<Integer> slotAt(double x, double y) {
    return systemAt(y).flatMap(s -> slotAt(s, x));
  }

  /** The system at a height of the strip. */
  Optional<StripSystem> systemAt(double y) {
    return layout.systems().stream()
        .filter(s -> y >= s.y() && y <= s.y() + layout.systemHeight())
        .findFirst();
  }

  /** The finger whose lane's name is at a point of the strip. */
  public Optional<Finger> laneAt(double x, double y) {
    return systemAt(y)
        .filter(s -> x < StripLayout.LEFT)
        .flatMap(
            s ->
                layout.lanes().stream()
                    .filter(
                        f ->
                            y - s.y() >= layout.laneY(f)
                                && y - s.y() < layout.laneY(f) + StripLayout.LANE)
                    .findFirst());
  }

  /** The picking finger whose letter is at a point of the strip. */
  public Optional<PickFinger> letterAt(double x, double y) {
    return systemAt(y)
        .flatMap(
            s -> {
              double within = y - s.y();
              boolean thumb = Math.abs(within - layout.thumbY() + 4) <= TOUCH;
              boolean finger = Math.abs(within - layout.lettersY() + 4) <= TOUCH;
              return layout.arrangement().notesFrom(s.startTick(), s.endTick()).stream()
                  .filter(n -> Math.abs(layout.x(s, n.tick()) - x) <= TOUCH)
                  .flatMap(n -> n.pick().stream())
                  .filter(p -> p == PickFinger.P ? thumb : finger)
                  .findFirst();
            });
  }

  /** The string whose line is nearest to a height of the strip. */
  public Optional<Integer> stringAt(double y) {
    return systemAt(y)
        .map(
            s -> {
              double up = (layout.stringY(0) - (y - s.y())) / StripLayout.STRING_GAP;
              return (int) Math.max(0, Math.min(Tuning.STRINGS - 1, Math.round(up)));
            });
  }

  /** The tick among some whose mark is at a point of the strip. */
  public Optional<Integer> markAt(double x, double y, List<Integer> ticks) {
    return systemAt(y)
        .filter(s -> Math.abs(y - s.y() - StripLayout.MARK_Y) <= TOUCH)
        .flatMap(
            s ->
                ticks.stream()
                    .filter(t -> t >= s.startTick() && t < s.endTick())
                    .filter(t -> Math.abs(layout.x(s, t) - x) <= TOUCH)
                    .findFirst());
  }

  /** The note whose ring is at a point of the strip. */
  public Optional<Note> noteAt(double x, double y) {
    return systemAt(y)
        .flatMap(
            s ->
                layout.arrangement().notesFrom(s.startTick(), s.endTick()).stream()
                    .filter(n -> Math.abs(layout.x(s, n.tick()) - x) <= TOUCH)
                    .filter(
                        n ->
                            Math.abs(s.y() + layout.stringY(n.string()) - y)
                                <= StripLayout.STRING_GAP / 2)
                    .findFirst());
  }

  private Optional<Integer> slotAt(StripSystem system, double x) {
    Optional<Integer> found = Optional.empty();
    List<Slot> slots = layout.arrangement().slots();
    for (int i = 0; i < slots.size(); i++) {
      int tick = slots.get(i).played().tick();
      boolean here = tick >= system.startTick() && tick < system.endTick();
      if (here && x >= layout.x(system, tick) - StripLayout.BAR_LEAD) {
        found = Optional.of(i);
      }
    }
    boolean inside =
        x >= StripLayout.LEFT && x <= StripLayout.LEFT + system.bars().size() * layout.barWidth();
    return inside ? found : Optional.empty();
  }

  /** The nearest slot one system further down (1) or up (-1), at the same place across. */
  public int slotAcross(int slot, int direction) {
    StripSystem here = layout.systemOf(slot);
    int target = layout.systems().indexOf(here) + direction;
    if (target < 0 || target >= layout.systems().size()) {
      return slot;
    }
    StripSystem there = layout.systems().get(target);
    double x = layout.x(here, layout.arrangement().slots().get(slot).played().tick());
    double right = StripLayout.LEFT + there.bars().size() * layout.barWidth() - 1;
    return slotAt(there, Math.min(x, right)).orElse(slot);
  }
}
