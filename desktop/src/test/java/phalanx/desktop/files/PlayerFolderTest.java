package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Each system has its place for what a program keeps (XDG base directories; from memory). */
class PlayerFolderTest {

  private static final Path HOME = Path.of("/home/player");

  @Test
  void eachSystemHasItsPlace() {
    assertThat(PlayerFolder.of("Linux", HOME, Map.of()))
        .isEqualTo(HOME.resolve(".local/state/phalanx"));
    assertThat(PlayerFolder.of("Linux", HOME, Map.of("XDG_STATE_HOME", "/else")))
        .isEqualTo(Path.of("/else/phalanx"));
    assertThat(PlayerFolder.of("Linux", HOME, Map.of("XDG_STATE_HOME", " ")))
        .isEqualTo(HOME.resolve(".local/state/phalanx"));
    assertThat(PlayerFolder.of("Mac OS X", HOME, Map.of("XDG_STATE_HOME", "/else")))
        .isEqualTo(HOME.resolve("Library/Application Support/Phalanx"));
    assertThat(PlayerFolder.of("Windows 11", HOME, Map.of()))
        .isEqualTo(HOME.resolve("AppData/Local/Phalanx"));
    assertThat(PlayerFolder.of("Windows 11", HOME, Map.of("LOCALAPPDATA", "/local")))
        .isEqualTo(Path.of("/local/Phalanx"));
  }
}
