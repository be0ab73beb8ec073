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
import phalanx.text.Language;

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

  /** The folder of a language: the first one's lies beside those of the others. */
  private static String folder(Language language) {
    return language == Language.ENGLISH ? FOLDER : FOLDER + language.code() + "/";
  }

  private static final Parser PARSER =
      Parser.builder().extensions(List.of(TablesExtension.create())).build();

  /** All of them, in the language spoken. */
  public static List<ManualPage> all() {
    return all(Language.spoken());
  }

  /** All of them in a language. */
  static List<ManualPage> all(Language language) {
    return NAMES.stream().map(n -> read(folder(language), n)).toList();
  }

  private static ManualPage read(String folder, String name) {
    try (InputStream in = ManualPage.class.getResourceAsStream(folder + name + ".md")) {
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
    return URI.create(folder(Language.spoken())).resolve(named).getPath();
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
