package phalanx.formats.tab;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.instrument.Tuning;

/**
 * The lines of one system of a tablature as six strings, ① first. People leave out strings that
 * nothing is played on, rule systems off with dashes, and write for other instruments.
 *
 * @param strings six lines
 * @param next the line behind the system, as counted in the text
 * @param leftOut lines beyond six strings
 */
record TabLines(List<String> strings, int next, int leftOut) {

  /** So few lines are no tablature. */
  static final int LEAST = 4;

  /** So many rules of dashes may stand above a system. */
  private static final int MOST_RULES = 6;

  private static final String USUAL_NAMES = "EBGDAE";
  private static final Pattern NAME = Pattern.compile("\\s*([A-Ga-g][#b♯♭]?\\d?)[ |:-].*");
  private static final Pattern RULE = Pattern.compile("[-= ]+");

  /** The system that begins at a line, if one does. */
  static Optional<TabLines> at(TabText text, int at) {
    int end = at;
    int far = Math.min(text.size(), at + MOST_RULES + 2 * Tuning.STRINGS);
    while (end < far && text.isString(end)) {
      end++;
    }
    int from = at;
    if (end - from > Tuning.STRINGS) {
      while (end - from > LEAST && from - at < MOST_RULES && text.isRule(from)) {
        from++;
      }
    }
    int lines = end - from;
    if (lines < LEAST || !text.hasFrets(from, end)) {
      return Optional.empty();
    }
    if (lines >= 2 * Tuning.STRINGS) {
      int next = from + Tuning.STRINGS;
      return Optional.of(new TabLines(text.lines().subList(from, next), next, 0));
    }
    int count = Math.min(lines, Tuning.STRINGS);
    List<String> strings = filled(text.lines().subList(from, from + count));
    int tail = from + count;
    while (tail < end && text.isRule(tail)) {
      tail++;
    }
    return Optional.of(new TabLines(strings, end, end - tail));
  }

  static boolean isRule(String line) {
    return RULE.matcher(line).matches();
  }

  static boolean hasFrets(String line) {
    return line.indexOf('|') >= 0 || line.chars().anyMatch(Character::isDigit);
  }

  /** With a string on which nothing is played for each that is missing. */
  private static List<String> filled(List<String> lines) {
    List<Integer> places = places(lines);
    List<String> strings = new ArrayList<>(Collections.nCopies(Tuning.STRINGS, ""));
    for (int l = 0; l < lines.size(); l++) {
      strings.set(places.get(l), lines.get(l));
    }
    String model = lines.get(0);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (!places.contains(s)) {
        strings.set(s, silent(model, USUAL_NAMES.charAt(s)));
      }
    }
    return strings;
  }

  /** Which string each line is: by its name where all have one, else the highest. */
  private static List<Integer> places(List<String> lines) {
    List<Integer> places = new ArrayList<>();
    int from = 0;
    for (String line : lines) {
      Matcher name = NAME.matcher(line);
      int found =
          name.matches()
              ? USUAL_NAMES.indexOf(Character.toUpperCase(name.group(1).charAt(0)), from)
              : -1;
      boolean plain = found >= 0 && name.group(1).length() == 1;
      if (!plain || found > Tuning.STRINGS - (lines.size() - places.size())) {
        places.clear();
        for (int l = 0; l < lines.size(); l++) {
          places.add(l);
        }
        return places;
      }
      places.add(found);
      from = found + 1;
    }
    return places;
  }

  /** A line as long as another, with its bar lines alone. */
  private static String silent(String model, char name) {
    Matcher named = NAME.matcher(model);
    if (!named.matches()) {
      return model.replaceAll("[^|]", "-");
    }
    String front = model.substring(0, named.start(1)) + name;
    return front + model.substring(front.length()).replaceAll("[^|]", "-");
  }
}
