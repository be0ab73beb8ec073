package phalanx.formats.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.arrangement.Arrangement;
import phalanx.formats.Songs;
import phalanx.formats.disk.AtomicFile;

class ArrangementJsonTest {

  @Test
  void hasTheDocumentedShape() throws Exception {
    Arrangement a = Songs.arranged(Songs.FOUR);
    JsonNode root = new ObjectMapper().readTree(ArrangementJson.write(a));
    assertThat(root.fieldNames())
        .toIterable()
        .containsExactly(
            "title",
            "tempo",
            "divisions",
            "tuning",
            "capo",
            "bars",
            "slots",
            "notes",
            "holds",
            "hits",
            "sweeps",
            "damps",
            "search");
    assertThat(root.at("/search/exact").asBoolean()).isEqualTo(a.plan().exact());
    assertThat(root.get("divisions").asInt()).isEqualTo(5040);
    assertThat(root.get("bars")).hasSize(6);
    assertThat(root.get("notes")).hasSize(a.notes().size());
    for (JsonNode note : root.get("notes")) {
      int open = root.get("tuning").get(6 - note.get("string").asInt()).asInt();
      assertThat(note.get("midi").asInt()).isEqualTo(open + 2 + note.get("fret").asInt());
      assertThat(note.get("pick").asText()).isIn("p", "i", "m", "a");
    }
    for (JsonNode hold : root.get("holds")) {
      assertThat(hold.get("fromTick").asInt()).isLessThan(hold.get("toTick").asInt());
    }
  }

  @Test
  void aFileIsReplacedWholeAndLeavesNothingBeside(@TempDir Path folder) throws Exception {
    Path file = folder.resolve("x.json");
    AtomicFile.write(file, "old");
    AtomicFile.write(file, "new");
    assertThat(Files.readString(file)).isEqualTo("new");
    try (var files = Files.list(folder)) {
      assertThat(files).containsExactly(file);
    }
  }
}
