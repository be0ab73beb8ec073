package phalanx.song;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Edits of a chart, each a function from one chart to the next. Bars that are put in get identities
 * of their own; bars that are moved keep theirs, and with it their pins.
 */
public final class ChartEdits {

  private ChartEdits() {}

  /** With a bar in place of the one with the same identity. */
  public static Chart replace(Chart chart, Bar bar) {
    return chart.mapBars(b -> b.id() == bar.id() ? bar : b);
  }

  /** With new bars behind a bar; into a first section if the chart is empty. */
  public static Chart insertAfter(Chart chart, int bar, List<Bar> bars) {
    List<Bar> fresh = renumbered(bars, chart.freshId());
    if (chart.sections().isEmpty()) {
      int id = chart.freshId() + bars.size();
      return new Chart(List.of(Section.of(id, "", fresh)));
    }
    if (chart.bar(bar).isEmpty()) {
      Section last = chart.sections().get(chart.sections().size() - 1);
      return chart.mapSections(s -> s.id() == last.id() ? s.withBars(joined(s.bars(), fresh)) : s);
    }
    return splice(own(chart, bar), bar, fresh, true);
  }

  /** With new bars in front of a bar. */
  public static Chart insertBefore(Chart chart, int bar, List<Bar> bars) {
    return splice(own(chart, bar), bar, renumbered(bars, chart.freshId()), false);
  }

  private static List<Bar> renumbered(List<Bar> bars, int from) {
    List<Bar> fresh = new ArrayList<>();
    for (Bar bar : bars) {
      fresh.add(bar.withId(from + fresh.size()));
    }
    return fresh;
  }

  private static List<Bar> joined(List<Bar> some, List<Bar> more) {
    List<Bar> all = new ArrayList<>(some);
    all.addAll(more);
    return all;
  }

  private static Chart splice(Chart chart, int at, List<Bar> bars, boolean behind) {
    return chart.mapSections(
        section -> {
          List<Bar> all = new ArrayList<>();
          for (Bar bar : section.bars()) {
            if (bar.id() == at && !behind) {
              all.addAll(bars);
            }
            all.add(bar);
            if (bar.id() == at && behind) {
              all.addAll(bars);
            }
          }
          return section.withBars(all);
        });
  }

  /** A section that is to get bars of its own stops being like another. */
  private static Chart own(Chart chart, int bar) {
    return chart.mapSections(
        s -> s.bars().stream().anyMatch(b -> b.id() == bar) ? s.borrowing(Optional.empty()) : s);
  }

  /** Without some bars; a section that loses its last bar goes as well. */
  public static Chart delete(Chart chart, Collection<Integer> ids) {
    Set<Integer> gone = Set.copyOf(ids);
    Chart owned = chart;
    for (int id : gone) {
      owned = own(owned, id);
    }
    return new Chart(
        owned.sections().stream()
            .map(s -> s.withBars(s.bars().stream().filter(b -> !gone.contains(b.id())).toList()))
            .filter(s -> !s.bars().isEmpty())
            .toList());
  }

  /**
   * With neighbouring bars of one section moved one place towards the end (1) or the start (-1) of
   * the chart, into the next section where theirs ends.
   */
  public static Chart move(Chart chart, List<Integer> ids, int direction) {
    List<Integer> order = chart.bars().stream().map(Bar::id).toList();
    int first = order.indexOf(ids.get(0));
    int last = order.indexOf(ids.get(ids.size() - 1));
    int neighbour = direction > 0 ? last + 1 : first - 1;
    if (first < 0 || neighbour < 0 || neighbour >= order.size()) {
      return chart;
    }
    int other = order.get(neighbour);
    List<Bar> moved = chart.bars().subList(first, last + 1);
    Chart without = own(own(chart, other), ids.get(0));
    without =
        without.mapSections(
            s -> s.withBars(s.bars().stream().filter(b -> !ids.contains(b.id())).toList()));
    Chart with = splice(without, other, moved, direction > 0);
    return new Chart(with.sections().stream().filter(s -> !s.bars().isEmpty()).toList());
  }

  /** With a section starting at a bar, or, where one starts there already, under this name. */
  public static Chart section(Chart chart, int bar, String label) {
    List<Section> sections = new ArrayList<>();
    for (Section section : chart.sections()) {
      int at = section.bars().stream().map(Bar::id).toList().indexOf(bar);
      if (at <= 0) {
        sections.add(at == 0 ? section.labelled(label) : section);
        continue;
      }
      Section owned = section.borrowing(Optional.empty());
      sections.add(owned.withBars(section.bars().subList(0, at)));
      sections.add(
          Section.of(chart.freshId(), label, section.bars().subList(at, section.bars().size())));
    }
    return new Chart(sections);
  }

  /** With the section that starts at a bar joined to the one before it. */
  public static Chart join(Chart chart, int bar) {
    List<Section> sections = new ArrayList<>();
    for (Section section : chart.sections()) {
      boolean here = !section.bars().isEmpty() && section.bars().get(0).id() == bar;
      if (here && !sections.isEmpty()) {
        Section before = sections.remove(sections.size() - 1).borrowing(Optional.empty());
        sections.add(before.withBars(joined(before.bars(), section.bars())));
      } else {
        sections.add(section);
      }
    }
    return new Chart(sections);
  }

  /** With a new section behind another that is like a third: the same bars until one is changed. */
  public static Chart sectionLike(Chart chart, int after, int like, String label) {
    List<Section> sections = new ArrayList<>();
    for (Section section : chart.sections()) {
      sections.add(section);
      if (section.id() == after) {
        sections.add(new Section(chart.freshId(), label, Optional.of(like), List.of()));
      }
    }
    return new Chart(sections);
  }
}
