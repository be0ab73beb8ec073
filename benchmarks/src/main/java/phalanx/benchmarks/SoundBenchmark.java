package phalanx.benchmarks;

import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import phalanx.formats.SongFiles;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.planning.Arranger;
import phalanx.sound.Layer;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;

/** Rendering the demo songs, and one block of live sound; warm, on one core. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
public class SoundBenchmark {

  /** A demo song as it is played. */
  @State(Scope.Benchmark)
  public static class Song {
    @Param({"harbour-lamp", "slate-roof-rain", "low-tide-reel"})
    private String name;

    private Performance performance;

    /** Plans it. */
    @Setup
    public void plan() {
      Path file = Path.of("demo", name + SongFiles.ENDING);
      performance =
          Performance.of(new Arranger().arrange(SongFiles.open(file).song().orElseThrow()));
      System.out.printf("%s lasts %.1f s%n", name, performance.seconds());
    }
  }

  /** Renders all of it. */
  @Benchmark
  public float renderDemo(Song song) {
    Rendering rendering = new Rendering(song.performance, RenderOptions.USUAL);
    float last = 0;
    for (var block = rendering.next(); block.isPresent(); block = rendering.next()) {
      last = block.get()[0];
    }
    return last;
  }

  /** From a plan to its first block: what lies between a key and the card. */
  @Benchmark
  public float firstBlock(Song song) {
    EventSequence score = EventSequence.of(song.performance);
    Instrument instrument = new Instrument(score.guitar(), 44100, Levels.USUAL);
    Sequencer sequencer = new Sequencer(score, instrument, Levels.USUAL);
    float[] out = new float[1024];
    sequencer.render(out, 512);
    return out[1000];
  }

  /** Six strings, body, room and two hits. */
  @State(Scope.Benchmark)
  public static class Ringing {
    private final float[] out = new float[1024];
    private Instrument instrument;

    /** Everything sounds. */
    @Setup(Level.Iteration)
    public void ring() {
      instrument = new Instrument(Guitar.STEEL, 44100, Levels.USUAL);
    }
  }

  /** A block of 512 frames in which every string is plucked. */
  @Benchmark
  public float liveBlock(Ringing r) {
    for (int s = 0; s < 6; s++) {
      int midi = Guitar.STEEL.midi(s, 2);
      r.instrument.pluck(s, midi, Plucker.NAIL, Force.PLAIN, Layer.FINGERS);
    }
    r.instrument.hit(HitKind.CLICK, Force.PLAIN);
    r.instrument.render(r.out, 0, 512);
    return r.out[0];
  }
}
