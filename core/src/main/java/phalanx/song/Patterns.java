package phalanx.song;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;

/**
 * What the picking hand plays where. The narrowest word counts: that of a chord, else of its bar,
 * else of its section, else of the song. A bar or section that is like another follows that one.
 *
 * @param song for everything not said otherwise
 * @param sections by identity of the section
 * @param bars by identity of the bar
 * @param slots by where the chord is written
 * @param changed single steps that a bar plays otherwise, by identity of the bar; ticks from the
 *     start of the bar
 * @param softEnding whether the last chord is brushed softly
 */
public record Patterns(
    PickingStyle song,
    Map<Integer, PickingStyle> sections,
    Map<Integer, PickingStyle> bars,
    Map<SlotRef, PickingStyle> slots,
    Map<Integer, List<Pattern.Step>> changed,
    boolean softEnding) {

  public Patterns {
    sections = Map.copyOf(sections);
    bars = Map.copyOf(bars);
    slots = Map.copyOf(slots);
    changed = Map.copyOf(changed);
  }

  /** One pattern for a whole song. */
  public static Patterns of(PickingStyle song) {
    return new Patterns(song, Map.of(), Map.of(), Map.of(), Map.of(), false);
  }

  /** Where a pattern may be said to be played. */
  public sealed interface Scope {

    /** In the whole song, where nothing else is said. */
    record WholeSong() implements Scope {}

    /** In a section. */
    record OfSection(int section) implements Scope {}

    /** In a bar. */
    record OfBar(int bar) implements Scope {}

    /** Over one chord. */
    record OfChord(SlotRef slot) implements Scope {}
  }

  /**
   * With a pattern somewhere. Steps changed in a bar that gets a pattern of its own are dropped.
   */
  public Patterns with(Scope scope, PickingStyle style) {
    if (scope instanceof Scope.OfSection s) {
      return new Patterns(
          song, plus(sections, s.section(), style), bars, slots, changed, softEnding);
    } else if (scope instanceof Scope.OfBar b) {
      return new Patterns(
          song, sections, plus(bars, b.bar(), style), slots, minus(changed, b.bar()), softEnding);
    } else if (scope instanceof Scope.OfChord c) {
      return new Patterns(song, sections, bars, plus(slots, c.slot(), style), changed, softEnding);
    }
    return new Patterns(style, sections, bars, slots, changed, softEnding);
  }

  /** With nothing said for a scope any more; the whole song always has a pattern. */
  public Patterns without(Scope scope) {
    if (scope instanceof Scope.OfSection s) {
      return new Patterns(song, minus(sections, s.section()), bars, slots, changed, softEnding);
    } else if (scope instanceof Scope.OfBar b) {
      return new Patterns(
          song, sections, minus(bars, b.bar()), slots, minus(changed, b.bar()), softEnding);
    } else if (scope instanceof Scope.OfChord c) {
      return new Patterns(song, sections, bars, minus(slots, c.slot()), changed, softEnding);
    }
    return this;
  }

  /** With a step that a bar plays in place of its pattern's at the same tick. */
  public Patterns changing(int bar, Pattern.Step step) {
    TreeMap<Integer, Pattern.Step> steps = new TreeMap<>();
    changed.getOrDefault(bar, List.of()).forEach(s -> steps.put(s.tick(), s));
    steps.put(step.tick(), step);
    return new Patterns(
        song, sections, bars, slots, plus(changed, bar, List.copyOf(steps.values())), softEnding);
  }

  /** With or without a soft brush on the last chord. */
  public Patterns endingSoftly(boolean soft) {
    return new Patterns(song, sections, bars, slots, changed, soft);
  }

  /** Whether something is said for just this scope. */
  public boolean has(Scope scope) {
    if (scope instanceof Scope.OfSection s) {
      return sections.containsKey(s.section());
    } else if (scope instanceof Scope.OfBar b) {
      return bars.containsKey(b.bar()) || changed.containsKey(b.bar());
    }
    return !(scope instanceof Scope.OfChord c) || slots.containsKey(c.slot());
  }

  /** What is played over a chord. */
  public PickingStyle at(SlotRef slot, Chart chart) {
    return Optional.ofNullable(slots.get(slot)).orElseGet(() -> at(slot.bar(), chart));
  }

  /** What is played in a bar, but for chords that have a pattern of their own. */
  public PickingStyle at(int bar, Chart chart) {
    Optional<PickingStyle> own = bars.isEmpty() ? Optional.empty() : chart.alongBar(bar, bars::get);
    if (own.isPresent() || sections.isEmpty()) {
      return own.orElse(song);
    }
    return chart.sectionOf(bar).map(s -> atSection(s.id(), chart)).orElse(song);
  }

  /** What is played in a section, but for bars and chords that have a pattern of their own. */
  public PickingStyle atSection(int section, Chart chart) {
    return chart.section(section).flatMap(s -> chart.alongSection(s, sections::get)).orElse(song);
  }

  /** The steps a bar plays otherwise than its pattern. */
  public List<Pattern.Step> changes(int bar, Chart chart) {
    return changed.isEmpty() ? List.of() : chart.alongBar(bar, changed::get).orElse(List.of());
  }

  /** Only what concerns bars and sections that are there. */
  Patterns in(IntPredicate hasBar, IntPredicate hasSection) {
    return new Patterns(
        song,
        only(sections, s -> hasSection.test(s)),
        only(bars, b -> hasBar.test(b)),
        only(slots, s -> hasBar.test(s.bar())),
        only(changed, b -> hasBar.test(b)),
        softEnding);
  }

  private static <K, V> Map<K, V> plus(Map<K, V> map, K key, V value) {
    Map<K, V> more = new HashMap<>(map);
    more.put(key, value);
    return more;
  }

  private static <K, V> Map<K, V> minus(Map<K, V> map, K key) {
    Map<K, V> fewer = new HashMap<>(map);
    fewer.remove(key);
    return fewer;
  }

  private static <K, V> Map<K, V> only(Map<K, V> map, Predicate<K> kept) {
    Map<K, V> fewer = new HashMap<>(map);
    fewer.keySet().removeIf(kept.negate());
    return fewer;
  }
}
