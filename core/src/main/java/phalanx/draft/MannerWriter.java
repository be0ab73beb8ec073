package phalanx.draft;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import phalanx.embellishment.Frame;
import phalanx.picking.PatternWriter;
import phalanx.text.Phrase;

/** Writes a manner as the open text that {@link Manners} reads. */
public final class MannerWriter {

  private MannerWriter() {}

  /** The text of one manner. */
  public static String write(Manner manner) {
    StringBuilder text = new StringBuilder();
    line(text, "manner", manner.name());
    line(text, "about", manner.about());
    line(text, "thumb", manner.thumb().written());
    line(text, "tempo", Phrase.of("%.0f-%.0f", manner.slowest(), manner.fastest()));
    line(text, "density", manner.least().number() + "-" + manner.most().number());
    line(text, "rings", manner.rings() ? "yes" : "");
    line(text, "thirds", manner.thirds() ? "yes" : "");
    line(
        text,
        "repeats",
        manner.repeats().stream().map(Manner.Repeat::word).collect(Collectors.joining(", ")));
    line(text, "beginning", words(manner, Manners.BEGINNINGS));
    line(text, "ending", words(manner, Manners.ENDINGS));
    manner.patterns().forEach(p -> text.append(rows(PatternWriter.write(p))));
    return text.toString();
  }

  private static void line(StringBuilder text, String key, String value) {
    if (!value.isBlank()) {
      text.append(key).append(": ").append(value.strip()).append('\n');
    }
  }

  private static String words(Manner manner, Map<String, Frame> words) {
    return words.entrySet().stream()
        .filter(e -> manner.endings().contains(e.getValue()))
        .map(Map.Entry::getKey)
        .sorted()
        .collect(Collectors.joining(", "));
  }

  /** The metre and what follows it: name and words are the manner’s. */
  private static String rows(String pattern) {
    List<String> lines = Arrays.asList(pattern.split("\n"));
    return lines.stream()
            .filter(l -> !l.isBlank())
            .filter(l -> !l.startsWith("name:") && !l.startsWith("about:"))
            .collect(Collectors.joining("\n"))
        + "\n";
  }
}
