package phalanx.cli;

import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;
import phalanx.formats.disk.ProgramFolder;
import phalanx.text.ProductVersion;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line's root. */
@Command(
    name = "phalanx",
    description = {
      "Plans both hands of a fingerstyle guitarist.",
      "Without a command: phalanx [FILE] opens the window, phalanx demo the demo song."
    },
    mixinStandardHelpOptions = true,
    versionProvider = PhalanxCommand.Version.class)
public final class PhalanxCommand {

  PhalanxCommand() {}

  /** Says which version it is. */
  static final class Version implements CommandLine.IVersionProvider {
    @Override
    public String[] getVersion() {
      return new String[] {"Phalanx " + ProductVersion.words()};
    }
  }

  /** Runs the command line and ends the program with its exit code. */
  public static void main(String[] args) {
    ProgramFolder.settle();
    PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
    PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
    System.exit(run(out, err, args));
  }

  /**
   * Runs one command.
   *
   * @param out takes the data
   * @param err takes the messages
   * @return the exit code
   */
  static int run(PrintWriter out, PrintWriter err, String... args) {
    CommandLine line = Commands.forWords(args);
    line.setOut(out);
    line.setErr(err);
    line.setCaseInsensitiveEnumValuesAllowed(true);
    // A word that begins with @ is a word, never the name of a file with more words.
    line.setExpandAtFiles(false);
    line.registerConverter(Path.class, PhalanxCommand::path);
    line.setParameterExceptionHandler((e, words) -> wrongUsage(e, err));
    line.setExecutionExceptionHandler(
        (e, command, result) -> {
          if (e instanceof UnusableInput) {
            err.println(e.getMessage());
            return CommandLine.ExitCode.SOFTWARE;
          }
          LoggerFactory.getLogger(PhalanxCommand.class).error("a command failed", e);
          err.println("this could not be done: a fault of Phalanx’s own, noted in its log");
          return CommandLine.ExitCode.SOFTWARE;
        });
    int code = line.execute(args);
    out.flush();
    err.flush();
    return code;
  }

  private static Path path(String name) {
    try {
      return Path.of(name);
    } catch (InvalidPathException e) {
      throw new CommandLine.TypeConversionException(
          "no file can have the name “" + name + "” here");
    }
  }

  /** One sentence, and where more is to be read. */
  private static int wrongUsage(CommandLine.ParameterException wrong, PrintWriter err) {
    CommandLine at = wrong.getCommandLine();
    err.println(
        wrong.getMessage().lines().findFirst().orElse("wrong usage")
            + " (see "
            + at.getCommandSpec().qualifiedName()
            + " --help)");
    return CommandLine.ExitCode.USAGE;
  }
}
