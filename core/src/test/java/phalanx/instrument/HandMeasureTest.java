package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class HandMeasureTest {

  /** Frets 1 to 4 of a 645 mm scale: 645 · (2^(−1/12) − 2^(−4/12)) between the frets themselves. */
  @Test
  void whatLiesEasilyIsMeasuredAlongTheString() {
    HandMeasure m = new HandMeasure(140, 4, 11, true);
    double low = 645 * (Math.pow(2, -1 / 12.0) - Math.pow(2, -4 / 12.0));
    double high = 645 * (Math.pow(2, -7 / 12.0) - Math.pow(2, -11 / 12.0));
    // Fingertips press behind their frets, closer where the frets are closer.
    assertThat(m.easy(Guitar.STEEL)).isCloseTo((low + high) / 2, within(2.0));
    Hand hand = m.hand(Guitar.STEEL.withCapo(5), Hand.MEDIUM);
    assertThat(hand.comfortable(Finger.INDEX, Finger.LITTLE))
        .isCloseTo(m.easy(Guitar.STEEL), within(1e-9));
    assertThat(hand.limit(Finger.INDEX, Finger.LITTLE)).isEqualTo(112);
  }

  /** A finger for each fret from fret 7 on is what players call one position: common practice. */
  @Test
  void aMediumHandSpansOnePositionInTheMiddleOfTheNeck() {
    HandMeasure medium = HandMeasure.of(Hand.MEDIUM, Guitar.STEEL);
    assertThat(medium.fretFrom7()).isEqualTo(10);
    assertThat(medium.fretFrom1()).isBetween(3, 4);
    assertThat(medium.spread()).isEqualTo(140);
  }

  @Property
  void everyMeasureMakesAHandWhoseComfortStaysBelowItsLimit(
      @ForAll @DoubleRange(min = Hand.LEAST_SPREAD, max = Hand.MOST_SPREAD) double spread,
      @ForAll @IntRange(min = 2, max = 12) int low,
      @ForAll @IntRange(min = 8, max = 19) int high) {
    Hand hand = new HandMeasure(spread, low, high, false).hand(Guitar.NYLON, Hand.MEDIUM);
    assertThat(hand.thumbOver()).isFalse();
    for (Finger a : Finger.values()) {
      for (Finger b : Finger.values()) {
        if (a != b && a != Finger.THUMB && b != Finger.THUMB) {
          assertThat(hand.comfortable(a, b)).isLessThan(hand.limit(a, b));
        }
      }
    }
  }
}
