package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.desktop.files.ChosenLanguage;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.files.Preferences;
import phalanx.desktop.model.Appearance;
import phalanx.text.Language;

/**
 * In which language a start speaks; each is a program of its own, for a language is chosen once.
 */
class MainTest {

  @TempDir private Path folder;

  /** Says what Main would speak. */
  public static final class Speaker {

    private Speaker() {}

    /** The player's folder is the first argument. */
    public static void main(String[] args) {
      PlayerFolder folder = new PlayerFolder(Path.of(args[0]));
      Main.speak(ChosenLanguage.of(folder));
      Preferences.read(folder);
      System.out.print(Appearance.Theme.DARK.words());
    }
  }

  private String spoken(String system) throws IOException {
    Process start =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Duser.language=" + system,
                "-cp",
                System.getProperty("java.class.path"),
                Speaker.class.getName(),
                folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    return new String(start.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  private void choose(Language language) throws IOException {
    Preferences.read(new PlayerFolder(folder))
        .withAppearance(Appearance.USUAL.speaking(Optional.of(language)))
        .write(new PlayerFolder(folder));
  }

  @Test
  void theSystemsLanguageCountsWhereNoneIsChosen() throws IOException {
    assertThat(spoken("de")).isEqualTo("dunkel");
    assertThat(spoken("fr")).isEqualTo("dark");
  }

  @Test
  void thePlayersChoiceCountsMore() throws IOException {
    choose(Language.GERMAN);
    assertThat(Files.list(folder)).isNotEmpty();
    assertThat(spoken("en")).isEqualTo("dunkel");
    choose(Language.ENGLISH);
    assertThat(spoken("de")).isEqualTo("dark");
  }
}
