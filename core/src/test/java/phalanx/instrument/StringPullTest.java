package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import phalanx.instrument.StringPull.Zone;

class StringPullTest {

  private static final double INCH = 0.0254;

  /** kg/m³. Source: density of music wire in tables of materials, from memory. */
  private static final double STEEL = 7850;

  private static final double NEWTONS_PER_POUND = 4.4482216;

  /** Plain steel is a cylinder, so its weight follows from its gauge: π/4·d²·ρ. */
  @Test
  void plainSteelWeighsWhatACylinderOfSteelWeighs() {
    double[][] gauges = {{5, 0.012, 0.013}, {4, 0.016, 0.017}};
    for (double[] gauge : gauges) {
      int string = (int) gauge[0];
      assertThat(StringSet.STEEL_LIGHT.kilogramsPerMetre(string))
          .isCloseTo(cylinder(gauge[1]), within(0.02 * cylinder(gauge[1])));
      assertThat(StringSet.STEEL_MEDIUM.kilogramsPerMetre(string))
          .isCloseTo(cylinder(gauge[2]), within(0.02 * cylinder(gauge[2])));
    }
  }

  private static double cylinder(double inches) {
    return Math.PI / 4 * Math.pow(inches * INCH, 2) * STEEL;
  }

  /** Pulls that makers print for such gauges at 25.5 inches, in pounds, from memory. */
  @Test
  void pullsAreThoseOfPublishedTables() {
    double[] light = {26.0, 29.9, 30.5, 30.2, 23.3, 23.3};
    double[] medium = {29.0, 34.0, 36.8, 35.3, 26.3, 27.4};
    for (int s = 0; s < 6; s++) {
      assertThat(pounds(StringSet.STEEL_LIGHT, s)).isCloseTo(light[s], within(0.2));
      assertThat(pounds(StringSet.STEEL_MEDIUM, s)).isCloseTo(medium[s], within(0.2));
    }
  }

  private static double pounds(StringSet set, int string) {
    return StringPull.of(Tuning.STANDARD, set, 647.7, 440).get(string).newtons()
        / NEWTONS_PER_POUND;
  }

  @Property(tries = 200)
  void pullRisesWithPitchAndLength(
      @ForAll StringSet set,
      @ForAll @IntRange(max = 5) int string,
      @ForAll @DoubleRange(min = 60, max = 400) double hz,
      @ForAll @DoubleRange(min = 600, max = 680) double scale) {
    double pull = set.newtons(string, hz, scale);
    assertThat(set.newtons(string, hz * 1.01, scale)).isGreaterThan(pull);
    assertThat(set.newtons(string, hz, scale + 1)).isGreaterThan(pull);
    // An octave is four times the pull: T goes with the square of the frequency.
    assertThat(set.newtons(string, 2 * hz, scale)).isCloseTo(4 * pull, within(1e-9 * pull));
  }

  @Test
  void hardNylonPullsMoreThanNormalAndSteelMoreThanNylon() {
    for (int s = 0; s < 6; s++) {
      assertThat(StringSet.NYLON_HARD.madeFor(s)).isGreaterThan(StringSet.NYLON_NORMAL.madeFor(s));
      assertThat(StringSet.STEEL_MEDIUM.madeFor(s)).isGreaterThan(StringSet.STEEL_LIGHT.madeFor(s));
      assertThat(StringSet.STEEL_LIGHT.madeFor(s)).isGreaterThan(StringSet.NYLON_NORMAL.madeFor(s));
    }
  }

  /** Two strings a tone down, all else as it was: common practice, no source. */
  @Test
  void onlyTheTwoLowStringsOfThisTuningMove() {
    List<StringPull> pulls =
        StringPull.of(UsualTuning.DGDGBE.tuning(), StringSet.STEEL_LIGHT, 645, 440);
    assertThat(pulls).extracting(StringPull::semitones).containsExactly(-2, -2, 0, 0, 0, 0);
    assertThat(pulls.get(0).hz()).isCloseTo(73.416, within(0.001));
    assertThat(pulls.get(1).hz()).isCloseTo(97.999, within(0.001));
    for (StringPull p : pulls) {
      double share = Math.pow(2, p.semitones() / 6.0);
      assertThat(p.newtons()).isCloseTo(share * p.standardNewtons(), within(1e-9));
      assertThat(p.zone()).isEqualTo(Zone.FIT);
    }
  }

  @Test
  void farDownIsSlackAndFarUpIsTight() {
    Tuning low = Tuning.parse("C2 F2 A#2 D#3 G3 C4").orElseThrow();
    Tuning high = Tuning.parse("F#2 B2 E3 A3 C#4 F#4").orElseThrow();
    assertThat(StringPull.of(low, StringSet.STEEL_LIGHT, 648, 440))
        .extracting(StringPull::zone)
        .containsOnly(Zone.SLACK);
    assertThat(StringPull.of(high, StringSet.STEEL_LIGHT, 648, 440))
        .extracting(StringPull::zone)
        .containsOnly(Zone.TIGHT);
  }

  /** ISO 16: A4 at 440 Hz; players of old music tune to 415. */
  @Test
  void aLowerReferenceLowersPitchAndPull() {
    StringPull usual = StringPull.of(Tuning.STANDARD, StringSet.NYLON_NORMAL, 650, 440).get(1);
    StringPull low = StringPull.of(Tuning.STANDARD, StringSet.NYLON_NORMAL, 650, 415).get(1);
    assertThat(usual.hz()).isCloseTo(110, within(1e-9));
    assertThat(low.hz()).isCloseTo(103.75, within(1e-9));
    assertThat(low.newtons()).isLessThan(usual.newtons());
    assertThat(usual.kilogramsForce()).isCloseTo(7.1, within(0.001));
  }
}
