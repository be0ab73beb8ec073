package phalanx.draft;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.draft.Manner.Repeat;
import phalanx.embellishment.Frame;
import phalanx.picking.Density;
import phalanx.picking.PatternReader;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.text.Texts;

/** Reads manners from open text (docs/drafts.md). */
public final class Manners {

  private static final String MANNER = "manner";
  private static final String METRE = "metre";

  /** What each word of a beginning means, and of an ending. */
  static final Map<String, Frame> BEGINNINGS =
      Map.of("two bars", Frame.INTRO_OF_TWO, "four bars", Frame.INTRO_OF_FOUR);

  static final Map<String, Frame> ENDINGS =
      Map.of(
          "slower", Frame.SLOWER,
          "rolled", Frame.ROLLED,
          "brushed", Frame.BRUSHED,
          "harmonic", Frame.HARMONIC);

  private static final String YES = "yes";

  private final List<Manner> manners = new ArrayList<>();
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, String> words = new LinkedHashMap<>();
  private final List<StringBuilder> patterns = new ArrayList<>();
  private int begun;

  private Manners() {}

  /**
   * Something that could not be read.
   *
   * @param line from 1
   */
  public record Problem(int line, String message) {}

  /** The manners without a fault, and what is wrong with the others. */
  public record Result(List<Manner> manners, List<Problem> problems) {}

  /** Reads a whole text. */
  public static Result read(String text) {
    Manners reader = new Manners();
    List<String> lines = text.lines().toList();
    for (int n = 0; n < lines.size(); n++) {
      reader.line(lines.get(n).strip(), n + 1);
    }
    reader.end();
    return new Result(List.copyOf(reader.manners), List.copyOf(reader.problems));
  }

  private void line(String line, int number) {
    if (line.isEmpty() || line.startsWith("#")) {
      return;
    }
    int colon = line.indexOf(':');
    String key = colon < 0 ? "" : line.substring(0, colon).strip();
    String value = colon < 0 ? "" : line.substring(colon + 1).strip();
    if (key.equals(MANNER)) {
      end();
      begun = number;
      words.put(MANNER, value);
    } else if (key.equals(METRE)) {
      patterns.add(new StringBuilder("metre: " + value + "\n"));
    } else if (!patterns.isEmpty()) {
      patterns.get(patterns.size() - 1).append(line).append('\n');
    } else if (colon > 0 && begun > 0) {
      words.put(key, value);
    } else {
      problems.add(new Problem(number, Texts.of("manners.expectedALineSuch")));
    }
  }

  private void end() {
    if (begun > 0) {
      try {
        manners.add(made());
      } catch (IllegalArgumentException e) {
        problems.add(new Problem(begun, e.getMessage()));
      }
    }
    words.clear();
    patterns.clear();
    begun = 0;
  }

  private Manner made() {
    String name = words.get(MANNER);
    String about = words.getOrDefault("about", "");
    double[] tempo = range("tempo", "40-200");
    double[] density = range("density", "1-3");
    List<WrittenPattern> written = new ArrayList<>();
    for (StringBuilder rows : patterns) {
      PatternReader.Result read =
          PatternReader.read("name: " + name + "\nabout: " + about + "\n" + rows);
      if (!read.problems().isEmpty()) {
        throw new IllegalArgumentException(read.problems().get(0).message());
      }
      written.addAll(read.patterns());
    }
    return new Manner(
        name,
        about,
        thumb(),
        tempo[0],
        tempo[1],
        density(density[0]),
        density(density[1]),
        words.getOrDefault("rings", "").equals(YES),
        words.getOrDefault("thirds", "").equals(YES),
        repeats(),
        frames(),
        written);
  }

  private ThumbRoute thumb() {
    String wanted = words.getOrDefault("thumb", "alternating");
    return Stream.of(ThumbRoute.values())
        .filter(r -> r.written().equals(wanted))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("there is no way of the thumb " + wanted));
  }

  private static Density density(double number) {
    return Density.of((int) number)
        .orElseThrow(() -> new IllegalArgumentException("a density is 0 to 3"));
  }

  private List<String> list(String key) {
    return Stream.of(words.getOrDefault(key, "").split(","))
        .map(w -> w.strip().toLowerCase(Locale.ROOT))
        .filter(w -> !w.isEmpty())
        .toList();
  }

  private List<Repeat> repeats() {
    List<Repeat> repeats = new ArrayList<>();
    for (String word : list("repeats")) {
      repeats.add(
          Stream.of(Repeat.values())
              .filter(r -> r.word().equals(word))
              .findFirst()
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "repeats: expected fill, walk, inner or density, found " + word)));
    }
    return repeats;
  }

  private Set<Frame> frames() {
    Set<Frame> frames = EnumSet.noneOf(Frame.class);
    list("beginning").forEach(w -> frames.add(frame(BEGINNINGS, "beginning", w)));
    list("ending").forEach(w -> frames.add(frame(ENDINGS, "ending", w)));
    return frames;
  }

  private static Frame frame(Map<String, Frame> words, String kind, String word) {
    return Optional.ofNullable(words.get(word))
        .orElseThrow(() -> new IllegalArgumentException("there is no " + kind + " " + word));
  }

  private double[] range(String key, String usual) {
    String[] ends = words.getOrDefault(key, usual).split("-");
    try {
      double low = Double.parseDouble(ends[0].strip());
      double high = Double.parseDouble(ends[ends.length - 1].strip());
      if (low <= high) {
        return new double[] {low, high};
      }
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(key + ": expected two numbers such as " + usual, e);
    }
    throw new IllegalArgumentException(key + ": the first number is the smaller one");
  }
}
