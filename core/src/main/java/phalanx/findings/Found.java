package phalanx.findings;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.song.FindingRef;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * A finding and everywhere it is.
 *
 * @param finding what was found
 * @param places where, by time; more than one where a passage comes again
 * @param string the string it is about, 0 for ⑥ to 5 for ①
 */
public record Found(Finding finding, List<Place> places, Optional<Integer> string) {

  /**
   * One place.
   *
   * @param bar number of the bar as played
   * @param tick its time from the start of the song
   * @param ref where it stands in the song as written
   */
  public record Place(int bar, int tick, FindingRef ref) {}

  /** Bars that are named one by one. */
  private static final int MOST_BARS = 5;

  /** What makes two findings the same one in a repeat. */
  private record Same(Finding finding, Optional<Integer> string, Optional<FindingRef> ref) {}

  public Found {
    places = List.copyOf(places);
  }

  /** A finding at a tick of an arrangement. */
  static Found at(Arrangement a, Finding finding, int tick, Optional<Integer> string) {
    PlayedBar bar = a.timeline().barAt(tick);
    FindingRef ref = new FindingRef(bar.written(), tick - bar.startTick(), finding.rule());
    return new Found(finding, List.of(new Place(bar.number(), tick, ref)), string);
  }

  /** What was remarked of some kinds while the hands were put together, as findings of a rule. */
  static List<Found> remarked(
      Arrangement a, String rule, Grade grade, Remark.Kind first, Remark.Kind... more) {
    Set<Remark.Kind> kinds = EnumSet.of(first, more);
    List<Found> found = new ArrayList<>();
    for (Slot slot : a.slots()) {
      for (Remark r : slot.found()) {
        if (kinds.contains(r.kind())) {
          Remark.Figure figure = r.figure().orElseThrow();
          Finding finding =
              new Finding(rule, grade, r.words(), figure.measured(), figure.limit(), figure.unit());
          found.add(at(a, finding, r.tick().orElse(slot.fromTick()), r.string()));
        }
      }
    }
    return found.stream().distinct().toList();
  }

  /**
   * Findings with those of repeated passages as one each. What is only worth knowing is one
   * wherever it is.
   *
   * @param found by time
   */
  static List<Found> together(List<Found> found) {
    Map<Same, Found> all = new LinkedHashMap<>();
    for (Found f : found) {
      Optional<FindingRef> ref =
          f.finding().grade().isHard() ? Optional.of(f.ref()) : Optional.empty();
      all.merge(new Same(f.finding(), f.string(), ref), f, Found::and);
    }
    return List.copyOf(all.values());
  }

  private Found and(Found later) {
    List<Place> all = new ArrayList<>(places);
    all.addAll(later.places);
    return new Found(finding, all.stream().distinct().toList(), string);
  }

  /** Number of the first bar it is in, as played. */
  public int bar() {
    return places.get(0).bar();
  }

  /** The bars it is in, as played. */
  public List<Integer> bars() {
    return places.stream().map(Place::bar).distinct().toList();
  }

  /** Its first time from the start of the song. */
  public int tick() {
    return places.get(0).tick();
  }

  /** Its times from the start of the song. */
  public List<Integer> ticks() {
    return places.stream().map(Place::tick).toList();
  }

  /** Where it first stands in the song as written. */
  public FindingRef ref() {
    return places.get(0).ref();
  }

  /** Everywhere it stands in the song as written. */
  public Set<FindingRef> refs() {
    return places.stream().map(Place::ref).collect(Collectors.toSet());
  }

  /** Its bars in words: {@code bar 3}, {@code bars 3, 7 and 4 more}. */
  public String where() {
    List<Integer> bars = bars();
    if (bars.size() == 1) {
      return Texts.of("found.bar", bars.get(0));
    }
    int shown = bars.size() <= MOST_BARS ? bars.size() : MOST_BARS - 1;
    String list =
        bars.subList(0, shown).stream().map(String::valueOf).collect(Collectors.joining(", "));
    return Texts.of(
        "found.bars",
        list,
        shown < bars.size() ? Texts.of("found.andMore", bars.size() - shown) : "");
  }

  /** Whether this is the same finding in another plan of the song. */
  public boolean isSameAs(Found other) {
    return isAt(other) && string.equals(other.string);
  }

  /** Whether it is of the same rule in one of the same places, though perhaps on another string. */
  public boolean isAt(Found other) {
    return finding.rule().equals(other.finding.rule())
        && !Collections.disjoint(ticks(), other.ticks());
  }

  /** What the player noted when they decided to leave it as it is; empty if they did not. */
  public Optional<String> accepted(Arrangement a) {
    return a.song().pins().accepted(ref());
  }
}
