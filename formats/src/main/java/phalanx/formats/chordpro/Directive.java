package phalanx.formats.chordpro;

import static java.util.Map.entry;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A directive as it stands in its line.
 *
 * @param column where its value stands, from 1
 */
record Directive(String name, String value, int column) {

  /** The short names of directives. */
  private static final Map<String, String> SHORT =
      Map.ofEntries(
          entry("t", "title"),
          entry("st", "subtitle"),
          entry("c", "comment"),
          entry("ci", "comment"),
          entry("cb", "comment"),
          entry("highlight", "comment"),
          entry("sog", "start_of_grid"),
          entry("eog", "end_of_grid"),
          entry("sov", "start_of_verse"),
          entry("eov", "end_of_verse"),
          entry("soc", "start_of_chorus"),
          entry("eoc", "end_of_chorus"),
          entry("sob", "start_of_bridge"),
          entry("eob", "end_of_bridge"),
          entry("sot", "start_of_tab"),
          entry("eot", "end_of_tab"));

  /** Reads {@code {name: value}}; empty where the brace is not closed or no name stands in it. */
  static Optional<Directive> read(String line) {
    int from = line.indexOf('{') + 1;
    int to = line.stripTrailing().length() - 1;
    while (from < to && Character.isWhitespace(line.charAt(from))) {
      from++;
    }
    int end = from;
    while (end < to && isNameSign(line.charAt(end))) {
      end++;
    }
    if (to < from || line.charAt(to) != '}' || end == from) {
      return Optional.empty();
    }
    String rest = line.substring(end, to);
    String value = rest.stripLeading();
    value = (value.startsWith(":") ? value.substring(1) : value).stripLeading();
    int column = to - value.length() + 1;
    String name = line.substring(from, end).toLowerCase(Locale.ROOT);
    String full = SHORT.getOrDefault(name, name);
    return Optional.of(new Directive(full, value.stripTrailing(), column));
  }

  private static boolean isNameSign(char sign) {
    return sign >= 'a' && sign <= 'z' || sign >= 'A' && sign <= 'Z' || sign == '_' || sign == '-';
  }
}
