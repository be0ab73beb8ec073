package phalanx.formats.chordpro;

/**
 * Something in a chart that could not be read. The rest of the chart was read all the same.
 *
 * @param line from 1
 * @param column from 1
 * @param message what is wrong and what was expected
 */
public record ChordProProblem(int line, int column, String message) {

  /** The problem with its place, {@code file:line:column: message}. */
  public String in(String file) {
    return file + ":" + line + ":" + column + ": " + message;
  }
}
