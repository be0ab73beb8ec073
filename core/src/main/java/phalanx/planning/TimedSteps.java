package phalanx.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;

/**
 * Which step of which pattern is played when, and over which chord. A chord that a pattern brings
 * early is played from there on; a bar whose pattern counts on that, but that nothing leads to, has
 * those strokes on its first beat.
 */
public final class TimedSteps {

  /**
   * A step at its time.
   *
   * @param tick written time from the start of the song
   * @param bar the bar it is played in
   * @param slot the chord it is played over, by its place in the song
   * @param step the step; its tick counts from the start of a full bar
   */
  record TimedStep(int tick, PlayedBar bar, int slot, Pattern.Step step) {

    /** The same place without strokes. */
    TimedStep empty() {
      return new TimedStep(tick, bar, slot, Pattern.Step.of(step.tick()));
    }
  }

  /** After so many strokes every route is where it began. */
  private static final int WHOLE_ROUTE = 4;

  private final Song song;
  private final Timeline timeline;
  private final PatternBook book;
  private final InnerStrokes inner;
  private final int[] places;
  private final int[] early;
  private final List<TimedStep> steps = new ArrayList<>();

  private TimedSteps(Song song, Timeline timeline, PatternBook book, InnerStrokes inner) {
    this.inner = inner;
    this.song = song;
    this.timeline = timeline;
    this.book = book;
    places = places(timeline.bars(), book);
    early = new int[timeline.slots().size()];
  }

  /**
   * Lays the patterns of a song along it.
   *
   * @param inner says what of them is played beside the tune
   */
  static TimedSteps of(Song song, Timeline timeline, PatternBook book, InnerStrokes inner) {
    TimedSteps placed = new TimedSteps(song, timeline, book, inner);
    for (int slot = 0; slot < timeline.slots().size(); slot++) {
      placed.place(slot);
    }
    return placed;
  }

  /** Every step in order of time. */
  List<TimedStep> steps() {
    return steps;
  }

  /** The steps that are played over each slot. */
  List<List<Pattern.Step>> bySlot() {
    List<List<Pattern.Step>> all = new ArrayList<>();
    for (int i = 0; i < early.length; i++) {
      all.add(new ArrayList<>());
    }
    steps.forEach(s -> all.get(s.slot()).add(s.step()));
    return all;
  }

  /**
   * Where the thumb’s route stands when each chord comes: at its beginning, but where it was left
   * on a chord that goes on after a single stroke, so that two bars of a waltz go root, fifth. The
   * song ends on its root (common practice, no source).
   */
  int[] turns() {
    int[] strokes = new int[early.length];
    for (TimedStep step : steps) {
      for (Stroke stroke : step.step().strokes()) {
        boolean thumb = stroke instanceof Stroke.Pluck p && p.role() == Role.THUMB;
        strokes[step.slot()] += thumb ? 1 : 0;
      }
    }
    int[] turns = new int[early.length];
    for (int i = 1; i < turns.length; i++) {
      PlayedSlot before = timeline.slots().get(i - 1);
      PlayedSlot slot = timeline.slots().get(i);
      boolean single = strokes[i - 1] == 1 && i < turns.length - 1;
      boolean goesOn = slot.goesOnFrom(before) && (slot.isPart() || single);
      turns[i] = goesOn ? (turns[i - 1] + strokes[i - 1]) % WHOLE_ROUTE : 0;
    }
    return turns;
  }

  /** How many ticks early each chord comes. */
  int[] early() {
    return early;
  }

  private void place(int index) {
    PlayedSlot slot = timeline.slots().get(index);
    PlayedBar bar = timeline.barOf(slot);
    PickingStyle style = book.style(bar, slot);
    boolean lastBar = bar.number() == timeline.bars().get(timeline.bars().size() - 1).number();
    if (lastBar && song.patterns().softEnding() && index == timeline.slots().size() - 1) {
      steps.add(new TimedStep(slot.tick(), bar, index, softBrush(bar.inMetre(slot.tick()))));
      return;
    }
    Optional<Pattern> ending = lastBar ? style.ending(bar.meter()) : Optional.empty();
    Pattern pattern = ending.orElseGet(() -> book.pattern(style, bar.meter()));
    int bars = Math.max(1, pattern.lengthTicks() / bar.meter().barTicks());
    int ahead =
        places[bar.number() - timeline.bars().get(0).number()] % bars * bar.meter().barTicks();
    int from = bar.inMetre(slot.tick());
    TreeMap<Integer, Pattern.Step> row = new TreeMap<>();
    pattern.between(from, from + slot.lengthTicks(), ahead).forEach(s -> row.put(s.tick(), s));
    if (ending.isEmpty()) {
      change(bar, slot, row);
      beginByItself(index, bar, pattern, ahead, row);
      bassFirst(index, bar, pattern, row);
    }
    int over = index;
    for (Pattern.Step step : row.values()) {
      int tick = step.tick() - bar.metreTick() + bar.startTick();
      if (step.early() && over == index && index + 1 < timeline.slots().size()) {
        over = index + 1;
        early[over] = timeline.slots().get(over).tick() - tick;
      }
      // What the player changed in this bar is meant.
      Pattern.Step played = book.changes(bar).contains(step) ? step : inner.played(step, tick, bar);
      if (!played.strokes().isEmpty()) {
        steps.add(new TimedStep(tick, bar, over, played));
      }
    }
  }

  /**
   * A chord that comes in the middle of a bar is heard with its own bass: the nearest stroke of the
   * thumb comes to it, or one more where it has none (common practice, no source).
   */
  private void bassFirst(
      int index, PlayedBar bar, Pattern pattern, TreeMap<Integer, Pattern.Step> row) {
    PlayedSlot slot = timeline.slots().get(index);
    int from = bar.inMetre(slot.tick());
    Pattern.Step first = row.getOrDefault(from, Pattern.Step.of(from));
    boolean comes =
        slot.tick() > bar.startTick()
            && early[index] == 0
            && slot.harmony() instanceof Harmony.Sounding
            && !slot.harmony().equals(timeline.slots().get(index - 1).harmony());
    boolean players = book.changes(bar).stream().anyMatch(s -> s.tick() == from);
    if (!comes || players || first.early() || thumb(first).isPresent()) {
      return;
    }
    Optional<Pattern.Step> nearest =
        row.values().stream().filter(s -> !s.early() && thumb(s).isPresent()).findFirst();
    Optional<Stroke.Pluck> bass =
        nearest.flatMap(TimedSteps::thumb).or(() -> anyThumb(pattern)).map(TimedSteps::asRoot);
    if (bass.isEmpty()) {
      return;
    }
    nearest.ifPresent(s -> without(s, row));
    List<Stroke> strokes = new ArrayList<>(first.strokes());
    strokes.add(bass.get());
    row.put(from, first.withStrokes(strokes));
  }

  private static Optional<Stroke.Pluck> thumb(Pattern.Step step) {
    return step.plucks().filter(p -> p.role().isThumb()).findFirst();
  }

  private static Optional<Stroke.Pluck> anyThumb(Pattern pattern) {
    return pattern.steps().stream().flatMap(s -> thumb(s).stream()).findFirst();
  }

  private static Stroke.Pluck asRoot(Stroke.Pluck pluck) {
    Role role = pluck.role() == Role.ALTERNATE ? Role.ROOT : pluck.role();
    return new Stroke.Pluck(role, pluck.force(), pluck.finger(), pluck.techniques());
  }

  /** Without the thumb’s stroke, or without the step where it was all. */
  private static void without(Pattern.Step step, TreeMap<Integer, Pattern.Step> row) {
    Stroke.Pluck gone = thumb(step).orElseThrow();
    List<Stroke> rest = step.strokes().stream().filter(s -> !s.equals(gone)).toList();
    if (rest.isEmpty()) {
      row.remove(step.tick());
    } else {
      row.put(step.tick(), step.withStrokes(rest));
    }
  }

  private static Pattern.Step softBrush(int tick) {
    Stroke brush = new Stroke.Brush(0, 5, Touch.FLESH, Force.SOFT);
    return new Pattern.Step(tick, List.of(brush), Optional.empty(), false);
  }

  private void change(PlayedBar bar, PlayedSlot slot, TreeMap<Integer, Pattern.Step> row) {
    int from = bar.inMetre(slot.tick());
    for (Pattern.Step step : book.changes(bar)) {
      int tick = step.tick();
      if (tick >= from && tick < from + slot.lengthTicks()) {
        row.put(tick, step);
      }
    }
  }

  /** Strokes that the bar before should have brought early fall on the first beat instead. */
  private void beginByItself(
      int index, PlayedBar bar, Pattern pattern, int ahead, TreeMap<Integer, Pattern.Step> row) {
    boolean atStart = timeline.slots().get(index).tick() == bar.startTick();
    if (!atStart || bar.metreTick() > 0 || early[index] > 0) {
      return;
    }
    int length = pattern.lengthTicks();
    int barBefore = Math.floorMod(ahead - bar.meter().barTicks(), length);
    for (Pattern.Step step : pattern.between(0, bar.meter().barTicks(), barBefore)) {
      if (step.early() && !row.containsKey(0) && !step.strokes().isEmpty()) {
        row.put(0, new Pattern.Step(0, step.strokes(), step.roll(), false));
      }
    }
  }

  /**
   * Where each bar is among those of its section that are played with the same pattern, from 0:
   * longer patterns go on from there. A pick-up is not counted, because patterns begin with the
   * first whole bar.
   */
  public static int[] places(List<PlayedBar> bars, PatternBook book) {
    int[] places = new int[bars.size()];
    for (int b = 1; b < places.length; b++) {
      PlayedBar before = bars.get(b - 1);
      PlayedBar bar = bars.get(b);
      boolean goesOn = before.section() == bar.section() && before.metreTick() == 0;
      boolean same = book.style(before) == book.style(bar);
      places[b] = goesOn && same ? places[b - 1] + 1 : 0;
    }
    return places;
  }
}
