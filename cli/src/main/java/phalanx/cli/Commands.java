package phalanx.cli;

import java.util.List;
import picocli.CommandLine;

/**
 * The words of the command line. Only the command that is asked for is made: describing all of them
 * takes longer than most of them run.
 */
final class Commands {

  /** In the order of the help. */
  private static final List<String> WORDS =
      List.of(
          "plan",
          "check",
          "render",
          "convert",
          "shapes",
          "name",
          "chord",
          "tuning",
          "harmonics",
          "harp",
          "fills",
          "level",
          "draft",
          "walk",
          "advise",
          "practice",
          "listen");

  private Commands() {}

  /** The command line with all its commands, as help and manual page describe it. */
  static CommandLine all() {
    CommandLine line = new CommandLine(new PhalanxCommand());
    WORDS.forEach(word -> line.addSubcommand(word, command(word)));
    return line;
  }

  /** The command line as far as these words need it. */
  static CommandLine forWords(String... words) {
    return words.length > 0 && WORDS.contains(words[0])
        ? new CommandLine(new PhalanxCommand()).addSubcommand(words[0], command(words[0]))
        : all();
  }

  private static Object command(String word) {
    return switch (word) {
      case "plan" -> new PlanCommand();
      case "check" -> new CheckCommand();
      case "render" -> new RenderCommand();
      case "convert" -> new ConvertCommand();
      case "shapes" -> new ShapesCommand();
      case "name" -> new NameCommand();
      case "chord" -> new ChordCommand();
      case "tuning" -> new TuningCommand();
      case "harmonics" -> new HarmonicsCommand();
      case "harp" -> new HarpCommand();
      case "fills" -> new FillsCommand();
      case "level" -> new LevelCommand();
      case "draft" -> new DraftCommand();
      case "walk" -> new WalkCommand();
      case "advise" -> new AdviseCommand();
      case "practice" -> new PracticeCommand();
      case "listen" -> new ListenCommand();
      default -> throw new IllegalArgumentException("no command: " + word);
    };
  }
}
