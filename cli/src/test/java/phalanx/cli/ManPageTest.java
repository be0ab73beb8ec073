package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ManPageTest {

  @Test
  void everyWordAndOptionStandsThere() {
    String page = ManPage.text().replace("\\-", "-");
    Commands.all()
        .getSubcommands()
        .forEach(
            (name, command) -> {
              assertThat(page).contains(".SS " + name + "\n");
              command
                  .getCommandSpec()
                  .options()
                  .forEach(o -> assertThat(page).contains(o.longestName()));
            });
  }

  /** man itself reads it without a word of complaint (groff, man(7)). */
  @Test
  void manReadsIt(@TempDir Path folder) throws Exception {
    assumeTrue(Files.isExecutable(Path.of("/usr/bin/man")), "man is not here");
    Path file = folder.resolve("phalanx.1");
    Files.writeString(file, ManPage.text());
    Process man =
        new ProcessBuilder("man", "--warnings", "-E", "UTF-8", "-l", "-Tutf8", file.toString())
            .redirectError(folder.resolve("complaints").toFile())
            .start();
    String shown = new String(man.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(man.waitFor()).isZero();
    // Bold letters are marked, or struck twice.
    assertThat(shown.replaceAll("\u001b\\[[0-9;]*m|.\b", "")).contains("SYNOPSIS");
    assertThat(Files.readString(folder.resolve("complaints"))).isEmpty();
  }
}
