package phalanx.formats.page;

import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2DFontTextDrawer;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Page;
import phalanx.engraving.font.Face;

/** Writes the pages of a sheet as files. */
public final class PageFiles {

  /** Dots an inch of a picture: enough for a screen, half of what a printer has. */
  public static final int DPI = 150;

  /** So many a picture has at most, about 40 pages at full size. */
  static final int MOST_PIXELS = 90_000_000;

  private static final double POINTS_AN_INCH = 72;
  private static final String SVG = "http://www.w3.org/2000/svg";

  private PageFiles() {}

  /** All pages as a PDF, its words as text and its fonts within. */
  public static byte[] pdf(EngravedSheet sheet) {
    try (PDDocument document = new PDDocument();
        PdfBoxGraphics2DFontTextDrawer fonts = new PdfBoxGraphics2DFontTextDrawer()) {
      PDDocumentInformation about = new PDDocumentInformation();
      about.setTitle(sheet.title());
      about.setCreator("Phalanx");
      document.setDocumentInformation(about);
      // The same song always gives the same bytes.
      document.setDocumentId((long) sheet.title().hashCode());
      for (Face face : Face.values()) {
        try (InputStream in = face.file()) {
          fonts.registerFont(Graphics2DPainter.font(face).getFontName(), in);
        }
      }
      for (Page page : sheet.pages()) {
        page(document, page, fonts);
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void page(PDDocument document, Page page, PdfBoxGraphics2DFontTextDrawer fonts)
      throws IOException {
    float width = (float) page.width();
    float height = (float) page.height();
    PDPage leaf = new PDPage(new PDRectangle(width, height));
    document.addPage(leaf);
    PdfBoxGraphics2D graphics = new PdfBoxGraphics2D(document, width, height);
    graphics.setFontTextDrawer(fonts);
    new Graphics2DPainter(graphics).paint(page);
    graphics.dispose();
    try (PDPageContentStream content = new PDPageContentStream(document, leaf)) {
      content.drawForm(graphics.getXFormObject());
    }
  }

  /** All pages as one SVG, each below the one before, with the fonts they are set in. */
  public static byte[] svg(EngravedSheet sheet) {
    Document document = emptySvg();
    SVGGeneratorContext context = SVGGeneratorContext.createDefault(document);
    context.setComment(null);
    context.setEmbeddedFontsOn(false);
    SVGGraphics2D graphics = new SVGGraphics2D(context, false);
    stack(sheet, graphics);
    Element root = graphics.getRoot();
    root.setAttribute("width", width(sheet) + "pt");
    root.setAttribute("height", height(sheet) + "pt");
    root.setAttribute("viewBox", "0 0 " + width(sheet) + " " + height(sheet));
    Element style = document.createElementNS(SVG, "style");
    style.setTextContent(faces());
    root.insertBefore(style, root.getFirstChild());
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (OutputStreamWriter writer = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
      graphics.stream(root, writer, true, false);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    // A document type that lies on the net is no use to a reader without one.
    return out.toString(StandardCharsets.UTF_8)
        .replaceFirst("<!DOCTYPE[^>]*>", "")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static Document emptySvg() {
    try {
      return DocumentBuilderFactory.newInstance()
          .newDocumentBuilder()
          .getDOMImplementation()
          .createDocument(SVG, "svg", null);
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("the JDK has a document builder", e);
    }
  }

  /** The fonts, so that the page looks the same where they are not installed. */
  private static String faces() {
    StringBuilder css = new StringBuilder();
    for (Face face : Face.values()) {
      java.awt.Font font = Graphics2DPainter.font(face);
      try (InputStream in = face.file()) {
        css.append("@font-face{font-family:'")
            .append(font.getFamily())
            .append("';font-weight:")
            .append(face == Face.PLAIN ? "normal" : "bold")
            .append(";font-style:")
            .append(face == Face.BOLD_ITALIC ? "italic" : "normal")
            .append(";src:url(data:font/ttf;base64,")
            .append(Base64.getEncoder().encodeToString(in.readAllBytes()))
            .append(")}\n");
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return css.toString();
  }

  private static double width(EngravedSheet sheet) {
    return sheet.pages().stream().mapToDouble(Page::width).max().orElse(1);
  }

  private static double height(EngravedSheet sheet) {
    return sheet.pages().stream().mapToDouble(Page::height).sum();
  }

  private static void stack(EngravedSheet sheet, Graphics2D graphics) {
    for (Page page : sheet.pages()) {
      new Graphics2DPainter(graphics).paint(page);
      graphics.translate(0, page.height());
    }
  }

  /**
   * All pages as one picture on white, each below the one before; of {@link #DPI}, or of fewer
   * where there would be more than {@link #MOST_PIXELS}.
   */
  public static byte[] png(EngravedSheet sheet) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.setUseCache(false);
      ImageIO.write(picture(sheet), "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static BufferedImage picture(EngravedSheet sheet) {
    double area = width(sheet) * height(sheet);
    double scale = Math.min(DPI / POINTS_AN_INCH, Math.sqrt(MOST_PIXELS / area));
    BufferedImage image =
        new BufferedImage(
            (int) Math.ceil(width(sheet) * scale),
            (int) Math.ceil(height(sheet) * scale),
            BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D graphics = image.createGraphics();
    graphics.setPaint(Color.WHITE);
    graphics.fillRect(0, 0, image.getWidth(), image.getHeight());
    graphics.scale(scale, scale);
    stack(sheet, graphics);
    graphics.dispose();
    return image;
  }
}
