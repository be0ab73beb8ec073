package phalanx.cli;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import phalanx.formats.FileFormat;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.sound.Layer;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx render SONG --out FILE.wav}: the song as sound. */
@Command(
    name = "render",
    description = "write the song as sound into a WAVE file",
    mixinStandardHelpOptions = true)
final class RenderCommand implements Callable<Integer> {

  private static final String ENDING = ".wav";

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(
      names = "--out",
      paramLabel = "FILE.wav",
      required = true,
      description = "the sound file; - for standard output")
  private Path out;

  @Option(
      names = "--only",
      split = ",",
      paramLabel = "thumb|fingers|tune|hits|click",
      description = "what is heard; all but the click where nothing is said")
  private List<String> only = List.of();

  @Option(names = "--bars", paramLabel = "3-6", description = "bars as played")
  private String bars;

  @Mixin private SoundOptions sound;

  @Option(
      names = "--count-in",
      paramLabel = "BARS",
      defaultValue = "0",
      description = "bars of clicks before the first bar")
  private int countIn;

  @Option(names = "--json", description = "print what was written as JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    RenderOptions wanted = wanted();
    boolean piped = out.toString().equals("-");
    if (piped && json) {
      throw usage("--json: standard output has the sound where --out is -");
    }
    if (!piped) {
      WrittenFile.check(out, song.file());
    }
    Song adjusted = options.adjusted(song.read());
    Performance performance = Performance.of(new Arranger().arrange(adjusted));
    Rendering rendering = rendering(performance, wanted);
    if (piped) {
      WrittenFile.pipe(stream -> rendering.write(stream, share -> true));
      return 0;
    }
    WrittenFile.write(out, file -> rendering.write(file, share -> true));
    if (json) {
      spec.commandLine().getOut().println(told(rendering, wanted));
    } else {
      spec.commandLine().getErr().println(words(rendering, wanted));
    }
    return 0;
  }

  private String words(Rendering rendering, RenderOptions wanted) {
    double seconds = rendering.frames() / (double) wanted.rate();
    return Phrase.of(
        "%s: %d:%02d, %s, %.1f LUFS, peaks at %.1f dB",
        out,
        (int) seconds / 60,
        (int) seconds % 60,
        wanted.formatWords(),
        rendering.loudness().integrated(),
        rendering.loudness().truePeak());
  }

  private Rendering rendering(Performance performance, RenderOptions wanted) {
    try {
      return new Rendering(performance, wanted);
    } catch (IllegalArgumentException e) {
      throw usage("--bars: " + e.getMessage());
    }
  }

  private ObjectNode told(Rendering rendering, RenderOptions wanted) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    node.put("out", out.toString());
    node.put("rate", wanted.rate());
    node.put("bits", wanted.bits());
    node.put("channels", wanted.channels());
    node.put("frames", rendering.frames());
    node.put("seconds", rendering.frames() / (double) wanted.rate());
    node.put("startSeconds", rendering.lead());
    node.put("peak", rendering.peak());
    node.put("loudnessLufs", rendering.loudness().integrated());
    node.put("truePeakDb", rendering.loudness().truePeak());
    return node;
  }

  private RenderOptions wanted() throws UnusableInput {
    if (!out.toString().equals("-") && !FileFormat.WAVE.isOf(out)) {
      throw usage(
          "--out " + out + ": expected a name ending in " + FileFormat.WAVE.endings().get(0));
    }
    try {
      RenderOptions wanted = sound.of(RenderOptions.USUAL, spec).countingIn(countIn);
      wanted = only.isEmpty() ? wanted : wanted.only(layers());
      return bars == null ? wanted : wanted.of(range());
    } catch (IllegalArgumentException e) {
      throw usage(e.getMessage());
    }
  }

  private Set<Layer> layers() {
    Set<Layer> heard = EnumSet.noneOf(Layer.class);
    only.forEach(word -> heard.add(SoundOptions.layer("--only", word, spec)));
    return heard;
  }

  private RenderOptions.BarRange range() {
    BarsText range = BarsText.of(spec, bars);
    return new RenderOptions.BarRange(range.from(), range.to());
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
