package phalanx.embellishment;

import java.util.stream.Collectors;

/** Writes fills as {@link FillReader} reads them. */
public final class FillWriter {

  private FillWriter() {}

  /** A fill's lines, each with its end. */
  public static String write(Fill fill) {
    StringBuilder text = new StringBuilder("name: " + fill.name() + "\n");
    if (!fill.about().isEmpty()) {
      text.append("about: ").append(fill.about()).append('\n');
    }
    if (!fill.over().equals(Fill.USUALLY_OVER)) {
      String over =
          fill.over().stream().sorted().map(Fill.Kind::word).collect(Collectors.joining(" "));
      text.append("over: ").append(over).append('\n');
    }
    text.append("beats: ").append(fill.beats()).append('\n');
    for (Fill.Colour colour : Fill.Colour.values()) {
      text.append(colour.word()).append(": ").append(fill.lines().get(colour)).append('\n');
    }
    return text.toString();
  }
}
