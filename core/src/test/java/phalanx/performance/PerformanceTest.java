package phalanx.performance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Group;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.DrawnSongs;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.song.TestSongs;
import phalanx.testing.Draws;

/**
 * What sounds when. That a string sounds one note at a time, that a stopped string is silent and an
 * open one rings until it is touched are facts of the instrument; how ticks become seconds is
 * arithmetic: a quarter lasts 60 s divided by the tempo.
 */
class PerformanceTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final int BAR = 4 * 5040;
  private static final double EXACT = 1e-9;

  private static Performance of(Song song) {
    return Performance.of(ARRANGER.arrange(song));
  }

  private static Song plain(String chords) {
    return TestSongs.of(chords).withPattern(AlternatingThumb.FINGERS_BETWEEN);
  }

  private static Song picking(Song song, String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    return song.withPattern(read.patterns().get(0));
  }

  @Property(tries = 120)
  void noStringSoundsTwiceAtOnce(@ForAll Draws draws) {
    Performance performance = of(DrawnSongs.withTune(draws));
    double[] silent = new double[6];
    for (Sounded n : performance.notes()) {
      int s = n.note().string();
      assertThat(n.onset()).isGreaterThanOrEqualTo(silent[s] - EXACT);
      assertThat(n.end()).isGreaterThan(n.onset());
      silent[s] = n.end();
    }
  }

  @Property(tries = 120)
  void whatIsMeantToRingIsNotStopped(@ForAll Draws draws) {
    Arrangement a = ARRANGER.arrange(DrawnSongs.withTune(draws));
    int end = a.timeline().lengthTicks();
    for (Sounded n : Performance.of(a).notes()) {
      assertThat(n.endTick())
          .as("%s\nof %s\nholds %s", n, a.slots(), a.holds())
          .isGreaterThanOrEqualTo(Math.min(n.note().endTick(), end));
    }
  }

  @Property(tries = 120)
  void anOpenStringRingsUntilSomethingStopsIt(@ForAll Draws draws) {
    Arrangement a = ARRANGER.arrange(DrawnSongs.withTune(draws));
    Performance performance = Performance.of(a);
    for (Sounded n : performance.notes()) {
      if (n.note().fret() == 0 && n.ending() == Ending.RINGS_ON) {
        assertThat(n.end()).isCloseTo(performance.seconds(), within(EXACT));
        assertThat(a.notes())
            .noneMatch(o -> o.string() == n.note().string() && o.tick() > n.note().tick());
      } else if (n.note().fret() == 0) {
        assertThat(n.ending()).isNotEqualTo(Ending.FINGER_LIFTED);
      }
    }
  }

  @Test
  void aSlurStartsWhereItsFirstNoteEnds() {
    Song song = TestSongs.singing(plain("| C | C |"), "c4 ^d e2", "c1");
    List<Sounded> notes = of(song).notes();
    Sounded hammered =
        notes.stream().filter(n -> n.note().attack().isSlur()).findFirst().orElseThrow();
    Sounded before =
        notes.stream()
            .filter(n -> Optional.of(n.note()).equals(hammered.from()))
            .findFirst()
            .orElseThrow();
    assertThat(before.ending()).isEqualTo(Ending.FRETTED_ANEW);
    assertThat(before.end()).isCloseTo(hammered.onset(), within(EXACT));
    assertThat(notes).filteredOn(n -> n.from().isPresent()).hasSize(1);
  }

  /**
   * The open sixth string rings over the change: over C nothing touches it; a written stop would.
   */
  @Test
  void anOpenBassRingsIntoTheNextChord() {
    Song song = picking(TestSongs.of("| E | C |"), "thumb | o | . | . | . |\n");
    Sounded low = of(song).notes().get(0);
    assertThat(low.note().string()).isZero();
    assertThat(low.note().endTick()).isEqualTo(BAR);
    assertThat(low.ending()).isEqualTo(Ending.RINGS_ON);
    assertThat(low.endTick()).isEqualTo(2 * BAR);
    Song stopped = picking(TestSongs.of("| E | C |"), "thumb | o | . | = | . |\n");
    Sounded cut = of(stopped).notes().get(0);
    assertThat(cut.ending()).isEqualTo(Ending.DAMPED);
    assertThat(cut.endTick()).isEqualTo(BAR / 2);
    assertThat(of(stopped).damps().get(0).damp().by().word()).isEqualTo("p");
  }

  @Test
  void eachBarLastsByItsOwnTempo() {
    Song song = plain("| C | G | ♩=60 Am | F | ♩=120 C |").withTempo(90);
    assertThat(song.chart().bars().stream().map(Bar::tempo).flatMap(Optional::stream))
        .containsExactly(60.0, 120.0);
    Performance performance = of(song);
    double bar = 4 * 60.0;
    assertThat(performance.seconds())
        .isCloseTo(2 * bar / 90 + 2 * bar / 60 + bar / 120, within(EXACT));
    Sounded third =
        performance.notes().stream()
            .filter(n -> n.note().tick() == 2 * 20160)
            .findFirst()
            .orElseThrow();
    assertThat(third.onset()).isCloseTo(2 * bar / 90, within(EXACT));
  }

  /** Swing of 67 in a hundred: the second eighth comes after two thirds of its beat. */
  @Test
  void swingMovesTheSecondEighth() {
    Song song = plain("| C |");
    song = song.withFeel(Feel.USUAL.withTempo(60).withSwing(new Swing(67)));
    List<Double> off = new ArrayList<>();
    of(song).notes().stream()
        .filter(n -> n.note().tick() % 5040 == 2520)
        .forEach(n -> off.add(n.onset() - Math.floor(n.onset())));
    assertThat(off).isNotEmpty().allSatisfy(o -> assertThat(o).isCloseTo(0.67, within(1e-3)));
  }

  @Test
  void theStringsOfARollFollowOneAnother() {
    Song song =
        picking(
            TestSongs.of("| C |"),
            "tune  | o | . | . | . |\nupper | o | . | . | . |\nthumb | o | . | . | . |\nroll | / | . | . | . |\n");
    Performance performance = of(song);
    List<Sounded> roll =
        performance.notes().stream().filter(n -> n.note().group() == Group.ROLL).toList();
    assertThat(roll).hasSizeGreaterThan(2);
    assertThat(roll.stream().map(Sounded::onset).distinct()).hasSameSizeAs(roll);
  }
}
