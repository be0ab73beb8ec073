import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.Stylesheet;

/**
 * Makes the window's stylesheets ready when it is built: those of the controls' theme with the
 * rules of the controls that the window has, and all of them in binary form. Every rule is held
 * against every kind of node at the start, so rules that nothing uses cost time.
 *
 * <p>Arguments: the folder of the window's own stylesheets, which the others go to as well; the
 * file that names the controls by their style classes.
 */
public final class BinaryStyles {

  private static final List<String> THEMES = List.of("primer-light", "primer-dark");
  private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
  private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");
  private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z][\\w-]*)");

  private BinaryStyles() {}

  public static void main(String[] args) throws IOException {
    Path folder = Path.of(args[0]);
    Set<String> controls = Set.copyOf(Files.readAllLines(Path.of(args[1])));
    for (String theme : THEMES) {
      String name = "/atlantafx/base/theme/" + theme + ".css";
      try (InputStream in = BinaryStyles.class.getResourceAsStream(name)) {
        String whole = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        Files.writeString(folder.resolve(theme + ".css"), trimmed(whole, controls));
      }
    }
    List<Path> sheets;
    try (Stream<Path> files = Files.list(folder)) {
      sheets = files.filter(f -> f.toString().endsWith(".css")).sorted().toList();
    }
    for (Path sheet : sheets) {
      String name = sheet.getFileName().toString().replace(".css", ".bss");
      Stylesheet.convertToBinary(sheet.toFile(), folder.resolve(name).toFile());
    }
  }

  private static String trimmed(String css, Set<String> controls) {
    StringBuilder kept = new StringBuilder();
    String rules = COMMENT.matcher(css).replaceAll("");
    for (MatchResult rule : RULE.matcher(rules).results().toList()) {
      String selectors =
          Stream.of(rule.group(1).split(","))
              .map(String::strip)
              .filter(s -> isUsed(s, controls))
              .collect(Collectors.joining(", "));
      if (!selectors.isEmpty()) {
        kept.append(selectors).append(rule.group(2)).append('\n');
      }
    }
    return kept.toString();
  }

  /** Whether the window has the control that a selector begins with. */
  private static boolean isUsed(String selector, Set<String> controls) {
    return STYLE_CLASS
        .matcher(selector)
        .results()
        .findFirst()
        .map(c -> controls.contains(c.group(1)))
        .orElse(true);
  }
}
