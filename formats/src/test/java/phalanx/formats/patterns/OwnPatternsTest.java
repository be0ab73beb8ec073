package phalanx.formats.patterns;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.formats.NamedTexts;
import phalanx.picking.WrittenPattern;

class OwnPatternsTest {

  @TempDir private Path folder;

  private static WrittenPattern shelved(String name) {
    return (WrittenPattern) PatternShelf.named(name).orElseThrow();
  }

  @Test
  void whatIsSavedIsReadBackAndReplacesItsNamesake() throws IOException {
    assertThat(OwnPatterns.read(folder.resolve("none"))).isEqualTo(OwnPatterns.NONE);
    WrittenPattern roll = shelved("Rising roll").named("Mine", "");
    OwnPatterns.save(folder.resolve("new"), roll);
    OwnPatterns.save(folder.resolve("new"), shelved("Tremolo"));
    OwnPatterns.save(folder.resolve("new"), shelved("Outside in").named("Mine", "changed"));
    OwnPatterns own = OwnPatterns.read(folder.resolve("new"));
    assertThat(own.problems()).isEmpty();
    assertThat(own.patterns()).extracting(WrittenPattern::title).containsExactly("Tremolo", "Mine");
    assertThat(own.patterns().get(1).words()).isEqualTo("changed");
    OwnPatterns.remove(folder.resolve("new"), "Tremolo");
    assertThat(OwnPatterns.read(folder.resolve("new")).patterns()).hasSize(1);
  }

  @Test
  void aFaultNamesFileLineAndColumnAndLeavesTheRestOfTheShelf() throws IOException {
    Files.writeString(
        folder.resolve("hand.pattern"),
        """
        name: Good
        thumb | o | o | o | o |

        name: Too much
        tune  | o | . | . | . |
        upper | o | . | . | . |
        middle| o | . | . | . |
        inner | o | . | . | . |
        thumb | o | . | . | . |
        hits  | nail | . | . | . |
        """);
    OwnPatterns own = OwnPatterns.read(folder);
    assertThat(own.patterns()).extracting(WrittenPattern::title).containsExactly("Good");
    assertThat(own.problems())
        .extracting(NamedTexts.Fault::toString)
        .containsExactly("hand.pattern:10:9: Six strokes at once for five fingers");
  }

  @Test
  void whatAPlayerWroteBesideStaysAsItIs() throws IOException {
    Path file = folder.resolve(OwnPatterns.MINE);
    Files.writeString(file, "# my remark\nname: Broken\nthumb | ö |\n");
    OwnPatterns.save(folder, shelved("Tremolo"));
    assertThat(Files.readString(file)).startsWith("# my remark\nname: Broken\nthumb | ö |\n");
    assertThat(OwnPatterns.read(folder).patterns()).hasSize(1);
    assertThat(OwnPatterns.read(folder).problems())
        .first()
        .hasToString(
            "mine.pattern:3:9: expected o for a stroke, a finger’s letter, either with :pm, :slap,"
                + " :pop or :t12 behind it, = to stop, or a dot, found “ö”");
  }
}
