package phalanx.cli;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/**
 * Bars as {@code --bars} has them: one, or from one to another.
 *
 * @param from the number of the first
 * @param to the number of the last, no less
 */
record BarsText(int from, int to) {

  private static final Pattern FORM = Pattern.compile("\\s*(\\d{1,6})(?:-(\\d{1,6}))?\\s*");

  /**
   * Reads {@code 3} or {@code 3-6}.
   *
   * @throws ParameterException if the text is neither
   */
  static BarsText of(CommandSpec spec, String text) {
    Matcher m = FORM.matcher(text);
    if (m.matches()) {
      int from = Integer.parseInt(m.group(1));
      int to = m.group(2) == null ? from : Integer.parseInt(m.group(2));
      if (from <= to) {
        return new BarsText(from, to);
      }
    }
    throw new ParameterException(
        spec.commandLine(), "--bars " + text + ": expected bars such as 3 or 3-6");
  }
}
