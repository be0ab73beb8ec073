package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.FileStamp;

/** A file appears whole, where and as it was. Links and permissions as POSIX has them. */
class AtomicFileTest {

  @TempDir private Path folder;

  private List<String> names() throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.map(f -> f.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void aLinkStaysALinkAndItsTargetIsWritten() throws IOException {
    Path real = Files.createDirectory(folder.resolve("real")).resolve("song.json");
    Files.writeString(real, "old");
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), Path.of("real/song.json"));
    AtomicFile.write(link, "new");
    assertThat(link).isSymbolicLink();
    assertThat(real).hasContent("new").isRegularFile();
    assertThat(real.getParent().toFile().list()).containsExactly("song.json");
  }

  @Test
  void whatALinkLeadsToIsMadeWhereItIsNotThereYet() throws IOException {
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), Path.of("later.json"));
    AtomicFile.write(link, "new");
    assertThat(link).isSymbolicLink();
    assertThat(folder.resolve("later.json")).hasContent("new");
  }

  @Test
  void linksInACircleAreSaidAndLeft() throws IOException {
    Path one = folder.resolve("one");
    Path two = Files.createSymbolicLink(folder.resolve("two"), one);
    Files.createSymbolicLink(one, two);
    assertThatThrownBy(() -> AtomicFile.write(one, "x"))
        .isInstanceOfSatisfying(
            IOException.class,
            e ->
                assertThat(DiskTrouble.writing(e))
                    .isEqualTo("cannot be written: its links lead in a circle"));
    assertThat(names()).containsExactly("one", "two");
  }

  @Test
  void permissionsStay() throws IOException {
    Path file = Files.writeString(folder.resolve("song.json"), "old");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r-----"));
    AtomicFile.write(file, "new");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-r-----");
    assertThat(file).hasContent("new");
  }

  @Test
  void aFileThatMayOnlyBeReadIsWrittenOverOnlyWhenThatIsWanted() throws IOException {
    Path file = Files.writeString(folder.resolve("song.json"), "old");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
    assertThatThrownBy(() -> AtomicFile.write(file, "new")).isInstanceOf(AtomicFile.ReadOnly.class);
    assertThat(file).hasContent("old");
    AtomicFile.write(file, "new", true);
    assertThat(file).hasContent("new");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("r--r--r--");
    assertThat(names()).containsExactly("song.json");
  }

  @Test
  void draftsOfProgramsThatAreGoneAreClearedAndOthersAreLeft() throws IOException {
    long alive = ProcessHandle.current().pid();
    Files.writeString(folder.resolve(".song.json.999999999999-1.part"), "gone");
    Files.writeString(folder.resolve(".song.json." + alive + "-77777.part"), "alive");
    Files.writeString(folder.resolve(".other.json.999999999999-1.part"), "another file's");
    Files.writeString(folder.resolve("mine.part"), "the player's");
    AtomicFile.write(folder.resolve("song.json"), "new");
    assertThat(names())
        .containsExactly(
            ".other.json.999999999999-1.part",
            ".song.json." + alive + "-77777.part",
            "mine.part",
            "song.json");
  }

  @Test
  void aMissingFolderAndAFolderOfThatNameAreSaidInWords() throws IOException {
    Path missing = folder.resolve("no/song.json");
    assertThatThrownBy(() -> AtomicFile.write(missing, "x"))
        .hasMessage("cannot be written: there is no folder " + folder.resolve("no"));
    Path taken = Files.createDirectory(folder.resolve("taken.json"));
    assertThatThrownBy(() -> AtomicFile.write(taken, "x"))
        .hasMessage("cannot be written: it is a folder");
    assertThat(names()).containsExactly("taken.json");
  }

  /** A name of 255 bytes is the longest most systems take; with a draft's it is longer. */
  @Test
  void aNameThatIsTooLongIsSaidInWords() {
    Path file = folder.resolve("x".repeat(300) + ".json");
    assertThatThrownBy(() -> AtomicFile.write(file, "x"))
        .isInstanceOfSatisfying(
            IOException.class,
            e ->
                assertThat(DiskTrouble.writing(e))
                    .isEqualTo("cannot be written: its name is too long"));
  }

  @Test
  void anotherProgramsWritingIsNoticedAndOnesOwnContentIsNot() throws IOException {
    Path file = Files.writeString(folder.resolve("song.json"), "mine");
    FileStamp stamp = FileStamp.of(file).orElseThrow();
    assertThat(stamp.outdatedBy(file)).isEmpty();
    AtomicFile.write(file, "mine");
    assertThat(stamp.outdatedBy(file)).as("written anew, the same").isEmpty();
    AtomicFile.write(file, "else");
    assertThat(stamp.outdatedBy(file)).isPresent();
    Files.delete(file);
    assertThat(stamp.outdatedBy(file)).as("gone").isEmpty();
  }
}
