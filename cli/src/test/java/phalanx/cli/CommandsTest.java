package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;
import picocli.CommandLine.Help;
import picocli.CommandLine.Model.CommandSpec;

class CommandsTest {

  private static String help(CommandSpec spec) {
    return new Help(spec, Help.defaultColorScheme(Help.Ansi.OFF)).optionList()
        + spec.qualifiedName();
  }

  private static Map<String, String> words(CommandLine line) {
    Map<String, String> words = new TreeMap<>();
    line.getSubcommands().forEach((word, c) -> words.put(word, help(c.getCommandSpec())));
    return words;
  }

  @Test
  void aCommandMadeAloneIsTheOneOfTheWholeLine() {
    Map<String, String> whole = words(Commands.all());
    assertThat(whole).hasSizeGreaterThan(10);
    whole.forEach(
        (word, help) ->
            assertThat(words(Commands.forWords(word, "--json")))
                .containsExactly(Map.entry(word, help)));
  }

  @Test
  void aCommandIsCalledWhatItSaysItIs() {
    Commands.all()
        .getSubcommands()
        .forEach(
            (word, command) ->
                assertThat(
                        command
                            .getCommandSpec()
                            .userObject()
                            .getClass()
                            .getAnnotation(CommandLine.Command.class)
                            .name())
                    .isEqualTo(word));
  }

  @Test
  void anythingElseIsAskedOfAllOfThem() {
    assertThat(words(Commands.forWords())).isEqualTo(words(Commands.all()));
    assertThat(words(Commands.forWords("pln", "x"))).isEqualTo(words(Commands.all()));
    assertThat(words(Commands.forWords("--help"))).isEqualTo(words(Commands.all()));
  }
}
