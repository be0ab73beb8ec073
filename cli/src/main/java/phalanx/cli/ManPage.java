package phalanx.cli;

import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.text.ProductVersion;
import picocli.CommandLine;
import picocli.CommandLine.Help;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;

/**
 * The manual page of the command line in roff, from the same descriptions as its help; with the
 * argument {@code words} the words alone, one a line.
 */
public final class ManPage {

  private final StringBuilder page = new StringBuilder();

  private ManPage() {}

  /** Prints the page. */
  public static void main(String[] args) {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    boolean words = args.length > 0 && args[0].equals("words");
    out.print(words ? words() : text());
  }

  private static String words() {
    List<String> more = List.of("help", "--help", "-h", "--version", "-V");
    Set<String> words = Commands.all().getSubcommands().keySet();
    return String.join("\n", words)
        + "\n"
        + more.stream().filter(w -> !words.contains(w)).collect(Collectors.joining("\n"))
        + "\n";
  }

  /** The whole page. */
  static String text() {
    ManPage man = new ManPage();
    CommandLine line = Commands.all();
    man.page
        .append(".TH PHALANX 1 \"\" \"Phalanx ")
        .append(ProductVersion.words())
        .append("\" \"User commands\"\n");
    man.section("NAME");
    man.plain("phalanx - arrange songs for fingerstyle guitar");
    man.section("SYNOPSIS");
    man.plain("phalanx [FILE]");
    man.page.append(".br\n");
    man.plain("phalanx COMMAND [OPTION ...]");
    man.section("DESCRIPTION");
    for (String words : line.getCommandSpec().usageMessage().description()) {
      man.plain(words);
    }
    man.section("COMMANDS");
    for (Map.Entry<String, CommandLine> command : line.getSubcommands().entrySet()) {
      man.command(command.getKey(), command.getValue());
    }
    return man.page.toString();
  }

  private void section(String title) {
    page.append(".SH ").append(title).append('\n');
  }

  private void plain(String words) {
    page.append(escaped(words)).append('\n');
  }

  private void command(String name, CommandLine command) {
    CommandSpec spec = command.getCommandSpec();
    String synopsis = new Help(spec, Help.defaultColorScheme(Help.Ansi.OFF)).synopsis(0).strip();
    page.append(".SS ").append(name.toLowerCase(Locale.ROOT)).append('\n');
    plain(String.join(" ", spec.usageMessage().description()) + ".");
    page.append(".PP\n");
    plain(synopsis.replaceAll("\\s+", " "));
    for (PositionalParamSpec positional : spec.positionalParameters()) {
      argument(positional.paramLabel(), positional);
    }
    for (OptionSpec option : spec.options()) {
      String label = option.arity().max() > 0 ? " " + option.paramLabel() : "";
      argument(String.join(", ", option.names()) + label, option);
    }
  }

  private void argument(String names, ArgSpec argument) {
    if (!argument.hidden()) {
      page.append(".TP\n.B ").append(escaped(names)).append('\n');
      plain(String.join(" ", argument.description()));
    }
  }

  /** A line is text whatever it begins with. */
  private static String escaped(String words) {
    String plain = words.replace("\\", "\\e").replace("-", "\\-");
    return plain.startsWith(".") || plain.startsWith("'") ? "\\&" + plain : plain;
  }
}
