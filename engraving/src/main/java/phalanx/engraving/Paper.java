package phalanx.engraving;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The sizes of paper (ISO 216; ANSI/ASME Y14.1), in points upright. */
public enum Paper {
  A4("A4", 595.28, 841.89),
  LETTER("Letter", 612, 792);

  private final String words;
  private final double width;
  private final double height;

  Paper(String words, double width, double height) {
    this.words = words;
    this.width = width;
    this.height = height;
  }

  /** What it is called. */
  public String words() {
    return words;
  }

  /** Its width, points. */
  public double width(boolean landscape) {
    return landscape ? height : width;
  }

  /** Its height, points. */
  public double height(boolean landscape) {
    return landscape ? width : height;
  }

  /** The paper of a name; empty for one there is not. */
  public static Optional<Paper> named(String name) {
    return Stream.of(values())
        .filter(p -> p.words.toLowerCase(Locale.ROOT).equals(name.toLowerCase(Locale.ROOT)))
        .findFirst();
  }
}
