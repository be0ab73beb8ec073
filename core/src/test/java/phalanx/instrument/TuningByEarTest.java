package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

class TuningByEarTest {

  private static TuningByEar to(Tuning tuning) {
    List<StringPull> pulls = StringPull.of(tuning, StringSet.STEEL_LIGHT, 645, 440);
    return TuningByEar.of(Tuning.STANDARD, tuning, pulls, 440);
  }

  @Provide
  Arbitrary<Tuning> tunings() {
    return Arbitraries.integers()
        .between(-5, 2)
        .list()
        .ofSize(Tuning.STRINGS)
        .map(
            moves -> {
              List<Pitch> strings = new ArrayList<>();
              for (int s = 0; s < Tuning.STRINGS; s++) {
                int midi = Tuning.STANDARD.midi(s) + moves.get(s);
                strings.add(Pitch.of(midi, NAMES.get(midi % 12)));
              }
              return new Tuning(strings);
            });
  }

  private static final List<NoteName> NAMES =
      List.of("C", "C#", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B").stream()
          .map(n -> NoteName.parse(n).orElseThrow())
          .toList();

  /** The fifth string an octave below the third, the sixth below the fourth: common practice. */
  @Test
  void lowStringsAreSetByOctavesAgainstThoseThatStay() {
    TuningByEar way = to(UsualTuning.DGDGBE.tuning());
    assertThat(way.order().subList(4, 6)).containsExactlyInAnyOrder(0, 1);
    assertThat(way.steps())
        .extracting(TuningStep::words)
        .contains("⑤ sounds an octave below ③", "⑥ sounds an octave below ④");
  }

  /** ② at the fourth fret of ③, the others at the fifth: common practice, no source. */
  @Test
  void openStringsAreHeldAgainstTheFifthFretAndTheFourth() {
    assertThat(to(Tuning.STANDARD).steps())
        .extracting(TuningStep::words)
        .anyMatch(w -> w.startsWith("⑤ sounds like ⑥ at fret 5"))
        .contains("② sounds like ③ at fret 4");
  }

  /** A fourth of two harmonics is 1.955 cents off: physics, (4/3) against 2^(5/12). */
  @Test
  void harmonicsThatNearlyAgreeAreGivenWithTheirBeats() {
    TuningStep.Check check =
        to(Tuning.STANDARD).steps().stream()
            .filter(s -> s.string() == 1)
            .flatMap(s -> s.check().stream())
            .findFirst()
            .orElseThrow();
    assertThat(check.cents()).isCloseTo(1.955, within(0.001));
    assertThat(check.beats()).isCloseTo(3 * 110 - 4 * 82.4069, within(0.001));
  }

  /** A player who is up to 2 cents off each time, from strings up to a tone off. */
  @Property(tries = 300)
  void allStringsEndWithinSixCents(@ForAll("tunings") Tuning tuning, @ForAll long seed) {
    Random random = new Random(seed);
    TuningByEar way = to(tuning);
    double[] cents = new double[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      cents[s] = 100 * tuning.midi(s) + 400 * random.nextDouble() - 200;
    }
    cents[way.first()] = 100 * tuning.midi(way.first()) + error(random);
    for (TuningStep step : way.steps()) {
      double heard = cents[step.against()] + 100 * sounding(step) + error(random);
      cents[step.string()] = heard;
    }
    for (int s = 0; s < Tuning.STRINGS; s++) {
      assertThat(cents[s]).isCloseTo(100 * tuning.midi(s), within(6.0));
    }
  }

  private static double error(Random random) {
    return 4 * random.nextDouble() - 2;
  }

  /** Semitones from the open string to what is compared with the one that is tuned. */
  private static int sounding(TuningStep step) {
    return switch (step.how()) {
      case FRET -> step.fret();
      case OCTAVE -> step.fret() + 12 * step.octaves();
      // Over fret 5 a string sounds two octaves up, over fret 12 one.
      case HARMONIC -> step.fret() == 5 ? 24 : 12;
    };
  }

  @Property(tries = 300)
  void nothingWaitsForWhatIsNotRightYet(@ForAll("tunings") Tuning tuning) {
    TuningByEar way = to(tuning);
    Set<Integer> right = new HashSet<>(Set.of(way.first()));
    boolean up = false;
    for (TuningStep step : way.steps()) {
      assertThat(right).contains(step.against());
      right.add(step.string());
      boolean goesUp = tuning.midi(step.string()) > Tuning.STANDARD.midi(step.string());
      assertThat(up && !goesUp).as("a string that goes up before one that does not").isFalse();
      up |= goesUp;
    }
    assertThat(right).hasSize(Tuning.STRINGS);
  }
}
