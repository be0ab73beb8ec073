package phalanx.instrument;

/**
 * The true geometry of a guitar's neck. Positions along the neck are mm from the nut, positions
 * across it mm from the middle, string ⑥ negative. Frets are counted from the capo.
 *
 * <p>Fret n lies at L·(1 − 2^(−n/12)): each semitone shortens the string by the twelfth root of
 * two.
 */
public final class Fretboard {

  /** A fingertip presses this far behind its fret where the gap allows, mm. */
  private static final double BEHIND_FRET = 10;

  /** Share of a narrow gap between frets that the fingertip stays behind the fret. */
  private static final double BEHIND_FRET_SHARE = 0.35;

  private final Guitar guitar;

  public Fretboard(Guitar guitar) {
    this.guitar = guitar;
  }

  /**
   * Distance of the n-th fret, or of a place between two, from the nut for a string of the given
   * length, both mm.
   */
  public static double fretDistance(double scaleLength, double fret) {
    return scaleLength * (1 - Math.pow(2, -fret / 12));
  }

  /** Highest fret that can be counted from the capo. */
  public int highestFret() {
    return guitar.frets() - guitar.capo();
  }

  /** Distance of a fret from the nut, mm; fret 0 is the capo, or the nut without one. */
  public double fretX(int fret) {
    return fretDistance(guitar.scaleLength(), fret + guitar.capo());
  }

  /** Distance from the nut of a place between frets where a string is only touched, mm. */
  public double touchX(double fret) {
    return fretDistance(guitar.scaleLength(), fret + guitar.capo());
  }

  /** Where a fingertip presses to stop a string at a fret (1 or more), mm from the nut. */
  public double fingertipX(int fret) {
    double gap = fretX(fret) - fretX(fret - 1);
    return fretX(fret) - Math.min(BEHIND_FRET, BEHIND_FRET_SHARE * gap);
  }

  /** Where a string (0 for ⑥ to 5 for ①) runs at a distance from the nut, mm from the middle. */
  public double stringY(int string, double x) {
    double along = x / guitar.scaleLength();
    double span = guitar.nutSpan() + (guitar.bridgeSpan() - guitar.nutSpan()) * along;
    return span * (string / (double) (Tuning.STRINGS - 1) - 0.5);
  }
}
