package phalanx.formats.patterns;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/** The picking patterns that ship with the program. */
public final class PatternShelf {

  /** What the names of pattern files end in. */
  public static final String ENDING = ".pattern";

  private static final String FILE = "shelf" + ENDING;
  private static final List<WrittenPattern> WRITTEN = read();

  private PatternShelf() {}

  private static List<WrittenPattern> read() {
    try (InputStream in = PatternShelf.class.getResourceAsStream(FILE)) {
      PatternReader.Result result =
          PatternReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      if (!result.problems().isEmpty()) {
        throw new IllegalStateException(FILE + ": " + result.problems());
      }
      return result.patterns();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The patterns written for one metre each. */
  public static List<WrittenPattern> written() {
    return WRITTEN;
  }

  /**
   * What can be played in a metre: the styles for every metre, then the patterns written for it.
   */
  public static List<PickingStyle> in(Meter meter) {
    List<PickingStyle> styles = new ArrayList<>(List.of(AlternatingThumb.values()));
    WRITTEN.stream().filter(p -> p.meter().equals(meter)).forEach(styles::add);
    return styles;
  }

  /** The style of a name, whatever its case, with spaces or hyphens between words. */
  public static Optional<PickingStyle> named(String name) {
    List<PickingStyle> all = new ArrayList<>(List.of(AlternatingThumb.values()));
    all.addAll(WRITTEN);
    return all.stream().filter(p -> plain(p.title()).equals(plain(name))).findFirst();
  }

  /** A name in one word, as the command line has it. */
  public static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replace(' ', '-');
  }
}
