package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.font.Face;

/** Words broken into lines. */
public final class Lines {

  private Lines() {}

  /** A text no wider than there is room, its end left out where it has to be. */
  public static String cut(String text, Face face, double size, double width) {
    if (face.width(text, size) <= width) {
      return text;
    }
    String cut = text;
    while (!cut.isEmpty() && face.width(cut + "…", size) > width) {
      cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
    }
    return cut + "…";
  }

  /** A text in lines no wider than there is room; a word that is wider is cut. */
  public static List<String> broken(String text, Face face, double size, double width) {
    List<String> lines = new ArrayList<>();
    String line = "";
    for (String word : face.shown(text).strip().split("\\s+")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && face.width(longer, size) > width) {
        lines.add(line);
        longer = word;
      }
      line = cut(longer, face, size, width);
    }
    lines.add(line);
    return lines;
  }
}
