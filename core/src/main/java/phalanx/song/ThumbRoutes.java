package phalanx.song;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import phalanx.picking.ThumbRoute;

/**
 * The way the thumb takes over the bass strings. A section's own word counts before the song's; a
 * section that is like another follows that one.
 *
 * @param song where nothing else is said
 * @param sections by identity of the section
 */
public record ThumbRoutes(ThumbRoute song, Map<Integer, ThumbRoute> sections) {

  public ThumbRoutes {
    sections = Map.copyOf(sections);
  }

  /** One way for a whole song. */
  public static ThumbRoutes of(ThumbRoute song) {
    return new ThumbRoutes(song, Map.of());
  }

  /** With another way in a section. */
  public ThumbRoutes with(int section, ThumbRoute route) {
    Map<Integer, ThumbRoute> other = new HashMap<>(sections);
    other.put(section, route);
    return new ThumbRoutes(song, other);
  }

  /** The way in a bar. */
  public ThumbRoute at(int bar, Chart chart) {
    return sections.isEmpty()
        ? song
        : chart.sectionOf(bar).map(s -> atSection(s, chart)).orElse(song);
  }

  /** The way in a section. */
  public ThumbRoute atSection(Section section, Chart chart) {
    Optional<ThumbRoute> own = chart.alongSection(section, sections::get);
    return own.orElse(song);
  }

  /** Whether the thumb goes a way anywhere. */
  public boolean has(ThumbRoute route) {
    return song == route || sections.containsValue(route);
  }

  /** Only what concerns sections that are there. */
  ThumbRoutes in(IntPredicate hasSection) {
    Map<Integer, ThumbRoute> fewer = new HashMap<>(sections);
    fewer.keySet().removeIf(s -> !hasSection.test(s));
    return new ThumbRoutes(song, fewer);
  }
}
