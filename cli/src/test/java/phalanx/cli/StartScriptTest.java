package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;

class StartScriptTest {

  /** The freedesktop.org shared MIME information and desktop entry specifications. */
  @Test
  void songFilesAreAssociatedWithTheProgram(@TempDir Path data) throws Exception {
    ProcessBuilder script = new ProcessBuilder("../phalanx", "associate");
    script.environment().put("XDG_DATA_HOME", data.toString());
    Process process = script.redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor()).as(said).isZero();
    Document mime =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(data.resolve("mime/packages/phalanx.xml").toFile());
    NodeList globs = mime.getElementsByTagName("glob");
    List<String> patterns = new ArrayList<>();
    for (int g = 0; g < globs.getLength(); g++) {
      patterns.add(globs.item(g).getAttributes().getNamedItem("pattern").getNodeValue());
    }
    assertThat(patterns).contains("*.phalanx.json", "*.cho", "*.chopro", "*.chordpro");
    List<String> entry = Files.readAllLines(data.resolve("applications/phalanx.desktop"));
    assertThat(entry).first().isEqualTo("[Desktop Entry]");
    assertThat(entry).anyMatch(l -> l.matches("Exec=\"/.*/phalanx\" %f"));
    NodeList types = mime.getElementsByTagName("mime-type");
    for (int t = 0; t < types.getLength(); t++) {
      String type = types.item(t).getAttributes().getNamedItem("type").getNodeValue();
      assertThat(entry).anyMatch(l -> l.startsWith("MimeType=") && l.contains(type + ";"));
    }
  }

  @Test
  void whatIsNeitherAWordNorAFileIsAnsweredWithTheWordsThereAre() throws Exception {
    Process process =
        new ProcessBuilder("../phalanx", "practise").redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor()).isEqualTo(2);
    assertThat(said)
        .startsWith("“practise” is neither a word nor a file.")
        .contains("plan", "check", "convert", "shapes", "name", "chord");
    assertThat(said.split("\\s+"))
        .as("every word of the command line")
        .containsAll(Commands.all().getSubcommands().keySet());
  }
}
