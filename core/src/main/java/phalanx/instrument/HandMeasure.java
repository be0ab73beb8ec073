package phalanx.instrument;

/**
 * A fretting hand measured in three small steps.
 *
 * @param spread from index tip to little finger tip, spread on a table, mm, {@link
 *     Hand#LEAST_SPREAD} to {@link Hand#MOST_SPREAD}
 * @param fretFrom1 the fret at which the little finger lies easily with the index finger at fret 1
 *     of the same string
 * @param fretFrom7 the same with the index finger at fret 7
 * @param thumbOver whether the thumb comes over the neck
 */
public record HandMeasure(double spread, int fretFrom1, int fretFrom7, boolean thumbOver) {

  /** The upper of the two places at which the reach is tried. */
  public static final int UPPER = 7;

  /** What a medium hand says, no more than its comfortable span at either place. */
  public static HandMeasure of(Hand hand, Guitar guitar) {
    return new HandMeasure(
        hand.spread(), easiest(hand, guitar, 1), easiest(hand, guitar, UPPER), hand.thumbOver());
  }

  /** The fret whose distance comes nearest to the hand's comfortable span. */
  private static int easiest(Hand hand, Guitar guitar, int from) {
    double span = hand.comfortable(Finger.INDEX, Finger.LITTLE);
    int fret = from + 1;
    while (fret < guitar.frets() - 1
        && Math.abs(apart(guitar, from, fret + 1) - span)
            < Math.abs(apart(guitar, from, fret) - span)) {
      fret++;
    }
    return fret;
  }

  /** How far two fingertips on one string are apart, mm; frets are counted from the nut. */
  private static double apart(Guitar guitar, int from, int to) {
    Fretboard neck = new Fretboard(guitar.withCapo(0));
    return neck.fingertipX(to) - neck.fingertipX(from);
  }

  /** From index to little finger where both lie easily, the mean of both places, mm. */
  public double easy(Guitar guitar) {
    return (apart(guitar, 1, fretFrom1) + apart(guitar, UPPER, fretFrom7)) / 2;
  }

  /**
   * The hand of a player whose fingers are as quick as another's.
   *
   * @param guitar what it was measured on
   */
  public Hand hand(Guitar guitar, Hand player) {
    return player.sizedAs(Hand.measured(spread, easy(guitar))).withThumbOver(thumbOver);
  }
}
