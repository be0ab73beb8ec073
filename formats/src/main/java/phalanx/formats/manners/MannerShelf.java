package phalanx.formats.manners;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import phalanx.draft.Manner;
import phalanx.draft.Manners;

/** The manners of arranging that ship with the program. */
public final class MannerShelf {

  private static final String SHELF = "shelf.manners";
  private static final List<Manner> MANNERS = read();

  private MannerShelf() {}

  private static List<Manner> read() {
    try (InputStream in = MannerShelf.class.getResourceAsStream(SHELF)) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      Manners.Result read = Manners.read(text);
      if (!read.problems().isEmpty()) {
        throw new IllegalStateException(SHELF + ": " + read.problems());
      }
      return read.manners();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All of them, in the order of the file. */
  public static List<Manner> all() {
    return MANNERS;
  }

  /** The one of a name, whatever its case. */
  public static Optional<Manner> named(String name) {
    return MANNERS.stream().filter(m -> m.name().equalsIgnoreCase(name.strip())).findFirst();
  }
}
