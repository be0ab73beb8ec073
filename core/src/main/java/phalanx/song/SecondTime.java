package phalanx.song;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.picking.Density;
import phalanx.theory.Meter;

/**
 * A section that repeat signs play twice, written out as two, so that the second time can differ.
 * The new section’s bars are like those of the first, and what was said of them is said again.
 *
 * @param song the song with both; it is played as before
 * @param section identity of the second
 */
public record SecondTime(Song song, int section) {

  /**
   * Writes out a section.
   *
   * @return empty where nothing in it is played exactly twice, and where another section is like it
   */
  public static Optional<SecondTime> of(Song song, int section) {
    return written(song.chart(), section)
        .flatMap(
            s -> {
              List<Bar> order = Timeline.unrolled(s.bars());
              return back(order).map(from -> new Out(song, s, order, from).written());
            });
  }

  /** Whether a section can be written out. */
  public static boolean isPossible(Chart chart, int section) {
    return written(chart, section).flatMap(s -> back(Timeline.unrolled(s.bars()))).isPresent();
  }

  /** A section of bars of its own that no other is like. */
  private static Optional<Section> written(Chart chart, int section) {
    boolean shared =
        chart.sections().stream().anyMatch(s -> s.borrows().equals(Optional.of(section)));
    return chart.section(section).filter(s -> !shared && s.borrows().isEmpty());
  }

  /** Where a bar comes that was played already; empty if none does, or one comes a third time. */
  private static Optional<Integer> back(List<Bar> order) {
    Map<Integer, Integer> times = new HashMap<>();
    Optional<Integer> back = Optional.empty();
    for (int i = 0; i < order.size(); i++) {
      int time = times.merge(order.get(i).id(), 1, Integer::sum);
      if (time > 2) {
        return Optional.empty();
      }
      back = time == 2 && back.isEmpty() ? Optional.of(i) : back;
    }
    return back;
  }

  /** One section on its way to be two. */
  private static final class Out {

    private final Song song;
    private final Section section;
    private final List<Bar> first;
    private final List<Bar> second;
    private final Map<Integer, Integer> copies = new HashMap<>();
    private final int fresh;

    Out(Song song, Section section, List<Bar> order, int from) {
      this.song = song;
      this.section = section;
      first = order.subList(0, from);
      second = order.subList(from, order.size());
      fresh = song.chart().freshId();
    }

    SecondTime written() {
      Set<Integer> there = new HashSet<>();
      first.forEach(b -> there.add(b.id()));
      List<Bar> again = new ArrayList<>();
      for (Bar bar : second) {
        if (there.add(bar.id())) {
          again.add(plain(bar));
        } else {
          int id = fresh + 1 + copies.size();
          copies.put(bar.id(), id);
          again.add(
              Bar.like(id, bar.id())
                  .withMeter(bar.meter())
                  .withTempo(bar.tempo())
                  .beginningPhrase(bar.phrase()));
        }
      }
      again.set(0, returning(again.get(0)));
      Section one = section.withBars(first.stream().map(Out::plain).toList());
      String label = section.label().isEmpty() ? "" : section.label() + ", again";
      Section two = Section.of(fresh, label, again);
      Song written =
          song.editChart(
              c -> {
                List<Section> all = new ArrayList<>(c.sections());
                int at = all.indexOf(section);
                all.set(at, one);
                all.add(at + 1, two);
                return new Chart(all);
              });
      return new SecondTime(said(written.withPins(written.pins().copied(copies))), fresh);
    }

    private static Bar plain(Bar bar) {
      return bar.startingRepeat(false).endingRepeat(1).inPasses(Set.of());
    }

    /** Metre and tempo go back to those of the beginning where they changed on the way. */
    private Bar returning(Bar bar) {
      int start = second.get(0).id();
      int before = first.get(first.size() - 1).id();
      Map<Integer, Meter> meters = song.chart().meters(song.meter());
      Map<Integer, Double> tempos = song.chart().tempos(song.tempo());
      boolean otherMeter = !meters.get(start).equals(meters.get(before));
      boolean otherTempo = !tempos.get(start).equals(tempos.get(before));
      Bar back = otherMeter ? bar.withMeter(Optional.of(meters.get(start))) : bar;
      return otherTempo ? back.withTempo(Optional.of(tempos.get(start))) : back;
    }

    /** What was said of the section as a whole. */
    private Song said(Song written) {
      Patterns.Scope of = new Patterns.Scope.OfSection(section.id());
      Patterns.Scope again = new Patterns.Scope.OfSection(fresh);
      Song said = written;
      if (song.patterns().has(of)) {
        said =
            said.withPatterns(
                said.patterns().with(again, song.patterns().sections().get(section.id())));
      }
      Optional<Density> density = song.picking().densities().own(of);
      if (density.isPresent()) {
        said = said.withDensities(said.picking().densities().with(again, density));
      }
      if (song.picking().thumb().sections().containsKey(section.id())) {
        said =
            said.withThumb(
                said.picking()
                    .thumb()
                    .with(fresh, song.picking().thumb().sections().get(section.id())));
      }
      if (song.tune().ringing().contains(section.id())) {
        Set<Integer> ringing = new HashSet<>(said.tune().ringing());
        ringing.add(fresh);
        said = said.withTune(said.tune().withRinging(ringing));
      }
      return said;
    }
  }
}
