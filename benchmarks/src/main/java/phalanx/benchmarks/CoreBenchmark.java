package phalanx.benchmarks;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.arrangement.board.ShapeFilter;
import phalanx.arrangement.board.SlotBoard;
import phalanx.formats.SongFiles;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChartEdits;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;

/** Shape search, planning the demo song, and planning songs of many bars; warm, on one core. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
public class CoreBenchmark {

  /** A chord to search shapes for. */
  @State(Scope.Benchmark)
  public static class Search {

    @Param({"C", "D/F#", "Bm7b5", "G13", "Em7"})
    public String symbol;

    private Chord chord;

    @Setup
    public void read() {
      chord = ((ChordReading.Read) ChordReader.read(symbol)).chord();
    }
  }

  /** The demo song (36 bars as played) and what a player does to it, one edit after the other. */
  @State(Scope.Benchmark)
  public static class Songs {

    private Song demo;
    private List<Song> pins;
    private List<Song> chords;
    private List<Song> tempos;
    private final Arranger warm = new Arranger();
    private Arrangement planned;
    private int turn;

    @Setup
    public void read() {
      demo = SongFiles.open(Path.of("demo", "harbour-lamp.phalanx.json")).song().orElseThrow();
      planned = warm.arrange(demo);
      Slot middle = planned.slots().get(planned.slots().size() / 2);
      pins =
          ShapeChoice.of(planned, planned.slots().size() / 2, 6).stream()
              .map(c -> demo.pin(middle.played().ref(), c.shape()))
              .toList();
      Bar bar = demo.chart().bar(middle.played().ref().bar()).orElseThrow();
      chords =
          Stream.of("C", "F", "Am7", "Dm", "G/B", "Em")
              .map(c -> new Harmony.Sounding(((ChordReading.Read) ChordReader.read(c)).chord()))
              .map(h -> bar.withChanges(List.of(new ChordChange(0, h))))
              .map(b -> demo.editChart(c -> ChartEdits.replace(c, b)))
              .toList();
      tempos = Stream.of(88.0, 90.0, 94.0, 96.0).map(demo::withTempo).toList();
      Stream.of(pins, chords, tempos).flatMap(List::stream).forEach(warm::arrange);
    }

    private Song next(List<Song> edits) {
      turn = (turn + 1) % edits.size();
      return edits.get(turn);
    }
  }

  /** A song of many bars, without a tune or with another one in every bar. */
  @State(Scope.Benchmark)
  public static class Long {

    @Param({"100", "1000"})
    public int bars;

    @Param({"false", "true"})
    public boolean tune;

    private Song song;

    @Setup
    public void read() {
      Song demo = SongFiles.open(Path.of("demo", "harbour-lamp.phalanx.json")).song().orElseThrow();
      List<Bar> some = demo.sections().get(1).bars();
      List<Bar> many = new ArrayList<>();
      for (int b = 0; b < bars; b++) {
        many.add(some.get(b % some.size()).withId(b + 2));
      }
      song =
          demo.withChart(new Chart(List.of(Section.of(1, "", many))))
              .withPins(Pins.NONE)
              .withTune(tune ? tunes(bars) : Tune.NONE);
    }

    /** Four quarters a bar, drawn with a fixed seed. */
    private static Tune tunes(int bars) {
      String[] notes = {"g4", "a4", "b4", "c5", "d5", "e5", "f#5", "g5"};
      Random random = new Random(7);
      Map<Integer, BarTune> tunes = new HashMap<>();
      for (int b = 0; b < bars; b++) {
        StringBuilder cells = new StringBuilder();
        for (int n = 0; n < 4; n++) {
          cells.append(notes[random.nextInt(notes.length)]).append(' ');
        }
        tunes.put(b + 2, TuneReader.read(cells.toString().strip(), Meter.FOUR_FOUR).tune());
      }
      return new Tune(tunes, true);
    }
  }

  /** Every shape of a chord up to fret 15. */
  @Benchmark
  public RankedShapes everyShapeOfAChord(Search search) {
    return ShapeSearch.find(ShapeQuery.of(search.chord, Guitar.STEEL, Hand.MEDIUM));
  }

  /** The demo song with nothing known beforehand. */
  @Benchmark
  public Arrangement planDemoCold(Songs songs) {
    return new Arranger().arrange(songs.demo);
  }

  /** The demo song after another shape was pinned in its middle. */
  @Benchmark
  public Arrangement replanAfterAPin(Songs songs) {
    return songs.warm.arrange(songs.next(songs.pins));
  }

  /** The demo song after a chord in its middle was changed. */
  @Benchmark
  public Arrangement replanAfterAChord(Songs songs) {
    return songs.warm.arrange(songs.next(songs.chords));
  }

  /** The demo song after the tempo was changed, which touches every change of shape. */
  @Benchmark
  public Arrangement replanAfterATempo(Songs songs) {
    return songs.warm.arrange(songs.next(songs.tempos));
  }

  /** The four best plans of the demo song. */
  @Benchmark
  public List<ShapePlan> fourBestPlans(Songs songs) {
    return songs.planned.plan().best(4);
  }

  /** What the Shapes screen shows for one chord. */
  @Benchmark
  public SlotBoard boardOfAChord(Songs songs) {
    return SlotBoard.of(songs.planned, 10, ShapeFilter.ALL, 60);
  }

  /** How planning grows with the song. */
  @Benchmark
  public Arrangement planManyBars(Long songs) {
    return new Arranger().arrange(songs.song);
  }
}
