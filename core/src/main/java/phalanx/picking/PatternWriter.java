package phalanx.picking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes a pattern as the text that {@link PatternReader} reads back. */
public final class PatternWriter {

  private static final int MOST_PARTS = 8;

  private PatternWriter() {}

  /** A pattern with its name, metre and rows. */
  public static String write(WrittenPattern written) {
    StringBuilder text = new StringBuilder("name: " + written.title() + "\n");
    if (!written.words().isEmpty()) {
      text.append("about: ").append(written.words()).append('\n');
    }
    text.append("metre: ").append(written.meter()).append('\n');
    List<Role> roles =
        written.pattern().steps().stream()
            .flatMap(s -> s.roles().stream())
            .distinct()
            .sorted(Comparator.reverseOrder())
            .toList();
    for (Role role : roles) {
      text.append("%-6s |".formatted(role.written())).append(row(written, role)).append('\n');
    }
    return text.toString();
  }

  private static String row(WrittenPattern written, Role role) {
    Set<Integer> ticks =
        written.pattern().steps().stream()
            .filter(s -> s.roles().contains(role))
            .map(Pattern.Step::tick)
            .collect(Collectors.toSet());
    int beat = written.meter().beatTicks();
    StringBuilder row = new StringBuilder();
    for (int from = 0; from < written.pattern().lengthTicks(); from += beat) {
      row.append(' ').append(String.join(" ", beat(ticks, from, beat))).append(" |");
    }
    return row.toString();
  }

  /** The fewest parts that have every stroke of the beat at the start of one. */
  private static List<String> beat(Set<Integer> ticks, int from, int beat) {
    for (int parts = 1; parts <= MOST_PARTS; parts++) {
      List<String> cells = new ArrayList<>();
      int strokes = 0;
      for (int part = 0; part < parts; part++) {
        boolean here = ticks.contains(from + part * beat / parts);
        strokes += here ? 1 : 0;
        cells.add(here ? "o" : ".");
      }
      long wanted = ticks.stream().filter(t -> t >= from && t < from + beat).count();
      if (strokes == wanted) {
        return cells;
      }
    }
    throw new IllegalArgumentException("a stroke off the grid of eight parts a beat");
  }
}
