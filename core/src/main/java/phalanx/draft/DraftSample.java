package phalanx.draft;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/**
 * The bars of a song that say most of it, as a song that is planned in a moment: where the tune
 * begins, and the end. Sections keep what was said of them; repeat signs fall away.
 */
final class DraftSample {

  /** So many bars are a sample; a song of as many is planned whole. */
  static final int BARS = 8;

  private DraftSample() {}

  static Song of(Song song) {
    Chart chart = song.chart();
    Map<Integer, Meter> meters = chart.meters(song.meter());
    Map<Integer, Double> tempos = chart.tempos(song.tempo());
    Set<Integer> kept = kept(song);
    Tune tune = song.tune();
    List<Section> sections = new ArrayList<>();
    for (Section section : chart.sections()) {
      List<Bar> bars = new ArrayList<>();
      for (Bar bar : section.bars()) {
        if (kept.contains(bar.id())) {
          tune = tune.with(bar.id(), song.tune().at(bar.id(), chart));
          bars.add(
              Bar.of(bar.id(), chart.changes(bar))
                  .withMeter(Optional.of(meters.get(bar.id())))
                  .withTempo(Optional.of(tempos.get(bar.id())))
                  .beginningPhrase(bar.phrase()));
        }
      }
      if (!bars.isEmpty()) {
        sections.add(Section.of(section.id(), section.label(), bars));
      }
    }
    boolean first = kept.contains(chart.bars().get(0).id());
    Song few = first ? song : song.withFeel(song.feel().withPickup(0));
    return few.withTune(tune).editChart(c -> new Chart(sections));
  }

  private static Set<Integer> kept(Song song) {
    List<Integer> ids = song.chart().bars().stream().map(Bar::id).toList();
    int first =
        IntStream.range(0, ids.size())
            .filter(i -> !song.tune().at(ids.get(i), song.chart()).isSilent())
            .findFirst()
            .orElse(0);
    Set<Integer> kept = new HashSet<>();
    kept.addAll(ids.subList(first, Math.min(ids.size(), first + BARS / 2)));
    kept.addAll(ids.subList(Math.max(0, ids.size() - BARS / 2), ids.size()));
    return kept;
  }
}
