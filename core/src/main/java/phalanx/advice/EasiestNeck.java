package phalanx.advice;

import java.util.Collection;
import java.util.Collections;
import java.util.Optional;
import phalanx.instrument.Fretboard;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;

/**
 * A neck on which nothing is harder than with any of several capos: its frets as close as with the
 * highest, its strings as close and its frets as many as with the lowest. What a song's plan costs
 * there its plan costs at least with each of those capos, for every cost grows with a distance.
 */
final class EasiestNeck {

  /** The shortest scale that a {@link Guitar} can have, mm. */
  private static final double SHORTEST = 300;

  private static final int FEWEST_FRETS = 12;

  private EasiestNeck() {}

  /**
   * The neck for some capos across all strings.
   *
   * @param capos frets, one or more
   * @return empty where it would be shorter than any guitar's
   */
  static Optional<Guitar> of(Guitar guitar, Collection<Integer> capos) {
    int lowest = Collections.min(capos);
    double length = guitar.scaleLength();
    double scale = length - Fretboard.fretDistance(length, Collections.max(capos));
    if (scale < SHORTEST) {
      return Optional.empty();
    }
    Fretboard neck = new Fretboard(guitar.withCapo(lowest));
    double nut = neck.fretX(0);
    double span = neck.stringY(Tuning.STRINGS - 1, nut) - neck.stringY(0, nut);
    int frets = Math.max(FEWEST_FRETS, guitar.frets() - lowest);
    return Optional.of(
        new Guitar(
            guitar.tuning(),
            scale,
            frets,
            span,
            guitar.bridgeSpan(),
            0,
            Guitar.ALL_STRINGS,
            Guitar.HIGHEST_BODY_JOIN,
            true));
  }
}
