package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;

/** Between every pair of formats, a file and a folder at once. */
class ConvertCommandTest {

  @TempDir private Path folder;

  private final StringWriter err = new StringWriter();

  private int run(String... words) {
    err.getBuffer().setLength(0);
    return PhalanxCommand.run(new PrintWriter(new StringWriter()), new PrintWriter(err), words);
  }

  private Path chart(String name) throws Exception {
    return Files.writeString(
        folder.resolve(name),
        "{title: Quay}\n{key: G}\n{sog}\n| G | D/F# . Em7 . | C | G |\n{eog}\n");
  }

  /** What can be read can be written as whatever can be written, and what is left out is said. */
  @Test
  void everyFormatBecomesEveryOther() throws Exception {
    Path chart = chart("quay.cho");
    List<Path> sources = new ArrayList<>();
    for (FileFormat from : FileFormat.opened()) {
      Path source = folder.resolve("from" + from.endings().get(0));
      assertThat(run("convert", chart.toString(), source.toString())).as(from.words()).isZero();
      assertThat(err.toString().isEmpty()).isEqualTo(from.leaves().isEmpty());
      sources.add(source);
    }
    for (Path source : sources) {
      for (FileFormat to : FileFormat.values()) {
        if (to != FileFormat.JSON && !to.isSound()) {
          Path target = folder.resolve("to-" + source.getFileName() + to.endings().get(0));
          assertThat(run("convert", source.toString(), target.toString()))
              .as(source.getFileName() + " to " + to + ": " + err)
              .isZero();
          assertThat(Files.size(target)).isPositive();
        }
      }
    }
    Path last = folder.resolve("to-from.mid" + SongFiles.ENDING);
    assertThat(SongFiles.open(last).song().orElseThrow().chart().bars()).hasSize(4);
  }

  @Test
  void aFolderIsConvertedAndWhatFailsIsTold() throws Exception {
    Path in = Files.createDirectory(folder.resolve("in"));
    chart("in/a.cho");
    chart("in/b.cho");
    Files.write(in.resolve("c.mid"), new byte[] {1, 2, 3});
    Path out = folder.resolve("out");
    int code = run("convert", in.toString(), "--to", "pdf,musicxml", "--out", out.toString());
    assertThat(code).isEqualTo(1);
    assertThat(err.toString()).contains("c.mid:1:1: this is no Standard MIDI File");
    assertThat(out.resolve("a.pdf")).exists();
    assertThat(out.resolve("b.musicxml")).exists();
    assertThat(out.resolve("c.pdf")).doesNotExist();
  }

  @Test
  void nothingIsWrittenOverTheSongItself() throws Exception {
    Path chart = chart("quay.cho");
    byte[] before = Files.readAllBytes(chart);
    assertThat(run("convert", chart.toString(), chart.toString())).isEqualTo(1);
    assertThat(Files.readAllBytes(chart)).isEqualTo(before);
    assertThat(run("convert", chart.toString(), folder.resolve("x.odd").toString())).isEqualTo(2);
    assertThat(run("convert", chart.toString())).isEqualTo(2);
  }

  @Test
  void pagesAreOfThePaperAndKindAskedFor() throws Exception {
    Path chart = chart("quay.cho");
    Path pdf = folder.resolve("q.pdf");
    String out = pdf.toString();
    assertThat(run("plan", chart.toString(), "--out", out, "--paper", "letter", "--sheet", "chart"))
        .isZero();
    try (PDDocument sheet = Loader.loadPDF(pdf.toFile())) {
      // ANSI/ASME Y14.1: letter paper is 8.5 by 11 inches.
      assertThat(sheet.getPage(0).getMediaBox().getWidth()).isEqualTo(612f);
      assertThat(sheet.getPage(0).getMediaBox().getHeight()).isEqualTo(792f);
      assertThat(new PDFTextStripper().getText(sheet)).contains("Quay", "D/F♯", "Em7");
    }
    assertThat(run("plan", chart.toString(), "--out", out, "--sheet", "odd")).isEqualTo(2);
    assertThat(run("plan", chart.toString(), "--out", out, "--bars", "3-1")).isEqualTo(2);
    assertThat(run("plan", chart.toString(), "--out", out, "--bars", "2-3")).isZero();
  }

  @Test
  void thePartWithTheTuneIsChosenByItsName() throws Exception {
    Path score = folder.resolve("two.abc");
    Path midi = folder.resolve("two.mid");
    Path tune = folder.resolve("tune.phalanx.json");
    Files.writeString(score, "X:1\nT:Two\nM:4/4\nL:1/4\nK:C\n\"C\"e2 d c|\"G\"B4|\n");
    assertThat(run("convert", score.toString(), midi.toString())).isZero();
    assertThat(run("convert", midi.toString(), tune.toString(), "--part", "Kettle")).isEqualTo(2);
    assertThat(err.toString()).contains("--part Kettle: expected one of: ").contains("Bass");
    assertThat(run("convert", midi.toString(), tune.toString(), "--part", "Bass")).isZero();
    assertThat(err.toString()).contains("the tune is taken from “Bass”");
    assertThat(run("plan", score.toString(), "--part", "Bass")).isEqualTo(2);
    assertThat(err.toString()).contains("has no parts to choose from");
  }
}
