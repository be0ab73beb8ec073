package phalanx.advice;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Patterns;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/**
 * Bars of a song with the one before and the one after, as a song of its own: what is tried there
 * is planned in a moment. What reaches further, such as a pattern of several bars, is cut off.
 */
final class Excerpt {

  private Excerpt() {}

  /** The song around some bars that follow each other, whose identities they keep. */
  static Song around(Song song, Set<Integer> kept) {
    Chart chart = song.chart();
    List<Integer> ids = chart.bars().stream().map(Bar::id).toList();
    int first = kept.stream().mapToInt(ids::indexOf).min().orElse(0);
    int last = kept.stream().mapToInt(ids::indexOf).max().orElse(0);
    List<Integer> near = ids.subList(Math.max(0, first - 1), Math.min(ids.size(), last + 2));
    Map<Integer, Meter> meters = chart.meters(song.meter());
    Map<Integer, Double> tempos = chart.tempos(song.tempo());
    List<Bar> bars =
        near.stream()
            .map(
                id ->
                    new Bar(
                        id,
                        Optional.empty(),
                        chart.changes(chart.bar(id).orElseThrow()),
                        Optional.of(meters.get(id)),
                        Optional.of(tempos.get(id)),
                        false,
                        1,
                        Set.of(),
                        Optional.empty()))
            .toList();
    Tune tune = Tune.NONE.withOnTop(song.tune().onTop());
    Patterns patterns = Patterns.of(song.pattern());
    for (int id : near) {
      tune = tune.with(id, song.tune().at(id, chart));
      patterns = patterned(song, id, patterns);
    }
    Chart small = new Chart(List.of(Section.of(chart.freshId(), "", bars)));
    boolean rings =
        near.stream()
            .flatMap(id -> chart.sectionOf(id).stream())
            .anyMatch(s -> song.tune().ringing().contains(s.id()));
    tune = rings ? tune.withRinging(Set.of(small.sections().get(0).id())) : tune;
    int pickup = near.get(0).equals(ids.get(0)) ? song.feel().pickupTicks() : 0;
    return song.withChart(small)
        .withFeel(song.feel().withPickup(pickup))
        .withTune(tune)
        .withPatterns(patterns);
  }

  private static Patterns patterned(Song song, int bar, Patterns before) {
    Chart chart = song.chart();
    PickingStyle style = song.patterns().at(bar, chart);
    Patterns patterns = before.with(new Patterns.Scope.OfBar(bar), style);
    for (ChordChange change : chart.changes(chart.bar(bar).orElseThrow())) {
      SlotRef slot = new SlotRef(bar, change.tick());
      PickingStyle own = song.patterns().at(slot, chart);
      if (!own.equals(style)) {
        patterns = patterns.with(new Patterns.Scope.OfChord(slot), own);
      }
    }
    for (Pattern.Step step : song.patterns().changes(bar, chart)) {
      patterns = patterns.changing(bar, step);
    }
    return patterns;
  }
}
