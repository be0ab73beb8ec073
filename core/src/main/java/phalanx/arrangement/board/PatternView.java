package phalanx.arrangement.board;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.PickingStyle;
import phalanx.picking.WrittenPattern;
import phalanx.planning.PatternBook;
import phalanx.planning.TimedSteps;
import phalanx.song.Patterns;
import phalanx.song.Patterns.Scope;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Meter;

/** The pattern of a song, a section, a bar or a chord, as it is shown and changed. */
public final class PatternView {

  private PatternView() {}

  /** The scopes that hold a chord, from the widest to the narrowest. */
  public static List<Scope> scopes(Song song, SlotRef slot) {
    int bar = slot.bar();
    Scope section =
        song.chart()
            .sectionOf(bar)
            .<Scope>map(s -> new Scope.OfSection(s.id()))
            .orElse(new Scope.WholeSong());
    return List.of(new Scope.WholeSong(), section, new Scope.OfBar(bar), new Scope.OfChord(slot));
  }

  /** What is played in a scope around a chord, written out in the metre there. */
  public static WrittenPattern shown(Song song, Timeline timeline, PlayedSlot slot, Scope scope) {
    PlayedBar bar = timeline.barOf(slot);
    Meter meter = bar.meter();
    Patterns patterns = song.patterns();
    if (scope instanceof Scope.OfSection s) {
      return PatternEdits.written(patterns.atSection(s.section(), song.chart()), meter);
    } else if (scope instanceof Scope.OfChord c) {
      return PatternEdits.written(patterns.at(c.slot(), song.chart()), meter);
    } else if (scope instanceof Scope.OfBar) {
      return ofBar(song, timeline, bar);
    }
    return PatternEdits.written(patterns.song(), meter);
  }

  /**
   * Where in its pattern a bar is that is played, ticks from the pattern's start; empty where
   * another pattern is played than the one shown in a scope around it.
   *
   * @param tick written ticks from the start of the song
   */
  public static OptionalInt within(
      Song song, Timeline timeline, int tick, Scope scope, WrittenPattern shown) {
    PlayedBar bar = timeline.barAt(tick);
    PatternBook book = new PatternBook(song);
    PickingStyle style = book.style(bar);
    int length = shown.pattern().lengthTicks();
    int within = bar.inMetre(tick);
    if (scope instanceof Scope.OfBar b) {
      return b.bar() == bar.written() ? OptionalInt.of(within) : OptionalInt.empty();
    }
    boolean same = PatternEdits.written(style, bar.meter()).pattern().equals(shown.pattern());
    int place = TimedSteps.places(timeline.bars(), book)[timeline.placeOf(bar)];
    int bars = Math.max(1, length / bar.meter().barTicks());
    return same
        ? OptionalInt.of(place % bars * bar.meter().barTicks() + within)
        : OptionalInt.empty();
  }

  /** The one bar of its pattern that a bar plays, with the steps it changes. */
  private static WrittenPattern ofBar(Song song, Timeline timeline, PlayedBar bar) {
    PatternBook book = new PatternBook(song);
    PickingStyle style = book.style(bar);
    Meter meter = bar.meter();
    Pattern whole = style.in(meter);
    int place = TimedSteps.places(timeline.bars(), book)[timeline.bars().indexOf(bar)];
    int bars = Math.max(1, whole.lengthTicks() / meter.barTicks());
    TreeMap<Integer, Pattern.Step> steps = new TreeMap<>();
    whole
        .between(0, meter.barTicks(), place % bars * meter.barTicks())
        .forEach(s -> steps.put(s.tick(), s));
    song.patterns().changes(bar.written(), song.chart()).forEach(s -> steps.put(s.tick(), s));
    steps.values().removeIf(Pattern.Step::isEmpty);
    Pattern one = new Pattern(style.title(), meter.barTicks(), List.copyOf(steps.values()));
    return new WrittenPattern(style.title(), style.words(), meter, one, Optional.empty());
  }

  /**
   * The song with a pattern that was changed in a scope.
   *
   * @param before what {@link #shown} gave
   * @param after the same with strokes changed
   */
  public static Song changed(Song song, Scope scope, WrittenPattern before, WrittenPattern after) {
    Patterns patterns = song.patterns();
    boolean follows = scope instanceof Scope.OfBar b && !patterns.bars().containsKey(b.bar());
    boolean sameLength = before.pattern().lengthTicks() == after.pattern().lengthTicks();
    if (!follows || !sameLength) {
      return song.withPatterns(patterns.with(scope, after));
    }
    int bar = ((Scope.OfBar) scope).bar();
    TreeSet<Integer> ticks = new TreeSet<>();
    Stream.of(before, after)
        .flatMap(p -> p.pattern().steps().stream())
        .forEach(s -> ticks.add(s.tick()));
    for (int tick : ticks) {
      Pattern.Step step = PatternEdits.step(after.pattern(), tick);
      if (!step.equals(PatternEdits.step(before.pattern(), tick))) {
        patterns = patterns.changing(bar, step);
      }
    }
    return song.withPatterns(patterns);
  }
}
