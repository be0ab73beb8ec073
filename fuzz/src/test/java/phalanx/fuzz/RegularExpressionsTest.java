package phalanx.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * No regular expression of the program has two unbounded parts next to each other: matching tries
 * every place where one could end and the other begin. A possessive part gives nothing back and is
 * allowed. (Friedl, Mastering Regular Expressions; from memory.)
 */
class RegularExpressionsTest {

  /** The literals, put together by plus signs, that become an expression. */
  private static final Pattern USE =
      Pattern.compile(
          "(?:Pattern\\.compile|\\.matches|\\.replaceAll|\\.replaceFirst|\\.split)\\(\\s*+"
              + "((?:\"(?:[^\"\\\\]|\\\\.)*+\"\\s*+\\+?\\s*+)+)");

  private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*+)\"");

  /** A part of an expression: a class, a group's bracket, an escape or a sign; then how often. */
  private static final Pattern PART =
      Pattern.compile(
          "(\\[(?:\\\\.|[^\\]\\\\])*+\\]|\\(\\?[:=!<>]*+|\\(|\\)|\\\\.|.)"
              + "([*+?]|\\{\\d++(?:,\\d*+)?\\})?([+?])?",
          Pattern.DOTALL);

  @Test
  void haveNoTwoUnboundedPartsInARow() throws IOException {
    Path root = Path.of(System.getProperty("phalanx.root", ".."));
    List<String> faulty = new ArrayList<>();
    int seen = 0;
    for (String module : List.of("core", "formats", "sound", "cli", "desktop")) {
      try (Stream<Path> all = Files.walk(root.resolve(module).resolve("src/main/java"))) {
        for (Path file : all.filter(f -> f.toString().endsWith(".java")).toList()) {
          for (String expression : expressions(Files.readString(file))) {
            seen++;
            if (isFaulty(expression)) {
              faulty.add(file.getFileName() + ": " + expression);
            }
          }
        }
      }
    }
    assertThat(faulty).isEmpty();
    assertThat(seen).as("expressions found").isGreaterThan(40);
  }

  @ParameterizedTest
  @ValueSource(strings = {"\\s*(.*?)\\s*", "a+[a-z]*", "(x*)(y+)", ".*.*", "(?:[ab]+){2,}c*"})
  void suchAreFound(String expression) {
    assertThat(isFaulty(expression)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"\\s*+:(.*)", "a+:b*", "\\d{1,7}@(.+)", "[^a]*+[b]*", "x?y*z?", "(a|b)c+"})
  void othersAreNot(String expression) {
    assertThat(isFaulty(expression)).isFalse();
  }

  private static List<String> expressions(String source) {
    List<String> found = new ArrayList<>();
    Matcher use = USE.matcher(source);
    while (use.find()) {
      StringBuilder whole = new StringBuilder();
      Matcher literal = LITERAL.matcher(use.group(1));
      while (literal.find()) {
        // A sign by its number is one sign, whichever.
        whole.append(
            literal.group(1).replaceAll("(?<!\\\\)\\\\u[0-9a-fA-F]{4}", "x").translateEscapes());
      }
      found.add(whole.toString());
    }
    return found;
  }

  /** Whether an unbounded part stands directly behind another that could give signs back. */
  private static boolean isFaulty(String expression) {
    boolean openBefore = false;
    Matcher part = PART.matcher(expression);
    while (part.find()) {
      String atom = part.group(1);
      String times = part.group(2) == null ? "" : part.group(2);
      boolean unbounded = times.equals("*") || times.equals("+") || times.endsWith(",}");
      boolean possessive = "+".equals(part.group(3));
      if (atom.startsWith("(") || atom.equals("|")) {
        // What begins here stands behind what was before; an alternative begins anew.
        openBefore &= !atom.equals("|");
        continue;
      }
      if (atom.equals(")")) {
        openBefore |= unbounded && !possessive;
        continue;
      }
      if (unbounded && !possessive && openBefore) {
        return true;
      }
      boolean optional = times.equals("?") || times.equals("*") || times.startsWith("{0");
      openBefore = unbounded && !possessive || openBefore && optional && !possessive;
    }
    return false;
  }
}
