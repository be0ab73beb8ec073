package phalanx.formats.fills;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;
import phalanx.formats.NamedTexts;

class OwnFillsTest {

  @TempDir Path folder;

  private static Fill fill(String name, String major) {
    return FillReader.read("name: " + name + "\nbeats: 1\nmajor: " + major + "\nbluesy: [b3 1]\n")
        .fills()
        .get(0);
  }

  @Test
  void whatIsSavedIsReadAndWhatIsWrittenByHandStays() throws IOException {
    assertThat(OwnFills.read(folder.resolve("none")).fills()).isEmpty();
    Path mine = folder.resolve("mine.fills");
    Files.writeString(mine, "# by hand\nname: Odd\nbeats: 12\n");
    OwnFills.save(folder, fill("First", "[3 1]"));
    OwnFills.save(folder, fill("Second", "[2 1]"));
    OwnFills.save(folder, fill("First", "[5 1]"));
    OwnFills read = OwnFills.read(folder);
    assertThat(read.fills()).containsExactly(fill("Second", "[2 1]"), fill("First", "[5 1]"));
    assertThat(read.problems())
        .extracting(NamedTexts.Fault::toString)
        .singleElement()
        .satisfies(f -> assertThat(f).startsWith("mine.fills:2:1: a fill has a name"));
    OwnFills.remove(folder, "Second");
    assertThat(Files.readString(mine)).startsWith("# by hand").doesNotContain("Second");
    assertThat(OwnFills.read(folder).fills()).extracting(Fill::name).containsExactly("First");
  }
}
