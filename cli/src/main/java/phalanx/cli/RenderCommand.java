package phalanx.cli;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.formats.FileFormat;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.sound.Layer;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;
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

  @Option(names = "--out", paramLabel = "FILE.wav", required = true, description = "the sound file")
  private Path out;

  @Option(
      names = "--only",
      split = ",",
      paramLabel = "thumb|fingers|tune|hits|click",
      description = "what is heard; all but the click where nothing is said")
  private List<String> only = List.of();

  @Option(names = "--bars", paramLabel = "3-6", description = "bars as played")
  private String bars;

  @Option(
      names = "--rate",
      paramLabel = "44100|48000",
      defaultValue = "44100",
      description = "frames a second")
  private int rate;

  @Option(
      names = "--bits",
      paramLabel = "16|24",
      defaultValue = "16",
      description = "bits a sample")
  private int bits;

  @Option(
      names = "--count-in",
      paramLabel = "BARS",
      defaultValue = "0",
      description = "bars of clicks before the first bar")
  private int countIn;

  @Option(names = "--a4", paramLabel = "HZ", defaultValue = "440", description = "390 to 490")
  private double a4;

  @Option(names = "--json", description = "print what was written as JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    RenderOptions wanted = wanted();
    WrittenFile.check(out, song.file());
    Song adjusted = options.adjusted(song.read());
    Performance performance = Performance.of(new Arranger().arrange(adjusted));
    Rendering rendering = rendering(performance, wanted);
    WrittenFile.write(out, file -> rendering.write(file, share -> true));
    if (json) {
      spec.commandLine().getOut().println(told(rendering));
    }
    return 0;
  }

  private Rendering rendering(Performance performance, RenderOptions wanted) {
    try {
      return new Rendering(performance, wanted);
    } catch (IllegalArgumentException e) {
      throw usage("--bars: " + e.getMessage());
    }
  }

  private ObjectNode told(Rendering rendering) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    node.put("out", out.toString());
    node.put("rate", rate);
    node.put("bits", bits);
    node.put("channels", 2);
    node.put("frames", rendering.frames());
    node.put("seconds", rendering.frames() / (double) rate);
    node.put("startSeconds", rendering.lead());
    node.put("peak", rendering.peak());
    return node;
  }

  private RenderOptions wanted() {
    if (!FileFormat.WAVE.isOf(out)) {
      throw usage(
          "--out " + out + ": expected a name ending in " + FileFormat.WAVE.endings().get(0));
    }
    try {
      RenderOptions wanted = RenderOptions.USUAL.with(rate, bits).countingIn(countIn).tunedTo(a4);
      wanted = only.isEmpty() ? wanted : wanted.only(layers());
      return bars == null ? wanted : wanted.of(range());
    } catch (IllegalArgumentException e) {
      throw usage(e.getMessage());
    }
  }

  private Set<Layer> layers() {
    Set<Layer> heard = EnumSet.noneOf(Layer.class);
    for (String word : only) {
      heard.add(
          Layer.worded(word.strip())
              .orElseThrow(
                  () -> {
                    String words =
                        Stream.of(Layer.values())
                            .map(Layer::word)
                            .collect(Collectors.joining(", "));
                    return usage("--only: expected some of " + words + ", found " + word);
                  }));
    }
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
