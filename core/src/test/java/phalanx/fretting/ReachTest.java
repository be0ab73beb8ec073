package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

class ReachTest {

  private static final Reach REACH = new Reach(Guitar.NYLON, Hand.MEDIUM);

  /** Worked out by hand from L = 650: frets 1 and 3 at 36.48 and 103.42 mm, tips 10 mm behind. */
  @Test
  void measuresASpanOnTheTrueFretSpacing() {
    double dx = 650 * (1 - Math.pow(2, -0.25)) - 650 * (1 - Math.pow(2, -1 / 12.0));
    double lowAtThree = (43 + 15 * 93.4158 / 650) * (1 / 5.0 - 0.5);
    double highAtOne = (43 + 15 * 26.4816 / 650) * (4 / 5.0 - 0.5);
    double expected = Math.hypot(dx, highAtOne - lowAtThree);
    assertThat(REACH.distance(new Grip(3, 1, 1), new Grip(1, 4, 4)))
        .isCloseTo(expected, within(0.01));
  }

  @Test
  void aBarreIsAsNearAsItsNearestPoint() {
    Grip barre = new Grip(1, 0, 5);
    assertThat(REACH.distance(barre, new Grip(3, 2, 2))).isCloseTo(REACH.along(1, 3), within(1e-9));
  }

  @Property
  void theSameFretsLieCloserUpTheNeck(@ForAll @IntRange(min = 1, max = 10) int fret) {
    Grip low = new Grip(fret, 1, 1);
    Grip lowFar = new Grip(fret + 3, 1, 1);
    Grip high = new Grip(fret + 1, 1, 1);
    Grip highFar = new Grip(fret + 4, 1, 1);
    assertThat(REACH.distance(high, highFar)).isLessThan(REACH.distance(low, lowFar));
  }

  @Property
  void distanceIsTheSameBothWays(
      @ForAll @IntRange(min = 1, max = 15) int fretA,
      @ForAll @IntRange(min = 1, max = 15) int fretB,
      @ForAll @IntRange(max = 5) int stringA,
      @ForAll @IntRange(max = 5) int stringB) {
    Grip a = new Grip(fretA, stringA, stringA);
    Grip b = new Grip(fretB, stringB, stringB);
    assertThat(REACH.distance(a, b)).isCloseTo(REACH.distance(b, a), within(1e-9));
  }

  @Test
  void namesTheWidestSpanAgainstTheHand() {
    Shape c = Shape.of(new int[] {-1, 3, 2, 0, 1, 0}, new int[] {0, 3, 2, 0, 1, 0});
    Reach.Span span = REACH.widestSpan(c).orElseThrow();
    assertThat(span.from()).isEqualTo(Finger.INDEX);
    assertThat(span.to()).isEqualTo(Finger.RING);
    assertThat(span.comfortable()).isEqualTo(60);
    assertThat(span.limit()).isEqualTo(95);
    assertThat(span.isStretch()).isTrue();
    Shape em = Shape.of(new int[] {0, 2, 0, 0, 0, 0}, new int[] {0, 2, 0, 0, 0, 0});
    assertThat(REACH.widestSpan(em)).isEmpty();
  }

  @Test
  void aHandScalesAllItsSpans() {
    assertThat(Hand.SMALL.limit(Finger.INDEX, Finger.LITTLE)).isCloseTo(100.8, within(1e-9));
    assertThat(Hand.LARGE.comfortable(Finger.MIDDLE, Finger.RING)).isCloseTo(37.4, within(1e-9));
  }
}
