package phalanx.picking;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** One step as the cells of its rows, in the words of {@link PatternReader}. */
public final class StepText {

  private StepText() {}

  /** The rows that say something, from top to bottom, each with its cell. */
  public static Map<String, String> write(Pattern.Step step) {
    Map<String, String> cells = new LinkedHashMap<>();
    for (String row : Cell.rows()) {
      String cell = Cell.write(row, step);
      if (!cell.equals(Cell.NOTHING)) {
        cells.put(row, cell);
      }
    }
    return cells;
  }

  /** The step of some cells; empty if a row or a word is not known, or no hand can play it. */
  public static Optional<Pattern.Step> read(int tick, Map<String, String> cells) {
    Optional<Cell.Written> step = Optional.of(Cell.Written.EMPTY);
    for (Map.Entry<String, String> cell : cells.entrySet()) {
      boolean known = Cell.rows().contains(cell.getKey());
      step =
          known
              ? step.flatMap(s -> Cell.read(cell.getKey(), cell.getValue(), s))
              : Optional.empty();
    }
    return step.map(s -> s.at(tick)).filter(s -> PatternRules.trouble(s).isEmpty());
  }
}
