package phalanx.cli;

import java.io.PrintWriter;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.formats.json.PracticeJson;
import phalanx.planning.Arranger;
import phalanx.practice.Drill;
import phalanx.practice.Drills;
import phalanx.practice.Passage;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Today;
import phalanx.practice.WarmUp;
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

  @Mixin private SongArgument song;

  @Option(
      names = "--minutes",
      paramLabel = "N",
      description = "how much time there is, 1 to 600 (default ${DEFAULT-VALUE})")
  private int minutes = 25;

  @Option(names = "--section", paramLabel = "NAME", description = "of one section only")
  private String section;

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
    Arrangement arrangement = new Arranger().arrange(song.read());
    PracticeOrder order = frettingFirst ? PracticeOrder.FRETTING_FIRST : PracticeOrder.THUMB_FIRST;
    List<Drill> drills =
        section == null
            ? Drills.ofSong(arrangement, order)
            : Drills.of(arrangement, sections(arrangement), order);
    Optional<Drill> warmUp = WarmUp.of(arrangement);
    Today today = Today.of(List.of(Today.Practised.anew(warmUp, drills)), minutes, date());
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.print(PracticeJson.write(today));
    } else {
      print(out, today, order);
    }
    return 0;
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
        out.println(
            Phrase.of(
                "%2d min  %s · from ♩ = %.0f to %.0f",
                of.minutes(), drill.title(), drill.tempo().start(), drill.tempo().goal()));
        out.println("        " + of.why());
        drill.tempo().limit().ifPresent(l -> out.println("        " + l));
      } else {
        out.println(Phrase.of("%2d min  break: %s", item.minutes(), item.why()));
      }
    }
    out.println("Warm up first; stop when it hurts. Pain that lasts is one for a doctor.");
  }
}
