package phalanx.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.level.PlanLevel;
import phalanx.planning.Arranger;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code phalanx level SONG}: how hard the plan is to play, and what makes it so. */
@Command(
    name = "level",
    description = "how hard a song is to play, 1.0 to 5.0, and what makes it so",
    mixinStandardHelpOptions = true)
final class LevelCommand implements Callable<Integer> {

  /** Bars that are named in a line of text. */
  private static final int NAMED = 6;

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    PlanLevel level = PlanLevel.of(new Arranger().arrange(options.adjusted(song.read())));
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(tree(level));
      return 0;
    }
    out.println("level " + level.words());
    for (PlanLevel.Part part : level.parts()) {
      String bars =
          part.bars().stream().limit(NAMED).map(String::valueOf).collect(Collectors.joining(" "));
      out.println(
          Phrase.of(
              "%3.0f %%  %-12s %s (bars %s%s)",
              100 * part.share(),
              part.demand().word(),
              part.words(),
              bars,
              part.bars().size() > NAMED ? " …" : ""));
    }
    return 0;
  }

  private static ObjectNode tree(PlanLevel level) {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    root.put("level", Math.round(10 * level.level()) / 10.0);
    ArrayNode parts = root.putArray("parts");
    for (PlanLevel.Part part : level.parts()) {
      ObjectNode node = parts.addObject();
      node.put("what", part.demand().word());
      node.put("share", Math.round(1000 * part.share()) / 1000.0);
      ArrayNode bars = node.putArray("bars");
      part.bars().forEach(bars::add);
      node.put("words", part.words());
    }
    return root;
  }
}
