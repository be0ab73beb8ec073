package phalanx.formats.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Each system has its place for what a program keeps (XDG base directories; from memory). */
class ProgramFolderTest {

  private static final Path HOME = Path.of("/home/player");

  @Test
  void eachSystemHasItsPlace() {
    assertThat(ProgramFolder.of("Linux", HOME, Map.of()))
        .isEqualTo(HOME.resolve(".local/state/phalanx"));
    assertThat(ProgramFolder.of("Linux", HOME, Map.of("XDG_STATE_HOME", "/else")))
        .isEqualTo(Path.of("/else/phalanx"));
    assertThat(ProgramFolder.of("Linux", HOME, Map.of("XDG_STATE_HOME", " ")))
        .isEqualTo(HOME.resolve(".local/state/phalanx"));
    assertThat(ProgramFolder.of("Mac OS X", HOME, Map.of("XDG_STATE_HOME", "/else")))
        .isEqualTo(HOME.resolve("Library/Application Support/Phalanx"));
    assertThat(ProgramFolder.of("Windows 11", HOME, Map.of()))
        .isEqualTo(HOME.resolve("AppData/Local/Phalanx"));
    assertThat(ProgramFolder.of("Windows 11", HOME, Map.of("LOCALAPPDATA", "/local")))
        .isEqualTo(Path.of("/local/Phalanx"));
  }
}
