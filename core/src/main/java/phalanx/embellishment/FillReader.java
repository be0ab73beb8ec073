package phalanx.embellishment;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.text.Texts;
import phalanx.theory.NoteName;

/**
 * Reads fills from open text: {@code name:}, {@code about:}, {@code over:}, {@code beats:}, {@code
 * major:}, {@code bluesy:}, a line each; {@code name:} begins a fill, {@code #} a remark.
 */
public final class FillReader {

  /** Signs a line may have: far more than the notes of eight beats take. */
  private static final int LONGEST_LINE = 400;

  /** Fills a file may have. */
  private static final int MOST_FILLS = 1_000;

  private static final int MIDDLE_C = 60;
  private static final NoteName C = NoteName.parse("C").orElseThrow();

  private final List<Fill> fills = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, String> words = new HashMap<>();
  private int begun;
  private boolean full;

  private FillReader() {}

  /**
   * Something that could not be read.
   *
   * @param line from 1
   */
  public record Problem(int line, String message) {}

  /** The fills that could be read, and what could not. */
  public record Result(List<Fill> fills, List<Problem> problems) {}

  /** Reads a file's text. */
  public static Result read(String text) {
    FillReader reader = new FillReader();
    String[] lines = text.split("\\R", -1);
    for (int n = 0; n < lines.length && !reader.full; n++) {
      reader.line(lines[n], n + 1);
    }
    reader.end();
    return new Result(List.copyOf(reader.fills), List.copyOf(reader.problems));
  }

  private void line(String line, int number) {
    if (line.isBlank() || line.strip().startsWith("#")) {
      return;
    }
    if (line.length() > LONGEST_LINE) {
      problems.add(new Problem(number, Texts.of("fillReader.aLineOfA", LONGEST_LINE)));
      return;
    }
    int colon = line.indexOf(':');
    String word = line.substring(0, Math.max(0, colon)).strip();
    if (!List.of("name", "about", "over", "beats", "major", "bluesy").contains(word)) {
      problems.add(new Problem(number, Texts.of("fillReader.expectedNameAboutOver")));
      return;
    }
    if (word.equals("name")) {
      end();
      begun = number;
      full = fills.size() >= MOST_FILLS;
    }
    if (full) {
      problems.add(new Problem(number, Texts.of("fillReader.aFileHasFills", MOST_FILLS)));
    } else {
      words.put(word, line.substring(colon + 1).strip());
    }
  }

  private void end() {
    if (words.isEmpty()) {
      return;
    }
    Optional<Fill> fill = fill();
    fill.ifPresent(fills::add);
    words.clear();
  }

  private Optional<Fill> fill() {
    Map<Fill.Colour, String> lines = new EnumMap<>(Fill.Colour.class);
    for (Fill.Colour colour : Fill.Colour.values()) {
      if (words.containsKey(colour.word())) {
        lines.put(colour, words.get(colour.word()));
      }
    }
    String beats = words.getOrDefault("beats", "");
    boolean whole = words.containsKey("name") && beats.matches("[1-8]") && lines.size() == 2;
    if (!whole) {
      String wanted = Texts.of("fillReader.aFillHasA");
      problems.add(new Problem(Math.max(1, begun), wanted));
      return Optional.empty();
    }
    Optional<Set<Fill.Kind>> over = kinds(words.get("over"));
    if (over.isEmpty()) {
      problems.add(new Problem(begun, Texts.of("fillReader.expectedMajorSeventhOr")));
      return Optional.empty();
    }
    Fill fill =
        new Fill(
            words.get("name"),
            words.getOrDefault("about", ""),
            Integer.parseInt(beats),
            lines,
            over.get());
    for (Fill.Colour colour : Fill.Colour.values()) {
      var read = fill.read(colour, MIDDLE_C, C);
      if (!read.problems().isEmpty() || read.tune().notes().isEmpty()) {
        String message =
            read.problems().isEmpty()
                ? Texts.of("fillReader.noNotes")
                : read.problems().get(0).message();
        problems.add(
            new Problem(begun, "“" + fill.name() + "”, " + colour.word() + ": " + message));
        return Optional.empty();
      }
    }
    return Optional.of(fill);
  }

  private static Optional<Set<Fill.Kind>> kinds(String words) {
    if (words == null) {
      return Optional.of(Fill.USUALLY_OVER);
    }
    Set<Fill.Kind> kinds = EnumSet.noneOf(Fill.Kind.class);
    for (String word : words.split("\\s+")) {
      Optional<Fill.Kind> kind =
          Stream.of(Fill.Kind.values()).filter(k -> k.word().equals(word)).findFirst();
      if (kind.isEmpty()) {
        return Optional.empty();
      }
      kinds.add(kind.get());
    }
    return Optional.of(kinds);
  }
}
