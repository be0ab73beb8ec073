package phalanx.engraving.font;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** The cuts of the type face that ships with the program. */
public enum Face {
  PLAIN("Regular", "plain"),
  BOLD("Bold", "bold"),
  BOLD_ITALIC("BoldItalic", "bold italic");

  private final String cut;
  private final String words;
  private final Map<Integer, Double> widths = new ConcurrentHashMap<>();
  private volatile Metrics metrics;

  Face(String cut, String words) {
    this.cut = cut;
    this.words = words;
  }

  private record Metrics(TrueTypeFont font, CmapLookup cmap) {}

  /** What it is called in words. */
  public String words() {
    return words;
  }

  /** The bytes of its TrueType file. */
  public InputStream file() {
    return Face.class.getResourceAsStream("PhalanxSans-" + cut + ".ttf");
  }

  /** How wide a text is, in the unit of the size. */
  public double width(String text, double size) {
    return text.codePoints().mapToDouble(c -> widths.computeIfAbsent(c, this::advance)).sum()
        * size;
  }

  /** Whether it has a letter or sign. */
  public boolean has(int codePoint) {
    return metrics().cmap().getGlyphId(codePoint) > 0;
  }

  /** A text with a question mark for every sign that it has no form for. */
  public String shown(String text) {
    StringBuilder shown = new StringBuilder();
    text.codePoints()
        .forEach(c -> shown.appendCodePoint(c == ' ' || has(c) ? c : c == '\t' ? ' ' : '?'));
    return shown.toString();
  }

  private double advance(int codePoint) {
    try {
      Metrics m = metrics();
      int glyph = m.cmap().getGlyphId(codePoint);
      return (double) m.font().getAdvanceWidth(glyph) / m.font().getUnitsPerEm();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Metrics metrics() {
    Metrics known = metrics;
    if (known == null) {
      try (InputStream in = file()) {
        TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in));
        known = new Metrics(font, font.getUnicodeCmapLookup());
        metrics = known;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return known;
  }
}
