package phalanx.desktop.manual;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.text.Language;

/** The pages of the manual in every language: alike in what they show, and true to the window. */
class ManualPagesTest {

  private static final Pattern CODE = Pattern.compile("`([^`\n]++)`");
  private static final Pattern PICTURE = Pattern.compile("!\\[[^\\]]++\\]\\(([^)]++)\\)");

  /** What stands in slanted letters is what a control of the window says. */
  private static final Pattern CONTROL = Pattern.compile("(?<![*\\w])\\*([^*\n]++)\\*(?!\\*)");

  private static List<String> found(Pattern pattern, String text) {
    List<String> all = new ArrayList<>();
    Matcher matcher = pattern.matcher(text);
    while (matcher.find()) {
      all.add(matcher.group(1));
    }
    return all;
  }

  /** The kind of each line: a heading, an item of a list, a row of a table, an example. */
  private static List<String> kinds(String text) {
    return text.lines()
        .filter(l -> !l.isBlank())
        .map(l -> l.replaceFirst("^(#+|-|\\||!|```|\\d+\\.)?.*+$", "$1"))
        .toList();
  }

  private static List<String> examples(String text) {
    List<String> lines = new ArrayList<>();
    boolean inside = false;
    for (String line : text.lines().toList()) {
      inside ^= line.startsWith("```");
      if (inside) {
        lines.add(line);
      }
    }
    return lines;
  }

  private static String name(String path) {
    return path.substring(path.lastIndexOf('/') + 1);
  }

  /** The window of a picture speaks the language of the page. */
  @ParameterizedTest
  @EnumSource(Language.class)
  void everyPictureIsThereInItsLanguage(Language language) {
    Path pages = Path.of("..", "docs", "manual");
    Path folder = language == Language.ENGLISH ? pages : pages.resolve(language.code());
    List<String> pictures =
        ManualPage.all(language).stream().flatMap(p -> found(PICTURE, p.text()).stream()).toList();
    assertThat(pictures).hasSizeGreaterThan(7);
    assertThat(pictures).allMatch(p -> Files.exists(folder.resolve(p)));
    assertThat(pictures)
        .allMatch(
            p -> p.startsWith(language == Language.ENGLISH ? "../screenshots/" : "pictures/"));
  }

  @Test
  void aGermanPageSaysWhatTheEnglishOneSays() {
    List<ManualPage> english = ManualPage.all(Language.ENGLISH);
    List<ManualPage> german = ManualPage.all(Language.GERMAN);
    for (int p = 0; p < english.size(); p++) {
      String page = english.get(p).name();
      String in = english.get(p).text();
      String auf = german.get(p).text();
      assertThat(german.get(p).title()).as(page).isNotEqualTo(english.get(p).title());
      assertThat(examples(auf)).as(page).isEqualTo(examples(in));
      assertThat(found(PICTURE, auf).stream().map(ManualPagesTest::name))
          .as(page)
          .containsExactlyElementsOf(
              found(PICTURE, in).stream().map(ManualPagesTest::name).toList());
      if (!page.equals("glossary")) {
        assertThat(kinds(auf)).as(page).isEqualTo(kinds(in));
        assertThat(found(CODE, auf).stream().map(ManualPagesTest::plain).toList())
            .as(page)
            .containsExactlyElementsOf(
                found(CODE, in).stream().map(ManualPagesTest::plain).toList());
      }
    }
  }

  /** What a player puts in the place of a word in capitals has a name in each language. */
  private static String plain(String code) {
    return code.replace("DATEI", "FILE").replace("WORT", "WORD");
  }

  /** Words of the window are found in its texts, or a player would look for them in vain. */
  @ParameterizedTest
  @EnumSource
  void controlsAreCalledAsTheWindowCallsThem(Language language) {
    String all = String.join("\n", texts(language)).toLowerCase(Locale.ROOT);
    Set<String> unknown = new LinkedHashSet<>();
    for (ManualPage page : ManualPage.all(language)) {
      for (String control : found(CONTROL, page.text().replaceAll("(?s)```.*?```", ""))) {
        boolean title = ManualPage.all(language).stream().anyMatch(p -> p.title().equals(control));
        boolean tongue =
            List.of(Language.values()).stream().anyMatch(l -> l.title().equals(control));
        // A control’s own words may have a value in them: Thumb: steady, For … only.
        boolean there =
            List.of(control.toLowerCase(Locale.ROOT).split(": | ?… ?")).stream()
                .allMatch(all::contains);
        if (!there && !title && !tongue) {
          unknown.add(page.name() + ": " + control);
        }
      }
    }
    assertThat(unknown).isEmpty();
  }

  private static List<String> texts(Language language) {
    String ending = language == Language.ENGLISH ? "" : "_" + language.code();
    List<String> texts = new ArrayList<>();
    for (String file :
        List.of(
            "/phalanx/desktop/texts/texts",
            "/phalanx/desktop/texts/tips",
            "/phalanx/text/texts",
            "/phalanx/text/shelf")) {
      try (InputStream in =
          ManualPagesTest.class.getResourceAsStream(file + ending + ".properties")) {
        Properties all = new Properties();
        all.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        all.values().forEach(v -> texts.add(v.toString()));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return texts;
  }
}
