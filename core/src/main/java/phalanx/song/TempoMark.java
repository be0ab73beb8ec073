package phalanx.song;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.text.Phrase;

/** How a tempo stands in a chart: {@code ♩=100}, typed also as {@code q=100}. */
public final class TempoMark {

  private static final Pattern MARK = Pattern.compile("[♩qQ]=(\\d{1,3}(?:\\.\\d{1,3})?)");

  private TempoMark() {}

  /**
   * Reads a mark.
   *
   * @return quarter notes a minute; empty where the text is no mark or out of range
   */
  public static Optional<Double> parse(String text) {
    Matcher mark = MARK.matcher(text);
    return mark.matches()
        ? Optional.of(Double.parseDouble(mark.group(1))).filter(Feel::isTempo)
        : Optional.empty();
  }

  /** Whether a text is meant as a mark, though perhaps of a tempo that cannot be. */
  public static boolean isMeant(String text) {
    return text.startsWith("♩=") || text.startsWith("q=") || text.startsWith("Q=");
  }

  /** The mark of a tempo, read back as the same to a thousandth. */
  public static String of(double tempo) {
    String plain = Phrase.of("%.3f", tempo);
    return "♩=" + plain.replaceAll("\\.?0+$", "");
  }
}
