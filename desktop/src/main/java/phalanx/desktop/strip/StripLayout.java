package phalanx.desktop.strip;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.PickFinger;
import phalanx.song.Section;
import phalanx.song.Timeline.PlayedBar;

/**
 * Where everything of the two-hand strip is, in pixels from the top left of the whole strip. Pure
 * geometry: systems of bars below each other, and inside a system, from top to bottom, chord names,
 * a lane a fretting finger, six strings, the picking letters, the count.
 */
public final class StripLayout {

  /** Room at the left for the names of lanes and strings. */
  static final double LEFT = 44;

  static final double LANE = 20;
  static final double STRING_GAP = 15;
  static final double LANES_TOP = 44;
  static final double HEADING = 30;
  static final double SYSTEM_GAP = 14;

  /** Width of a bar at zoom 1. */
  private static final double BAR = 380;

  /** Where the marks of hard spots are, from the top of a system. */
  static final double MARK_Y = 36;

  /** How near to its middle a note is touched. */
  private static final double TOUCH = 9;

  private static final double BAR_LEAD = 14;
  private static final double BAR_TAIL = 8;

  /** From the last lane to string ①, and from string ⑥ to the letters. */
  private static final double STRINGS_LEAD = 26;

  private static final double LETTERS_LEAD = 30;
  private static final double THUMB_ROW = 17;
  private static final double HITS_ROW = 18;
  private static final double COUNT_ROW = 36;
  private static final double BOTTOM = 48;

  private final Performance performance;
  private final Arrangement arrangement;
  private final double barWidth;
  private final List<Finger> lanes;
  private final boolean hits;
  private final List<StripSystem> systems = new ArrayList<>();
  private final Map<StripSystem, List<Hold>> holds = new HashMap<>();
  private final Map<StripSystem, List<Sounded>> tails = new HashMap<>();
  private double height;
  private List<Double> cuts = List.of();

  /**
   * One row of bars.
   *
   * @param y top of its panel
   * @param label the section's name where one begins here, drawn above the panel
   * @param bars its bars
   */
  public record StripSystem(double y, Optional<String> label, List<PlayedBar> bars) {

    /** Where it begins with its heading, px. */
    double top() {
      return y - (label.isPresent() ? HEADING : 0);
    }

    int startTick() {
      return bars.get(0).startTick();
    }

    int endTick() {
      PlayedBar last = bars.get(bars.size() - 1);
      return last.startTick() + last.lengthTicks();
    }
  }

  /**
   * Lays an arrangement out.
   *
   * @param performance the arrangement in time
   * @param width width of the strip, px
   * @param zoom 1 for the usual size of a bar
   */
  public StripLayout(Performance performance, double width, double zoom) {
    this.performance = performance;
    arrangement = performance.arrangement();
    int perSystem = (int) Math.max(1, (width - LEFT) / (BAR * zoom));
    barWidth = Math.max(120, (width - LEFT) / perSystem);
    hits = arrangement.gestures().stream().anyMatch(Gesture.Hit.class::isInstance);
    boolean thumb = arrangement.holds().stream().anyMatch(h -> h.finger() == Finger.THUMB);
    lanes =
        thumb
            ? List.of(Finger.values())
            : List.of(Finger.INDEX, Finger.MIDDLE, Finger.RING, Finger.LITTLE);
    layOut(perSystem);
  }

  private void layOut(int perSystem) {
    List<PlayedBar> bars = arrangement.timeline().bars();
    int from = 0;
    int section = -1;
    while (from < bars.size()) {
      boolean begins = bars.get(from).section() != section;
      section = bars.get(from).section();
      int to = from;
      while (to < bars.size() && to - from < perSystem && bars.get(to).section() == section) {
        to++;
      }
      Section written = arrangement.song().sections().get(section);
      Optional<String> label = begins ? Optional.of(written.label()) : Optional.empty();
      height += begins ? HEADING : 0;
      StripSystem system = new StripSystem(height, label, bars.subList(from, to));
      systems.add(system);
      height += systemHeight() + SYSTEM_GAP;
      from = to;
    }
    cuts = cuts(systems, height);
    shareHolds();
  }

  /** Holds by the systems they show in, so that painting one looks at no others. */
  private void shareHolds() {
    share(arrangement.holds(), Hold::fromTick, Hold::toTick, holds);
    share(
        performance.notes(),
        n -> n.note().tick(),
        n -> Math.max(n.endTick(), n.note().endTick()),
        tails);
  }

  /** Shares what lasts, ordered by its start, among the systems in which it shows. */
  private <T> void share(
      List<T> all, ToIntFunction<T> from, ToIntFunction<T> to, Map<StripSystem, List<T>> shared) {
    int first = 0;
    for (T one : all) {
      while (first < systems.size() && systems.get(first).endTick() <= from.applyAsInt(one)) {
        first++;
      }
      for (int s = first; s < systems.size(); s++) {
        if (systems.get(s).startTick() >= to.applyAsInt(one)) {
          break;
        }
        shared.computeIfAbsent(systems.get(s), k -> new ArrayList<>()).add(one);
      }
    }
  }

  /** The notes that sound in a system, those that ring on from before as well. */
  List<Sounded> tails(StripSystem system) {
    return tails.getOrDefault(system, List.of());
  }

  /** The holds that show in a system. */
  List<Hold> holds(StripSystem system) {
    return holds.getOrDefault(system, List.of());
  }

  /** Height of the whole strip, px. */
  public double height() {
    return height;
  }

  double systemHeight() {
    return countY() + BOTTOM - COUNT_ROW;
  }

  double barWidth() {
    return barWidth;
  }

  List<Finger> lanes() {
    return lanes;
  }

  /** Top of a finger's lane from the top of its system. */
  double laneY(Finger finger) {
    return LANES_TOP + lanes.indexOf(finger) * LANE;
  }

  /** A string's line (0 for ⑥) from the top of its system. */
  double stringY(int string) {
    double first = LANES_TOP + lanes.size() * LANE + STRINGS_LEAD;
    return first + (Tuning.STRINGS - 1 - string) * STRING_GAP;
  }

  /** Base line of the fingers' letters from the top of a system. */
  double lettersY() {
    return stringY(0) + LETTERS_LEAD;
  }

  double thumbY() {
    return lettersY() + THUMB_ROW;
  }

  /** Whether there is a row of hits, because there are hits. */
  boolean hasHits() {
    return hits;
  }

  double hitsY() {
    return thumbY() + HITS_ROW;
  }

  double countY() {
    return lettersY() + COUNT_ROW + (hits ? HITS_ROW : 0);
  }

  /** All systems, top to bottom. */
  public List<StripSystem> systems() {
    return systems;
  }

  /** Where the strip can be cut between its systems, whole px, from 0 to its height. */
  public List<Double> cuts() {
    return cuts;
  }

  private static List<Double> cuts(List<StripSystem> systems, double height) {
    List<Double> cuts = new ArrayList<>(List.of(0.0));
    systems.stream().skip(1).forEach(s -> cuts.add((double) Math.round(s.top() - SYSTEM_GAP / 2)));
    cuts.add(Math.ceil(height));
    return cuts;
  }

  /** The systems that show between two heights; found without looking at the others. */
  public List<StripSystem> visible(double top, double bottom) {
    int first = firstEndingBelow(top);
    int last = first;
    while (last < systems.size() && systems.get(last).top() < bottom) {
      last++;
    }
    return systems.subList(first, last);
  }

  private int firstEndingBelow(double y) {
    int low = 0;
    int high = systems.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (systems.get(middle).y() + systemHeight() < y) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Left edge of a bar in its system. */
  double barX(StripSystem system, PlayedBar bar) {
    return LEFT + system.bars().indexOf(bar) * barWidth;
  }

  /** Where a tick of a system is. The end of a bar lies just before the next bar's line. */
  double x(StripSystem system, int tick) {
    int bar = 0;
    while (bar + 1 < system.bars().size() && tick >= system.bars().get(bar + 1).startTick()) {
      bar++;
    }
    PlayedBar at = system.bars().get(bar);
    double within = (tick - at.startTick()) / (double) at.lengthTicks();
    return LEFT + bar * barWidth + BAR_LEAD + within * (barWidth - BAR_LEAD - BAR_TAIL);
  }

  /** The system a slot is drawn in. */
  public StripSystem systemOf(int slot) {
    int tick = arrangement.slots().get(slot).played().tick();
    return systems.stream().filter(s -> tick < s.endTick()).findFirst().orElseThrow();
  }

  /** The slot at a point of the strip. */
  public Optional<Integer> slotAt(double x, double y) {
    return systemAt(y).flatMap(s -> slotAt(s, x));
  }

  /** The system at a height of the strip. */
  Optional<StripSystem> systemAt(double y) {
    return systems.stream().filter(s -> y >= s.y() && y <= s.y() + systemHeight()).findFirst();
  }

  /** The finger whose lane's name is at a point of the strip. */
  public Optional<Finger> laneAt(double x, double y) {
    return systemAt(y)
        .filter(s -> x < LEFT)
        .flatMap(
            s ->
                lanes.stream()
                    .filter(f -> y - s.y() >= laneY(f) && y - s.y() < laneY(f) + LANE)
                    .findFirst());
  }

  /** The picking finger whose letter is at a point of the strip. */
  public Optional<PickFinger> letterAt(double x, double y) {
    return systemAt(y)
        .flatMap(
            s -> {
              double within = y - s.y();
              boolean thumb = Math.abs(within - thumbY() + 4) <= TOUCH;
              boolean finger = Math.abs(within - lettersY() + 4) <= TOUCH;
              return arrangement.notesFrom(s.startTick(), s.endTick()).stream()
                  .filter(n -> Math.abs(x(s, n.tick()) - x) <= TOUCH)
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
              double up = (stringY(0) - (y - s.y())) / STRING_GAP;
              return (int) Math.max(0, Math.min(Tuning.STRINGS - 1, Math.round(up)));
            });
  }

  /** The tick among some whose mark is at a point of the strip. */
  public Optional<Integer> markAt(double x, double y, List<Integer> ticks) {
    return systemAt(y)
        .filter(s -> Math.abs(y - s.y() - MARK_Y) <= TOUCH)
        .flatMap(
            s ->
                ticks.stream()
                    .filter(t -> t >= s.startTick() && t < s.endTick())
                    .filter(t -> Math.abs(x(s, t) - x) <= TOUCH)
                    .findFirst());
  }

  /** The note whose ring is at a point of the strip. */
  public Optional<Note> noteAt(double x, double y) {
    return systemAt(y)
        .flatMap(
            s ->
                arrangement.notesFrom(s.startTick(), s.endTick()).stream()
                    .filter(n -> Math.abs(x(s, n.tick()) - x) <= TOUCH)
                    .filter(n -> Math.abs(s.y() + stringY(n.string()) - y) <= STRING_GAP / 2)
                    .findFirst());
  }

  private Optional<Integer> slotAt(StripSystem system, double x) {
    Optional<Integer> found = Optional.empty();
    List<Slot> slots = arrangement.slots();
    for (int i = 0; i < slots.size(); i++) {
      int tick = slots.get(i).played().tick();
      boolean here = tick >= system.startTick() && tick < system.endTick();
      if (here && x >= x(system, tick) - BAR_LEAD) {
        found = Optional.of(i);
      }
    }
    boolean inside = x >= LEFT && x <= LEFT + system.bars().size() * barWidth;
    return inside ? found : Optional.empty();
  }

  /** The nearest slot one system further down (1) or up (-1), at the same place across. */
  public int slotAcross(int slot, int direction) {
    StripSystem here = systemOf(slot);
    int target = systems.indexOf(here) + direction;
    if (target < 0 || target >= systems.size()) {
      return slot;
    }
    StripSystem there = systems.get(target);
    double x = x(here, arrangement.slots().get(slot).played().tick());
    double right = LEFT + there.bars().size() * barWidth - 1;
    return slotAt(there, Math.min(x, right)).orElse(slot);
  }
}
