package phalanx.benchmarks;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.Engraver;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.planning.Arranger;

/** Pages and files, warm. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
public class EngravingBenchmark {

  private static final int BARS = 500;
  private static final int BARS_OF_3_MEGABYTES = 264;

  /** The demo song, a song of 500 bars with a tune in each, and a score of 3 MB. */
  @State(Scope.Benchmark)
  public static class Songs {
    private Arrangement demo;
    private Arrangement long500;
    private byte[] score;

    /** Plans and writes them. */
    @Setup
    public void plan() {
      Path file = Path.of("demo", "harbour-lamp" + SongFiles.ENDING);
      demo = new Arranger().arrange(SongFiles.open(file).song().orElseThrow());
      long500 = plan(BARS);
      score = FileFormat.MUSICXML.write(plan(BARS_OF_3_MEGABYTES));
      if (FileFormat.MUSICXML.read(score).song().isEmpty()) {
        throw new IllegalStateException("the score cannot be read");
      }
      System.out.printf("%d bars; a score of %d bytes%n", BARS, score.length);
    }

    private static Arrangement plan(int bars) {
      return new Arranger().arrange(FileFormat.ABC.read(abc(bars)).song().orElseThrow());
    }

    private static byte[] abc(int bars) {
      StringBuilder tune = new StringBuilder("X:1\nT:Long\nM:4/4\nL:1/8\nK:G\n");
      String[] phrase = {
        "\"G\"G2 AB c2 d2", "\"C\"e2 dc B2 A2", "\"Em\"B3 A G2 E2", "\"D7\"A2 Bc d4"
      };
      for (int b = 0; b < bars; b++) {
        tune.append(phrase[b % phrase.length]).append(b % phrase.length == 3 ? "|\n" : "|");
      }
      return tune.toString().getBytes(StandardCharsets.UTF_8);
    }
  }

  /** What the Share screen waits for after an edit. */
  @Benchmark
  public Object engraveDemo(Songs songs) {
    return Engraver.engrave(songs.demo, SheetOptions.USUAL);
  }

  @Benchmark
  public Object engrave500Bars(Songs songs) {
    return Engraver.engrave(songs.long500, SheetOptions.USUAL);
  }

  @Benchmark
  public Object pdfOfDemo(Songs songs) {
    return FileFormat.PDF.write(songs.demo);
  }

  @Benchmark
  public Object readScoreOf3Megabytes(Songs songs) {
    return MusicXmlReader.read(songs.score);
  }
}
