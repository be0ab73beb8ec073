package phalanx.cli;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import phalanx.formats.json.ListenJson;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.practice.Evenness;
import phalanx.practice.HeardSound;
import phalanx.practice.SoundMatching;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.listening.Recording;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx listen RECORDING SONG}: how a recording of a song keeps time with its plan. */
@Command(
    name = "listen",
    description = "how steadily a recording plays a song: stroke by stroke, the thumb first",
    mixinStandardHelpOptions = true)
final class ListenCommand implements Callable<Integer> {

  /** A change that comes later than this on the whole is told, s, and so many of them. */
  private static final double LATE = 0.01;

  private static final int CHANGES = 5;

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Parameters(index = "0", paramLabel = "RECORDING", description = "a WAVE file, 8 to 96 kHz")
  private Path recording;

  @Parameters(index = "1", paramLabel = "SONG", description = "the song that is played in it")
  private Path file;

  @Mixin private SongArgument.Part part;

  @Option(names = "--bars", paramLabel = "3-6", description = "bars as played")
  private String bars;

  @Option(names = "--a4", paramLabel = "HZ", defaultValue = "440", description = "390 to 490")
  private double a4;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    if (!(a4 >= 390 && a4 <= 490)) {
      throw usage("--a4: expected 390 to 490");
    }
    Performance performance =
        Performance.of(new Arranger().arrange(options.adjusted(part.of(file))));
    int[] ticks = ticks(performance.arrangement().timeline().bars());
    StrokeReport report = SoundMatching.of(performance, ticks[0], ticks[1], heard());
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.print(ListenJson.write(report));
    } else {
      print(out, report);
    }
    return 0;
  }

  private List<HeardSound> heard() throws UnusableInput {
    try (InputStream in = Files.newInputStream(recording)) {
      return Recording.listen(in, a4);
    } catch (Recording.Unreadable e) {
      throw new UnusableInput(recording + ":1:1: " + e.getMessage());
    } catch (IOException e) {
      throw new UnusableInput(recording + ":1:1: it cannot be read: " + e.getMessage());
    }
  }

  private int[] ticks(List<PlayedBar> all) {
    if (bars == null || all.isEmpty()) {
      return new int[] {0, all.isEmpty() ? 0 : all.get(all.size() - 1).endTick()};
    }
    BarsText range = BarsText.of(spec, bars);
    List<PlayedBar> asked =
        all.stream().filter(b -> range.from() <= b.number() && b.number() <= range.to()).toList();
    if (asked.isEmpty()) {
      String words = "--bars %s: the bars are %d to %d";
      throw usage(Phrase.of(words, bars, all.get(0).number(), all.get(all.size() - 1).number()));
    }
    return new int[] {asked.get(0).startTick(), asked.get(asked.size() - 1).endTick()};
  }

  private ParameterException usage(String words) {
    return new ParameterException(spec.commandLine(), words);
  }

  private static void print(PrintWriter out, StrokeReport report) {
    out.println(
        Phrase.of(
            "%d strokes heard, %d missed, %d on another string, %d sounds beside them",
            report.matched().size(),
            report.missed().size(),
            report.wrong().size(),
            report.extra().size()));
    line(out, "thumb", report.thumb());
    line(out, "fingers", report.fingers());
    out.println(Phrase.of("drift %+.1f beats a minute", report.drift()));
    Evenness loud = report.evenness(s -> true);
    if (loud.count() > 0) {
      String words = "loudness: spread %.1f dB over %d strokes of notes that come again";
      out.println(Phrase.of(words, loud.spread(), loud.count()));
    }
    report
        .byBeat()
        .forEach((b, s) -> line(out, b == StrokeReport.OFF_BEAT ? "between beats" : "on " + b, s));
    report.byChange().entrySet().stream()
        .filter(e -> e.getValue().mean() > LATE)
        .limit(CHANGES)
        .forEach(e -> line(out, "change " + e.getKey(), e.getValue()));
  }

  private static void line(PrintWriter out, String who, Steadiness of) {
    if (of.count() > 0) {
      String when = of.mean() < 0 ? "early" : "late";
      String words = "%s: mean %.0f ms %s, spread %.0f ms over %d strokes";
      double mean = Math.abs(of.mean()) * 1000;
      out.println(Phrase.of(words, who, mean, when, of.spread() * 1000, of.count()));
    }
  }
}
