package phalanx.song;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import phalanx.picking.Density;
import phalanx.song.Patterns.Scope;

/**
 * How much is played where. The narrowest word counts: that of a bar, else of its section, else of
 * the song; where nothing is said the pattern thins by itself under a quick tune. A bar or section
 * that is like another follows that one.
 *
 * @param song for everything not said otherwise; empty for by itself
 * @param sections by identity of the section
 * @param bars by identity of the bar
 */
public record Densities(
    Optional<Density> song, Map<Integer, Density> sections, Map<Integer, Density> bars) {

  /** Nothing is said anywhere. */
  public static final Densities NONE = new Densities(Optional.empty(), Map.of(), Map.of());

  public Densities {
    sections = Map.copyOf(sections);
    bars = Map.copyOf(bars);
  }

  /**
   * With a density for a part of the song, or with nothing said for it; a chord stands for its bar.
   */
  public Densities with(Scope scope, Optional<Density> density) {
    if (scope instanceof Scope.OfSection s) {
      return new Densities(song, put(sections, s.section(), density), bars);
    } else if (scope instanceof Scope.OfBar b) {
      return new Densities(song, sections, put(bars, b.bar(), density));
    } else if (scope instanceof Scope.OfChord c) {
      return new Densities(song, sections, put(bars, c.slot().bar(), density));
    }
    return new Densities(density, sections, bars);
  }

  /** What is said for just this part of the song. */
  public Optional<Density> own(Scope scope) {
    if (scope instanceof Scope.OfSection s) {
      return Optional.ofNullable(sections.get(s.section()));
    } else if (scope instanceof Scope.OfBar b) {
      return Optional.ofNullable(bars.get(b.bar()));
    } else if (scope instanceof Scope.OfChord c) {
      return Optional.ofNullable(bars.get(c.slot().bar()));
    }
    return song;
  }

  /** What counts in a bar; empty for by itself. */
  public Optional<Density> at(int bar, Chart chart) {
    Optional<Density> own = bars.isEmpty() ? Optional.empty() : chart.alongBar(bar, bars::get);
    if (own.isPresent() || sections.isEmpty()) {
      return own.or(() -> song);
    }
    return chart.sectionOf(bar).flatMap(s -> chart.alongSection(s, sections::get)).or(() -> song);
  }

  /** Only what concerns bars and sections that are there. */
  Densities in(IntPredicate hasBar, IntPredicate hasSection) {
    return new Densities(song, only(sections, hasSection), only(bars, hasBar));
  }

  private static Map<Integer, Density> put(
      Map<Integer, Density> map, int key, Optional<Density> density) {
    Map<Integer, Density> other = new HashMap<>(map);
    density.ifPresentOrElse(d -> other.put(key, d), () -> other.remove(key));
    return other;
  }

  private static Map<Integer, Density> only(Map<Integer, Density> map, IntPredicate kept) {
    Map<Integer, Density> fewer = new HashMap<>(map);
    fewer.keySet().removeIf(k -> !kept.test(k));
    return fewer;
  }
}
