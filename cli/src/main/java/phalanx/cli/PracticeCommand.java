package phalanx.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.formats.json.PracticeJson;
import phalanx.planning.Arranger;
import phalanx.practice.CompoundDrill;
import phalanx.practice.Drill;
import phalanx.practice.DrillHistory;
import phalanx.practice.Drills;
import phalanx.practice.Passage;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeEntry;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Today;
import phalanx.practice.WarmUp;
import phalanx.practicelog.PracticeLog;
import phalanx.song.Pulse;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx practice SONG}: what to practise of it, in order, in the time there is. */
@Command(
    name = "practice",
    description = "what to practise of a song, layer by layer, in the time there is",
    mixinStandardHelpOptions = true)
final class PracticeCommand implements Callable<Integer> {

  private static final int LONGEST = 600;

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(
      names = "--minutes",
      paramLabel = "N",
      description = "how much time there is, 1 to 600 (default ${DEFAULT-VALUE})")
  private int minutes = 25;

  @Option(names = "--section", paramLabel = "NAME", description = "of one section only")
  private String section;

  @Option(names = "--bars", paramLabel = "3-6", description = "of some bars only, as played")
  private String bars;

  @Option(
      names = "--log",
      paramLabel = "FILE",
      description = "the practice log: what was done comes again when it is due")
  private Path log;

  @Option(
      names = "--compound",
      description = "also a relay of the shapes, and variations of the pattern")
  private boolean compound;

  @Option(
      names = "--on",
      paramLabel = "YYYY-MM-DD",
      description = "the day it is for (default today)")
  private String day;

  @Option(
      names = "--fretting-first",
      description = "changes before the picking hand (default the thumb first)")
  private boolean frettingFirst;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    if (minutes < 1 || minutes > LONGEST) {
      String words = "--minutes %d: expected 1 to %d";
      throw new ParameterException(spec.commandLine(), Phrase.of(words, minutes, LONGEST));
    }
    Arrangement arrangement = new Arranger().arrange(options.adjusted(song.read()));
    PracticeOrder order = frettingFirst ? PracticeOrder.FRETTING_FIRST : PracticeOrder.THUMB_FIRST;
    if (section != null && bars != null) {
      throw new ParameterException(spec.commandLine(), "--section or --bars, not both");
    }
    List<Drill> drills = drills(arrangement, order);
    Optional<Drill> warmUp = WarmUp.of(arrangement);
    Today.Practised practised = new Today.Practised(warmUp, drills, histories(arrangement, drills));
    Today today = Today.of(List.of(practised), minutes, date());
    if (compound) {
      today = today.and(compound(arrangement));
    }
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.print(PracticeJson.write(today));
    } else {
      print(out, today, order);
    }
    return 0;
  }

  private List<Drill> drills(Arrangement arrangement, PracticeOrder order) {
    if (bars != null) {
      BarsText range = BarsText.of(spec, bars);
      Passage passage =
          Passage.between(arrangement, range.from(), range.to())
              .orElseThrow(() -> noBars(arrangement));
      return Drills.of(arrangement, List.of(passage), order);
    }
    return section == null
        ? Drills.ofSong(arrangement, order)
        : Drills.of(arrangement, sections(arrangement), order);
  }

  private ParameterException noBars(Arrangement arrangement) {
    List<PlayedBar> all = arrangement.timeline().bars();
    String words =
        all.isEmpty()
            ? Phrase.of("--bars %s: the song has no bars", bars)
            : Phrase.of(
                "--bars %s: the bars are %d to %d",
                bars, all.get(0).number(), all.get(all.size() - 1).number());
    return new ParameterException(spec.commandLine(), words);
  }

  /** What the log has of each drill before the day. */
  private List<DrillHistory> histories(Arrangement arrangement, List<Drill> drills)
      throws UnusableInput {
    if (log == null) {
      return drills.stream().map(d -> DrillHistory.NONE).toList();
    }
    if (!Files.isRegularFile(log)) {
      throw new UnusableInput(log + ":1:1: there is no such log");
    }
    try {
      PracticeDiary diary = new PracticeDiary(PracticeLog.read(log), ZoneId.systemDefault());
      String key = PracticeEntry.songKey(arrangement.song());
      LocalDate on = date();
      return drills.stream().map(d -> diary.history(key, d.id()).before(on)).toList();
    } catch (IOException e) {
      throw new UnusableInput(log + ":1:1: it cannot be read: " + e.getMessage());
    }
  }

  private static List<Today.DrillItem> compound(Arrangement arrangement) {
    Arranger arranger = new Arranger();
    return CompoundDrill.of(arrangement).stream()
        .map(c -> c.drill(arranger.arrange(c.song())))
        .map(d -> new Today.DrillItem(0, d, d.minutes(), d.why()))
        .toList();
  }

  private LocalDate date() {
    try {
      return day == null ? LocalDate.now() : LocalDate.parse(day.strip());
    } catch (DateTimeParseException e) {
      throw new ParameterException(
          spec.commandLine(), "--on " + day + ": expected a day such as 2026-10-30", e);
    }
  }

  private List<Passage> sections(Arrangement arrangement) {
    List<Passage> all = Passage.sections(arrangement);
    List<Passage> named =
        all.stream().filter(s -> s.label().equalsIgnoreCase(section.strip())).toList();
    if (named.isEmpty()) {
      String names = all.stream().map(Passage::label).distinct().collect(Collectors.joining(", "));
      throw new ParameterException(
          spec.commandLine(),
          "--section " + section + ": expected one of: " + (names.isEmpty() ? "none" : names));
    }
    return named;
  }

  private static void print(PrintWriter out, Today today, PracticeOrder order) {
    if (today.items().isEmpty()) {
      out.println("there is nothing to play in it yet");
      return;
    }
    out.println(order.words());
    for (Today.Item item : today.items()) {
      if (item instanceof Today.DrillItem of) {
        Drill drill = of.drill();
        Pulse pulse = Pulse.of(drill.played().song());
        out.println(
            Phrase.of(
                "%2d min  %s · from %s to %.0f",
                of.minutes(),
                drill.title(),
                pulse.mark(drill.tempo().start()),
                pulse.beats(drill.tempo().goal())));
        out.println("        " + of.why());
        drill.tempo().limit().ifPresent(l -> out.println("        " + l));
      } else {
        out.println(Phrase.of("%2d min  break: %s", item.minutes(), item.why()));
      }
    }
    out.println("Warm up first; stop when it hurts. Pain that lasts is one for a doctor.");
  }
}
