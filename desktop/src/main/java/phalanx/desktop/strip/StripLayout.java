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
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.song.Lyrics;
import phalanx.song.Section;
import phalanx.song.Timeline.PlayedBar;

/**
 * Where everything of the two-hand strip is, in pixels from the top left of the whole strip. Pure
 * geometry: systems of bars below each other, and inside a system, from top to bottom, chord names,
 * a lane a fretting finger, six strings, the picking letters, the count, the words of the song.
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

  /** No bar is narrower, unless so many are wanted in a line, px. */
  private static final double NARROW = 120;

  private static final double NARROWEST = 60;

  /** Where the marks of hard spots are, from the top of a system. */
  static final double MARK_Y = 36;

  static final double BAR_LEAD = 14;
  private static final double BAR_TAIL = 8;

  /** From the last lane to string ①, and from string ⑥ to the letters. */
  private static final double STRINGS_LEAD = 26;

  private static final double LETTERS_LEAD = 30;
  private static final double THUMB_ROW = 17;
  private static final double HITS_ROW = 18;
  private static final double COUNT_ROW = 36;
  private static final double WORDS_ROW = 20;
  private static final double BOTTOM = 48;

  private final Performance performance;
  private final Arrangement arrangement;
  private final double barWidth;
  private final List<Finger> lanes;
  private final boolean hits;
  private final List<Lyrics.Line> words;
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
    this(performance, width, StripScale.USUAL.times(zoom));
  }

  StripLayout(Performance performance, double width, StripScale scale) {
    this.performance = performance;
    arrangement = performance.arrangement();
    int fitting = (int) Math.max(1, (width - LEFT) / (BAR * scale.zoom()));
    int perSystem = scale.barsALine() > 0 ? scale.barsALine() : fitting;
    barWidth = Math.max(scale.barsALine() > 0 ? NARROWEST : NARROW, (width - LEFT) / perSystem);
    hits = arrangement.gestures().stream().anyMatch(Gesture.Hit.class::isInstance);
    words = arrangement.song().words().played(arrangement.timeline());
    boolean thumb = arrangement.holds().stream().anyMatch(h -> h.finger() == Finger.THUMB);
    lanes =
        scale.folded()
            ? List.of()
            : thumb
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
    return lanes.isEmpty() ? List.of() : holds.getOrDefault(system, List.of());
  }

  /** Height of the whole strip, px. */
  public double height() {
    return height;
  }

  double systemHeight() {
    return countY() + (words.isEmpty() ? 0 : WORDS_ROW) + BOTTOM - COUNT_ROW;
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

  /** Base line of the words. */
  double wordsY() {
    return countY() + WORDS_ROW;
  }

  /** The words that begin in a system. */
  List<Lyrics.Line> words(StripSystem system) {
    return words.stream()
        .filter(w -> w.tick() >= system.startTick() && w.tick() < system.endTick())
        .toList();
  }

  /** Whether the song has words. */
  boolean hasWords() {
    return !words.isEmpty();
  }

  /** What is laid out. */
  Arrangement arrangement() {
    return arrangement;
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
    return systemAtTick(arrangement.slots().get(slot).played().tick()).orElseThrow();
  }

  /** The system a tick of the song falls in; empty behind its end. */
  Optional<StripSystem> systemAtTick(int tick) {
    return systems.stream().filter(s -> tick < s.endTick()).findFirst();
  }
}
