package phalanx.desktop.manual;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Node;
import org.commonmark.parser.Parser;

/**
 * A page of the manual.
 *
 * @param name its file without the ending
 * @param title its first heading
 * @param text as it is written
 */
public record ManualPage(String name, String title, String text) {

  /** The pages in the order in which they are read. */
  private static final List<String> NAMES =
      List.of(
          "first-song",
          "chart",
          "shapes",
          "picking",
          "melody",
          "arrange",
          "practice",
          "guitar",
          "share",
          "i-want-to",
          "text",
          "hard",
          "files",
          "command-line",
          "glossary");

  private static final String FOLDER = "/phalanx/desktop/manual/";

  private static final Parser PARSER =
      Parser.builder().extensions(List.of(TablesExtension.create())).build();

  /** All of them. */
  public static List<ManualPage> all() {
    return NAMES.stream().map(ManualPage::read).toList();
  }

  private static ManualPage read(String name) {
    try (InputStream in = ManualPage.class.getResourceAsStream(FOLDER + name + ".md")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      String title = text.lines().findFirst().orElse(name).replaceFirst("^#++ *+", "");
      return new ManualPage(name, title, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Where something lies among what the program carries that a page names from where it is itself.
   * In an archive nothing is found by a path with dots.
   */
  public static String resource(String named) {
    return URI.create(FOLDER).resolve(named).getPath();
  }

  /** What it says, as a tree. */
  Node tree() {
    return PARSER.parse(text);
  }

  /** Whether all of some words stand in it, whatever their case. */
  public boolean has(String words) {
    String all = text.toLowerCase(Locale.ROOT);
    return Stream.of(words.toLowerCase(Locale.ROOT).split("\\s+")).allMatch(all::contains);
  }
}
