package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Attack;
import phalanx.formats.SongFiles;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** How strokes differ when a player plays (common practice, no source). */
class NuancesTest {

  private static Performance of(Song song) {
    return Performance.of(new Arranger().arrange(song));
  }

  private static Performance demo(String name) {
    return of(SongFiles.open(Path.of("..", "demo", name + SongFiles.ENDING)).song().orElseThrow());
  }

  private static List<Sounded> plucked(Performance p) {
    return p.notes().stream().filter(n -> n.note().attack() == Attack.PLUCKED).toList();
  }

  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "low-tide-reel", "slate-roof-rain"})
  void noStrokeIsFarFromItsTimeAndOnAverageNoneIs(String name) {
    Performance performance = demo(name);
    for (double freedom : new double[] {0.5, 1}) {
      Nuances nuances = new Nuances(performance, freedom);
      double sum = 0;
      int count = 0;
      for (Sounded note : plucked(performance)) {
        if (!note.note().isBrushed()) {
          double off = nuances.of(note).at() - note.onset();
          assertThat(Math.abs(off)).isLessThanOrEqualTo(0.008 + 1e-9);
          sum += off;
          count++;
        }
      }
      assertThat(sum / count).isCloseTo(0, within(0.0008));
    }
  }

  @Test
  void aPinchSpreadsFromTheBassUp() {
    Performance performance =
        of(
            TestSongs.of("G | C | G | C | D7 | G")
                .withPattern(AlternatingThumb.PINCH_AND_BETWEEN)
                .withTempo(80));
    Nuances nuances = new Nuances(performance, 0.5);
    Map<Integer, List<Sounded>> together =
        plucked(performance).stream()
            .collect(
                Collectors.groupingBy(n -> n.note().tick(), TreeMap::new, Collectors.toList()));
    int pinches = 0;
    for (List<Sounded> notes : together.values()) {
      if (notes.size() == 2) {
        List<Sounded> row = new ArrayList<>(notes);
        row.sort((a, b) -> Integer.compare(a.note().string(), b.note().string()));
        double spread = nuances.of(row.get(1)).at() - nuances.of(row.get(0)).at();
        // The very first stroke of a song cannot come before it begins.
        assertThat(spread).isBetween(row.get(0).onset() == 0 ? 0.0 : 0.005, 0.015 + 1e-9);
        pinches++;
      }
    }
    assertThat(pinches).isGreaterThan(3);
  }

  @Test
  void theSameSongIsPlayedTheSameAndARepeatedBarIsNot() {
    Song song = TestSongs.of("G | G").withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Performance performance = of(song);
    assertThat(EventSequence.of(performance, Interpretation.USUAL))
        .isEqualTo(EventSequence.of(performance, Interpretation.USUAL));
    Nuances nuances = new Nuances(performance, 0.5);
    List<Sounded> notes = plucked(performance);
    int half = notes.size() / 2;
    for (int n = 0; n < half; n++) {
      Nuances.Nuance first = nuances.of(notes.get(n));
      Nuances.Nuance again = nuances.of(notes.get(half + n));
      assertThat(again.strength()).isNotEqualTo(first.strength());
      assertThat(20 * Math.log10(again.strength())).isBetween(-2.0, 2.0);
      assertThat(Math.abs(again.place())).isLessThanOrEqualTo(5);
    }
  }

  @Test
  void exactlyMeansExactly() {
    Performance performance = demo("harbour-lamp");
    Nuances nuances = new Nuances(performance, 0);
    for (Sounded note : performance.notes()) {
      assertThat(nuances.of(note).at()).isEqualTo(note.onset());
      assertThat(nuances.of(note).strength()).isEqualTo(1);
      assertThat(nuances.of(note).place()).isZero();
    }
  }

  /** A note that is plucked late is not stopped by what ended the one before it. */
  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "low-tide-reel", "slate-roof-rain"})
  void whatEndsANoteComesBeforeTheNextOnItsString(String name) {
    EventSequence score = EventSequence.of(demo(name), Interpretation.USUAL.free(1));
    double[] stopped = new double[6];
    double[] struck = new double[6];
    for (Event event : score.events()) {
      if (event instanceof Event.Stop s) {
        stopped[s.string()] = s.at();
        assertThat(s.at()).isGreaterThanOrEqualTo(struck[s.string()]);
      } else if (event instanceof Event.Pluck p) {
        assertThat(p.at()).isGreaterThanOrEqualTo(stopped[p.string()]);
        struck[p.string()] = p.at();
      }
    }
  }

  /** As quick as it is strong: a brush takes 15 to 60 ms at every tempo. */
  @Test
  void aBrushDoesNotFollowTheTempo() {
    for (double tempo : new double[] {50, 100, 200}) {
      Song song = TestSongs.of("G | C | G").withTempo(tempo);
      Performance performance = of(song.withPatterns(song.patterns().endingSoftly(true)));
      Nuances nuances = new Nuances(performance, 0.5);
      List<Sounded> brushed =
          performance.notes().stream().filter(n -> n.note().isBrushed()).toList();
      assertThat(brushed).hasSizeGreaterThan(3);
      double first = brushed.stream().mapToDouble(n -> nuances.of(n).at()).min().orElseThrow();
      double last = brushed.stream().mapToDouble(n -> nuances.of(n).at()).max().orElseThrow();
      assertThat(last - first).isBetween(0.015, 0.060);
    }
  }
}
