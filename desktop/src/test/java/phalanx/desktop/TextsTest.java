package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Formatter;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every text that is looked up is there in English and German, and none is there for nothing. */
class TextsTest {

  private static final Pattern USE = Pattern.compile("Texts\\.of\\(\\s*+\"([^\"]++)\"");
  private static final Pattern PLACE = Pattern.compile("%(?:(\\d++)\\$)?[-+,.\\d]*+([a-zA-Z%])");

  /** The parts of the program that speak, each with the folder of its texts. */
  private static final String PARTS =
      """
      ../desktop, phalanx/desktop/texts/texts
      ../core, phalanx/text/texts
      ../engraving, phalanx/engraving/texts
      ../formats, phalanx/formats/texts
      ../sound, phalanx/sound/texts
      ../practicelog, phalanx/practicelog/texts
      """;

  private static Properties texts(String part, String file) throws IOException {
    Properties texts = new Properties();
    Path at = Path.of(part, "src", "main", "resources").resolve(file + ".properties");
    try (Reader reader = Files.newBufferedReader(at)) {
      texts.load(reader);
    }
    return texts;
  }

  private static Set<String> used(String part) throws IOException {
    try (Stream<Path> files = Files.walk(Path.of(part, "src", "main", "java"))) {
      Set<String> used = new TreeSet<>();
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        Matcher use = USE.matcher(Files.readString(file));
        while (use.find()) {
          used.add(use.group(1));
        }
      }
      return used;
    }
  }

  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void noTextIsMissingAndNoneIsUnused(String part, String file) throws IOException {
    assertThat(texts(part, file).stringPropertyNames())
        .containsExactlyInAnyOrderElementsOf(used(part))
        .isNotEmpty();
  }

  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void germanIsComplete(String part, String file) throws IOException {
    assertThat(texts(part, file + "_de").stringPropertyNames())
        .isEqualTo(texts(part, file).stringPropertyNames());
  }

  /** No key is there twice: the second would silently count. */
  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void noKeyIsThereTwice(String part, String file) throws IOException {
    for (String name : List.of(file, file + "_de")) {
      Path at = Path.of(part, "src", "main", "resources").resolve(name + ".properties");
      assertThat(Files.readAllLines(at).stream().map(l -> l.replaceFirst("=.*", "")))
          .doesNotHaveDuplicates();
    }
  }

  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void bothLanguagesPutTheSameValuesIn(String part, String file) throws IOException {
    Properties english = texts(part, file);
    Properties german = texts(part, file + "_de");
    for (String key : english.stringPropertyNames()) {
      assertThat(places(german.getProperty(key)))
          .as(key)
          .isEqualTo(places(english.getProperty(key)));
    }
  }

  /** What is put in, by its place among the values: {@code 1s}, {@code 2d}. */
  private static Set<String> places(String text) {
    Set<String> places = new TreeSet<>();
    Matcher place = PLACE.matcher(text);
    int next = 0;
    while (place.find()) {
      if (!place.group(2).equals("%")) {
        places.add(
            (place.group(1) == null ? ++next : Integer.parseInt(place.group(1))) + place.group(2));
      }
    }
    return places;
  }

  /** German writes “3,5”; a text with a value is formatted in every language. */
  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void everyTextCanBeFormatted(String part, String file) throws IOException {
    List<String> faulty = new ArrayList<>();
    Properties german = texts(part, file + "_de");
    for (String key : german.stringPropertyNames()) {
      Set<String> places = places(german.getProperty(key));
      Object[] values = places.stream().map(p -> value(p.charAt(p.length() - 1))).toArray();
      try (Formatter formatter = new Formatter(Locale.GERMAN)) {
        if (values.length > 0) {
          formatter.format(german.getProperty(key), values);
        }
      } catch (IllegalArgumentException e) {
        faulty.add(key + ": " + e.getMessage());
      }
    }
    assertThat(faulty).isEmpty();
  }

  private static Object value(char kind) {
    return switch (kind) {
      case 'd' -> 3;
      case 'f' -> 3.5;
      default -> "three";
    };
  }

  /** A German window that speaks English in places would show here: most texts differ. */
  @ParameterizedTest
  @CsvSource(textBlock = PARTS)
  void germanIsNotEnglish(String part, String file) throws IOException {
    Properties english = texts(part, file);
    Properties german = texts(part, file + "_de");
    List<String> same =
        english.stringPropertyNames().stream()
            .filter(k -> english.getProperty(k).equals(german.getProperty(k)))
            .filter(k -> english.getProperty(k).matches(".*[a-z]{4,}.*[ ].*[a-z]{4,}.*"))
            .collect(Collectors.toList());
    assertThat(same).isEmpty();
  }
}
