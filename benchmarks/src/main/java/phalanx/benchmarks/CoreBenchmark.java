package phalanx.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
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
import phalanx.arrangement.Arranger;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

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

  /** The demo song, and longer songs made of its bars. */
  @State(Scope.Benchmark)
  public static class Songs {

    private Song demo;
    private Song edited;
    private final Arranger warm = new Arranger();

    @Setup
    public void read() throws IOException {
      demo = ChordProReader.read(Files.readString(Path.of("demo", "harbour-lamp.cho"))).song();
      edited = demo.withTempo(93);
      warm.arrange(demo);
    }
  }

  /** A song of many bars. */
  @State(Scope.Benchmark)
  public static class Long {

    @Param({"100", "1000"})
    public int bars;

    private Song song;

    @Setup
    public void read() throws IOException {
      Song demo = ChordProReader.read(Files.readString(Path.of("demo", "harbour-lamp.cho"))).song();
      List<Bar> some = demo.sections().get(2).bars();
      List<Bar> many = new ArrayList<>();
      for (int b = 0; b < bars; b++) {
        many.add(some.get(b % some.size()));
      }
      song =
          new Song(
              demo.title(),
              Optional.empty(),
              demo.meter(),
              demo.tempo(),
              demo.guitar(),
              demo.hand(),
              demo.school(),
              demo.pattern(),
              List.of(new Section("", many)),
              List.of(),
              Map.of());
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

  /** The demo song after an edit, its chords searched before. */
  @Benchmark
  public Arrangement planDemoAgain(Songs songs) {
    return songs.warm.arrange(songs.edited);
  }

  /** How planning grows with the song. */
  @Benchmark
  public Arrangement planManyBars(Long songs) {
    return new Arranger().arrange(songs.song);
  }
}
