package phalanx.engraving.font;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * The music font that ships with the program, its measures read from its own metadata (SMuFL 1.4,
 * “Metadata for SMuFL-compliant fonts”). All measures are staff spaces.
 */
public final class MusicFont {

  /** A staff is four spaces high, and so is a font's em (SMuFL). */
  private static final double SPACES_AN_EM = 4;

  private static final MusicFont SHIPPED = new MusicFont();

  private final Map<Sign, Box> boxes = new EnumMap<>(Sign.class);
  private final Map<String, Double> defaults = new HashMap<>();
  private final Map<Sign, Outline> outlines = new EnumMap<>(Sign.class);

  /**
   * Where a sign's ink is, from its origin, y downwards.
   *
   * @param left the furthest to the left
   * @param top the highest, less than 0 above the origin
   */
  public record Box(double left, double top, double right, double bottom) {
    /** How wide it is. */
    public double width() {
      return right - left;
    }

    /** How high it is. */
    public double height() {
      return bottom - top;
    }
  }

  private MusicFont() {
    Map<String, Sign> byName = new HashMap<>();
    for (Sign sign : Sign.values()) {
      byName.put(sign.glyph(), sign);
    }
    try (InputStream in = MusicFont.class.getResourceAsStream("bravura.json");
        JsonParser json = new JsonFactory().createParser(in)) {
      json.nextToken();
      while (json.nextToken() == JsonToken.FIELD_NAME) {
        String part = json.currentName();
        json.nextToken();
        switch (part) {
          case "engravingDefaults" -> defaults(json);
          case "glyphBBoxes" -> boxes(json, byName);
          default -> json.skipChildren();
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void defaults(JsonParser json) throws IOException {
    while (json.nextToken() == JsonToken.FIELD_NAME) {
      String name = json.currentName();
      if (json.nextToken().isNumeric()) {
        defaults.put(name, json.getDoubleValue());
      } else {
        json.skipChildren();
      }
    }
  }

  private void boxes(JsonParser json, Map<String, Sign> byName) throws IOException {
    while (json.nextToken() == JsonToken.FIELD_NAME) {
      Sign sign = byName.get(json.currentName());
      json.nextToken();
      if (sign == null) {
        json.skipChildren();
        continue;
      }
      double[] northEast = new double[2];
      double[] southWest = new double[2];
      while (json.nextToken() == JsonToken.FIELD_NAME) {
        double[] corner = json.currentName().equals("bBoxNE") ? northEast : southWest;
        json.nextToken();
        for (int k = 0; json.nextToken() != JsonToken.END_ARRAY; k++) {
          corner[k] = json.getDoubleValue();
        }
      }
      boxes.put(sign, new Box(southWest[0], -northEast[1], northEast[0], -southWest[1]));
    }
  }

  /** The font that ships. */
  public static MusicFont shipped() {
    return SHIPPED;
  }

  /** Where a sign's ink is. */
  public Box box(Sign sign) {
    return boxes.get(sign);
  }

  /**
   * A measure that the font's maker recommends, such as {@code stemThickness}.
   *
   * @throws IllegalArgumentException if the font names none
   */
  public double measure(String name) {
    Double value = defaults.get(name);
    if (value == null) {
      throw new IllegalArgumentException("the music font has no " + name);
    }
    return value;
  }

  /** How a sign is drawn. */
  public synchronized Outline outline(Sign sign) {
    if (outlines.isEmpty()) {
      readOutlines();
    }
    return outlines.get(sign);
  }

  private void readOutlines() {
    try (InputStream in = MusicFont.class.getResourceAsStream("bravura.otf")) {
      OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(in));
      double scale = SPACES_AN_EM / font.getUnitsPerEm();
      var cmap = font.getUnicodeCmapLookup();
      var glyphs = font.getCFF().getFont();
      for (Sign sign : Sign.values()) {
        int id = cmap.getGlyphId(sign.codePoint());
        outlines.put(sign, outline(glyphs.getType2CharString(id).getPath(), scale));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Outline outline(java.awt.geom.GeneralPath path, double scale) {
    List<Outline.Segment> segments = new ArrayList<>();
    double[] c = new double[6];
    double lastX = 0;
    double lastY = 0;
    for (PathIterator at = path.getPathIterator(null); !at.isDone(); at.next()) {
      int kind = at.currentSegment(c);
      for (int k = 0; k < c.length; k++) {
        c[k] *= k % 2 == 0 ? scale : -scale;
      }
      switch (kind) {
        case PathIterator.SEG_MOVETO -> segments.add(new Outline.Move(c[0], c[1]));
        case PathIterator.SEG_LINETO -> segments.add(new Outline.To(c[0], c[1]));
        case PathIterator.SEG_CUBICTO ->
            segments.add(new Outline.Cubic(c[0], c[1], c[2], c[3], c[4], c[5]));
        case PathIterator.SEG_QUADTO ->
            segments.add(
                new Outline.Cubic(
                    lastX + (c[0] - lastX) * 2 / 3,
                    lastY + (c[1] - lastY) * 2 / 3,
                    c[2] + (c[0] - c[2]) * 2 / 3,
                    c[3] + (c[1] - c[3]) * 2 / 3,
                    c[2],
                    c[3]));
        default -> segments.add(new Outline.Close());
      }
      if (kind == PathIterator.SEG_CUBICTO) {
        lastX = c[4];
        lastY = c[5];
      } else if (kind == PathIterator.SEG_QUADTO) {
        lastX = c[2];
        lastY = c[3];
      } else if (kind != PathIterator.SEG_CLOSE) {
        lastX = c[0];
        lastY = c[1];
      }
    }
    return new Outline(segments);
  }
}
