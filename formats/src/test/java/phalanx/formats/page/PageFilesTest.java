package phalanx.formats.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Engraver;
import phalanx.engraving.Paper;
import phalanx.engraving.SheetOptions;
import phalanx.formats.SongFiles;
import phalanx.notation.WrittenForm;
import phalanx.planning.Arranger;

/** The pages as general libraries read them back. */
class PageFilesTest {

  private static Arrangement demo(String name) {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    return new Arranger().arrange(SongFiles.open(file).song().orElseThrow());
  }

  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "slate-roof-rain", "low-tide-reel"})
  void everyChordAndLineIsTextInThePdf(String name) throws Exception {
    Arrangement a = demo(name);
    EngravedSheet sheet = Engraver.engrave(a, SheetOptions.USUAL.on(Paper.LETTER, false));
    byte[] pdf = PageFiles.pdf(sheet);
    assertThat(PageFiles.pdf(sheet)).as("the same bytes again").isEqualTo(pdf);
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo(sheet.pages().size());
      assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(612);
      String text = new PDFTextStripper().getText(document);
      assertThat(text).contains(a.song().title());
      for (WrittenForm.WrittenBar bar : WrittenForm.of(a).bars()) {
        for (Slot slot : a.slotsFrom(bar.bar().startTick(), bar.bar().endTick())) {
          assertThat(text).contains(slot.played().harmony().label());
        }
      }
      boolean[] embedded = {false};
      document
          .getPages()
          .forEach(
              p -> p.getResources().getXObjectNames().forEach(n -> embedded[0] |= hasFonts(p, n)));
      assertThat(embedded[0]).isTrue();
    }
  }

  private static boolean hasFonts(org.apache.pdfbox.pdmodel.PDPage page, COSName name) {
    try {
      var form =
          (org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject)
              page.getResources().getXObject(name);
      for (COSName font : form.getResources().getFontNames()) {
        assertThat(form.getResources().getFont(font).isEmbedded()).isTrue();
      }
      return form.getResources().getFontNames().iterator().hasNext();
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void aPictureHasThePaperAtItsDots() throws Exception {
    EngravedSheet sheet = Engraver.engrave(demo("harbour-lamp"), SheetOptions.USUAL);
    var image = ImageIO.read(new ByteArrayInputStream(PageFiles.png(sheet)));
    // A4 is 210 mm wide (ISO 216).
    assertThat(image.getWidth()).isEqualTo((int) Math.ceil(210 / 25.4 * PageFiles.DPI));
    assertThat(image.getHeight())
        .isEqualTo((int) Math.ceil(297 / 25.4 * sheet.pages().size() * PageFiles.DPI));
    int dark = 0;
    for (int x = 0; x < image.getWidth(); x += 2) {
      for (int y = 0; y < image.getHeight(); y += 2) {
        dark += (image.getRGB(x, y) & 0xFF) < 80 ? 1 : 0;
      }
    }
    assertThat(dark).isBetween(2_000 * sheet.pages().size(), 200_000 * sheet.pages().size());
  }

  @Test
  void aDrawingIsXmlWithItsWords() throws Exception {
    EngravedSheet sheet = Engraver.engrave(demo("harbour-lamp"), SheetOptions.USUAL);
    byte[] svg = PageFiles.svg(sheet);
    var document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg));
    assertThat(document.getDocumentElement().getNodeName()).isEqualTo("svg");
    assertThat(new String(svg, StandardCharsets.UTF_8)).contains(">Harbour Lamp<");
    // The last page too: its foot says which it is.
    assertThat(new String(svg, StandardCharsets.UTF_8))
        .contains(">" + sheet.pages().size() + " / " + sheet.pages().size() + "<");
  }
}
