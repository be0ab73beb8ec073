package phalanx.song;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import phalanx.melody.BarTune;
import phalanx.melody.Want;

/**
 * The tune of a song, by the bars it is written in. A bar that is like another has its tune as
 * well, until it gets one of its own.
 *
 * @param bars by identity of the bar; a bar of its own that is silent hides the other's
 * @param onTop whether nothing may be struck above it while it sounds
 * @param ringing the sections, by identity, in which its notes ring into each other
 */
public record Tune(Map<Integer, BarTune> bars, boolean onTop, Set<Integer> ringing) {

  public static final Tune NONE = new Tune(Map.of(), true);

  public Tune {
    bars = Map.copyOf(bars);
    ringing = Set.copyOf(ringing);
  }

  /** A tune that rings nowhere longer than it is written. */
  public Tune(Map<Integer, BarTune> bars, boolean onTop) {
    this(bars, onTop, Set.of());
  }

  /** Ringing in these sections. */
  public Tune withRinging(Set<Integer> sections) {
    return new Tune(bars, onTop, sections);
  }

  /** Whether nothing is written. */
  public boolean isEmpty() {
    return bars.values().stream().allMatch(BarTune::isSilent);
  }

  /** The tune of a bar, or of the one it is like. */
  public BarTune at(int bar, Chart chart) {
    return bars.isEmpty() ? BarTune.SILENT : chart.alongBar(bar, bars::get).orElse(BarTune.SILENT);
  }

  /** The tune of every bar that has one, or of which one that it is like has, by its identity. */
  public Map<Integer, BarTune> along(Chart chart) {
    return bars.isEmpty() ? Map.of() : chart.alongBars(bars::get);
  }

  /** What a bar has itself. */
  public Optional<BarTune> own(int bar) {
    return Optional.ofNullable(bars.get(bar));
  }

  /** With another tune in a bar. */
  public Tune with(int bar, BarTune tune) {
    Map<Integer, BarTune> more = new HashMap<>(bars);
    more.put(bar, tune);
    return new Tune(more, onTop, ringing);
  }

  /** Without a tune of its own in a bar. */
  public Tune without(int bar) {
    Map<Integer, BarTune> fewer = new HashMap<>(bars);
    fewer.remove(bar);
    return new Tune(fewer, onTop, ringing);
  }

  /** The same, as the highest voice or as one that others may lie above. */
  public Tune withOnTop(boolean highest) {
    return new Tune(bars, highest, ringing);
  }

  /** With every pitch and place changed. */
  public Tune moved(UnaryOperator<Want> change) {
    return new Tune(
        bars.entrySet().stream()
            .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().moved(change))),
        onTop,
        ringing);
  }

  /**
   * The same so many octaves higher.
   *
   * @param by octaves, less than 0 for lower
   */
  public Tune octaves(int by) {
    return by == 0 ? this : moved(want -> want.octaves(by));
  }

  /** Only what stands in bars and sections that are there. */
  Tune in(IntPredicate hasBar, IntPredicate hasSection) {
    return new Tune(
        bars.entrySet().stream()
            .filter(e -> hasBar.test(e.getKey()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
        onTop,
        ringing.stream().filter(hasSection::test).collect(Collectors.toSet()));
  }
}
