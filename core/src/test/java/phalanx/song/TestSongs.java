package phalanx.song;

import java.util.ArrayList;
import java.util.List;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartReader;
import phalanx.chart.Notation;
import phalanx.melody.TuneReader;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;

/** Songs for tests, from a line of chart a section. */
public final class TestSongs {

  private TestSongs() {}

  /** A song in 4/4 with a section for each line; bars are numbered from 1 across the sections. */
  public static Song of(String... lines) {
    List<Section> sections = new ArrayList<>();
    int next = 1;
    for (String line : lines) {
      List<Bar> bars = new ArrayList<>();
      ChartLine read = ChartReader.read(line, Notation.in(Meter.FOUR_FOUR), java.util.Optional::of);
      for (Bar bar : read.bars()) {
        bars.add(bar.withId(next++));
      }
      sections.add(
          Section.of(
              (next < 1000 ? 1000 : 1_000_000) + sections.size(),
              "S" + (sections.size() + 1),
              bars));
    }
    return Song.untitled().withChart(new Chart(sections));
  }

  /** A song with a tune, the text of each bar by its number; every word of it can be read. */
  public static Song singing(Song song, String... bars) {
    Tune tune = Tune.NONE;
    for (int b = 0; b < bars.length; b++) {
      TuneReader.Result read = TuneReader.read(bars[b], Meter.FOUR_FOUR);
      if (!read.problems().isEmpty()) {
        throw new IllegalArgumentException(bars[b] + ": " + read.problems());
      }
      tune = tune.with(b + 1, read.tune());
    }
    return song.withTune(tune);
  }

  /** A chord by its symbol. */
  public static Chord chord(String symbol) {
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }
}
