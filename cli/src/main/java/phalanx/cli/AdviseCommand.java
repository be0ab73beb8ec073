package phalanx.cli;

import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.advice.Advised;
import phalanx.advice.Advisor;
import phalanx.advice.Ranked;
import phalanx.advice.SettingSuggestion;
import phalanx.formats.json.AdviceJson;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.song.Song;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx advise SONG}: in which key, with which capo and tuning it is easiest. */
@Command(
    name = "advise",
    description = "keys, capos and tunings for a song, the easiest first",
    mixinStandardHelpOptions = true)
final class AdviseCommand implements Callable<Integer> {

  private static final Pattern FRETS = Pattern.compile("(\\d{1,2})(?:-(\\d{1,2}))?");

  private static final int MOST = 9999;

  @Spec private CommandSpec spec;

  @Mixin private SongArgument song;

  @Option(
      names = "--capos",
      paramLabel = "0-9",
      defaultValue = "0-9",
      description = "frets, such as 0-4 or 0,2,5")
  private String capos;

  @Option(
      names = "--tunings",
      paramLabel = "standard,drop-d,…",
      description = "tunings by name, or six notes each; the song's own if left out")
  private String tunings;

  @Option(names = "--keep-sound", description = "only ways that sound in the same key")
  private boolean keepSound;

  @Option(
      names = "--best",
      paramLabel = "N",
      defaultValue = "12",
      description = "plan so many of the easiest to the end, 1 to 9999; 12 if left out")
  private int best;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    PrintWriter err = spec.commandLine().getErr();
    if (best < 1 || best > MOST) {
      throw usage("--best: expected 1 to " + MOST);
    }
    Song read = song.read();
    List<SettingSuggestion> ways = Advisor.ways(read, frets(), wanted(read), keepSound);
    Advised now = Advisor.now(read);
    AtomicInteger done = new AtomicInteger();
    List<Ranked> ranked =
        Advisor.rank(
            read, ways, best, r -> progress(err, done.incrementAndGet(), ways), () -> false);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(AdviceJson.write(now, ranked));
      return 0;
    }
    out.println("now        " + line(now));
    ranked.stream()
        .filter(Advised.class::isInstance)
        .limit(best)
        .forEach(r -> out.println("           " + line((Advised) r)));
    return 0;
  }

  private static void progress(PrintWriter err, int done, List<SettingSuggestion> ways) {
    if (done % 10 == 0 || done == ways.size()) {
      err.println(Phrase.of("%d of %d ways weighed", done, ways.size()));
      err.flush();
    }
  }

  private static String line(Advised a) {
    String ceiling = a.ceiling().map(t -> Phrase.of("holds to %.0f", Math.floor(t))).orElse("");
    return Phrase.of(
        "%-4s capo %d  %-12s cost %.2f a bar, stretch %2.0f mm, %s, %.1f open  %s%s",
        AdviceJson.key(a),
        a.way().capo(),
        a.way().tuning(),
        a.costPerBar(),
        a.hardestSpan(),
        a.tally().words(),
        a.openStrings(),
        ceiling,
        sound(a));
  }

  private static String sound(Advised a) {
    boolean same = a.sameSound() && a.tuneHigher() == 0;
    return "  " + (same ? "sounds as before" : a.tuneWords());
  }

  private List<Tuning> wanted(Song read) {
    if (tunings == null) {
      return List.of(read.guitar().tuning());
    }
    List<Tuning> wanted = new ArrayList<>();
    for (String word : tunings.split(",")) {
      String asked = word.strip();
      wanted.add(
          UsualTuning.read(asked)
              .orElseThrow(() -> usage("--tunings: \"" + asked + "\" is no tuning")));
    }
    return wanted.stream().distinct().toList();
  }

  private TreeSet<Integer> frets() {
    TreeSet<Integer> frets = new TreeSet<>();
    for (String part : capos.split(",")) {
      Matcher m = FRETS.matcher(part.strip());
      int from = m.matches() ? Integer.parseInt(m.group(1)) : -1;
      int to = m.matches() && m.group(2) != null ? Integer.parseInt(m.group(2)) : from;
      if (from < 0 || to < from || to > Guitar.HIGHEST_CAPO) {
        throw usage("--capos: expected frets from 0 to " + Guitar.HIGHEST_CAPO + ", such as 0-9");
      }
      for (int fret = from; fret <= to; fret++) {
        frets.add(fret);
      }
    }
    return frets;
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
