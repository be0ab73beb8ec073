package phalanx.advice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.embellishment.Fill;

/**
 * A fill tried at the end of a bar.
 *
 * @param fitted how it is played there; empty where it has no room or no place on the neck
 * @param why why it does not fit there; empty if it does
 */
public record FillTry(
    Fill fill, Fill.Colour colour, Optional<FittedRun> fitted, Optional<String> why) {

  /** Whether both hands can play it there and it goes with the chord. */
  public boolean fits() {
    return why.isEmpty();
  }

  /** The fill most like another among those that fit. */
  public static Optional<FillTry> nearest(Fill to, List<FillTry> tried) {
    return tried.stream()
        .filter(FillTry::fits)
        .filter(t -> !t.fill().equals(to))
        .min(Comparator.comparingInt(t -> to.unlike(t.fill(), t.colour())));
  }
}
