package phalanx.formats;

/**
 * Something in a file that could not be read.
 *
 * @param line from 1
 * @param column from 1
 * @param message what is wrong and what was expected
 */
public record FileProblem(int line, int column, String message) {

  /** The problem with its place, {@code file:line:column: message}. */
  public String in(String file) {
    return file + ":" + line + ":" + column + ": " + message;
  }
}
