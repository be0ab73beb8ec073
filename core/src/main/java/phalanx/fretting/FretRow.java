package phalanx.fretting;

import java.util.List;
import java.util.stream.Collectors;
import phalanx.instrument.Tuning;

/**
 * Frets without fingers, as a player writes a shape down.
 *
 * @param frets low to high, from the capo, 0 open, {@link Shape#SILENT} for a string left out
 * @throws IllegalArgumentException if there are not six frets, or one is out of range
 */
public record FretRow(List<Integer> frets) {

  private static final int HIGHEST = 24;

  public FretRow {
    frets = List.copyOf(frets);
    if (frets.size() != Tuning.STRINGS) {
      throw new IllegalArgumentException("a row has six frets: " + frets);
    }
    if (frets.stream().anyMatch(f -> f < Shape.SILENT || f > HIGHEST)) {
      throw new IllegalArgumentException("frets are 0 to 24: " + frets);
    }
    if (frets.stream().allMatch(f -> f == Shape.SILENT)) {
      throw new IllegalArgumentException("a row needs a string that sounds");
    }
  }

  /** Whether a shape presses just these frets. */
  public boolean isOf(Shape shape) {
    return frets.equals(shape.frets());
  }

  /** As players write them, {@code x32010}; spaced out where a fret has two digits. */
  public String text() {
    return text(frets);
  }

  /** The same of any row, also of one without a string that sounds. */
  public static String text(List<Integer> frets) {
    boolean wide = frets.stream().anyMatch(f -> f > 9);
    return frets.stream()
        .map(f -> f == Shape.SILENT ? "x" : String.valueOf(f))
        .collect(Collectors.joining(wide ? " " : ""));
  }
}
