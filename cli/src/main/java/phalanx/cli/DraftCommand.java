package phalanx.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.Manner;
import phalanx.draft.Manners;
import phalanx.formats.NamedTexts;
import phalanx.formats.SongFiles;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.fills.FillShelf;
import phalanx.formats.manners.MannerShelf;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.level.PlanLevel;
import phalanx.song.Song;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx draft SONG}: the song arranged in several manners, the best first. */
@Command(
    name = "draft",
    description = "a lead sheet arranged in several manners, the best first",
    mixinStandardHelpOptions = true)
final class DraftCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(names = "--level", paramLabel = "1-5", description = "how hard it is to be")
  private Double level;

  @Option(names = "--manner", paramLabel = "NAME", description = "one manner only")
  private String manner;

  @Option(
      names = "--manners",
      paramLabel = "FILE",
      description = "with manners of your own (docs/drafts.md)")
  private Path ownManners;

  @Option(
      names = "--limit",
      paramLabel = "N",
      defaultValue = "3",
      description = "so many at most; 0 for all")
  private int limit;

  @Option(
      names = "--out",
      paramLabel = "FILE.phalanx.json",
      description = "writes the first as a song")
  private Path out;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    Drafts.Wish wish =
        new Drafts.Wish(
            level(), manners(), FillShelf.all(), limit == 0 ? Integer.MAX_VALUE : limit);
    if (out != null) {
      if (!out.toString().endsWith(SongFiles.ENDING)) {
        throw usage("--out " + out + ": expected a name ending in " + SongFiles.ENDING);
      }
      WrittenFile.checkSong(out, song.file());
    }
    Song adjusted = options.adjusted(song.read());
    List<Draft> drafts = Drafts.of(adjusted, wish, d -> {}, () -> false);
    if (drafts.isEmpty()) {
      throw new UnusableInput(song.file() + ": there is nothing to arrange");
    }
    if (out != null) {
      byte[] text = SongFileWriter.write(drafts.get(0).song()).getBytes(StandardCharsets.UTF_8);
      WrittenFile.write(out, file -> file.write(text));
    }
    PrintWriter printed = spec.commandLine().getOut();
    printed.println(json ? tree(drafts) : text(drafts));
    return 0;
  }

  private OptionalDouble level() {
    if (level == null) {
      return OptionalDouble.empty();
    }
    if (!(level >= PlanLevel.LOWEST && level <= PlanLevel.HIGHEST)) {
      throw usage("--level: expected 1 to 5");
    }
    return OptionalDouble.of(level);
  }

  private List<Manner> manners() throws UnusableInput {
    if (limit < 0) {
      throw usage("--limit: expected 0 or more");
    }
    List<Manner> all = new ArrayList<>(own());
    all.addAll(MannerShelf.all());
    if (manner == null) {
      return all;
    }
    String names = all.stream().map(Manner::name).collect(Collectors.joining(", "));
    return List.of(
        all.stream()
            .filter(m -> m.name().equalsIgnoreCase(manner.strip()))
            .findFirst()
            .orElseThrow(() -> usage("--manner: expected one of " + names + ", found " + manner)));
  }

  /** The player’s own, all of a file or none. */
  private List<Manner> own() throws UnusableInput {
    if (ownManners == null) {
      return List.of();
    }
    if (!Files.isRegularFile(ownManners)) {
      throw usage("--manners: there is no file " + ownManners);
    }
    try {
      Manners.Result read = Manners.read(NamedTexts.read(ownManners));
      if (!read.problems().isEmpty()) {
        Manners.Problem first = read.problems().get(0);
        throw new UnusableInput(ownManners + ":" + first.line() + ": " + first.message());
      }
      return read.manners();
    } catch (IOException e) {
      throw new UnusableInput(ownManners + ": " + DiskTrouble.reading(e));
    }
  }

  private static String text(List<Draft> drafts) {
    return drafts.stream().map(DraftCommand::text).collect(Collectors.joining("\n"));
  }

  private static String text(Draft draft) {
    String holds =
        draft.ceiling().map(c -> Phrase.of(", hands hold to %.0f", Math.floor(c))).orElse("");
    String head =
        Phrase.of(
            "%s: level %s, %.1f notes a beat%s; %s",
            draft.manner().name(),
            draft.level().words(),
            draft.notesABeat(),
            holds,
            draft.tally().words());
    return head
        + draft.reason().map(r -> "\n    " + r).orElse("")
        + draft.sections().stream()
            .map(s -> "\n    " + (s.label().isEmpty() ? "" : s.label() + ": ") + s.did())
            .collect(Collectors.joining());
  }

  private static ObjectNode tree(List<Draft> drafts) {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    ArrayNode all = root.putArray("drafts");
    for (Draft draft : drafts) {
      ObjectNode node = all.addObject();
      node.put("manner", draft.manner().name());
      node.put("level", Math.round(10 * draft.level().level()) / 10.0);
      node.put("tempoCeiling", draft.ceiling().map(Math::floor).orElse(null));
      ObjectNode grades = node.putObject("grades");
      grades.put("cannot", draft.tally().cannot());
      grades.put("heard", draft.tally().heard());
      grades.put("note", draft.tally().notes());
      node.put("notesABeat", Math.round(100 * draft.notesABeat()) / 100.0);
      ArrayNode sections = node.putArray("sections");
      for (Draft.Section section : draft.sections()) {
        sections.addObject().put("label", section.label()).put("did", section.did());
      }
      draft.reason().ifPresent(r -> node.put("reason", r));
    }
    return root;
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
