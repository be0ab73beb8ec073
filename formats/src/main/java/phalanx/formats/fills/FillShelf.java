package phalanx.formats.fills;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;

/** The fills that ship with the program. */
public final class FillShelf {

  private static final String FILE = "shelf.fills";
  private static final List<Fill> FILLS = read();

  private FillShelf() {}

  private static List<Fill> read() {
    try (InputStream in = FillShelf.class.getResourceAsStream(FILE)) {
      FillReader.Result result =
          FillReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      if (!result.problems().isEmpty()) {
        throw new IllegalStateException(FILE + ": " + result.problems());
      }
      return result.fills();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All of them, in the order of the file. */
  public static List<Fill> all() {
    return FILLS;
  }
}
