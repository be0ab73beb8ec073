package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.findings.Grade;
import phalanx.findings.Review;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PickFinger;
import phalanx.planning.OldTunesTest.Old;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/**
 * Tunes that go down among the thumb's strings: the thumb plays them, and the bass gives way where
 * they are the bass (common practice, no source).
 */
class LowTuneTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Arrangement plan(String chords, String... bars) {
    Tune tune = Tune.NONE;
    for (int b = 0; b < bars.length; b++) {
      tune = tune.with(b + 1, TuneReader.read(bars[b], Meter.FOUR_FOUR).tune());
    }
    Song song = TestSongs.of(chords).withTune(tune);
    return ARRANGER.arrange(song.withPattern(AlternatingThumb.PINCH_AND_BETWEEN));
  }

  private static List<Note> at(Arrangement a, int tick) {
    return a.notesFrom(tick, tick + 1);
  }

  /** A chord's root as the tune's first note is struck once, on one string, by the thumb. */
  @ParameterizedTest
  @CsvSource({"C, c3, 48", "Dm, d3, 50", "D, d3, 50", "Am, a2, 45", "B7, b2, 47", "G, g2, 43"})
  void aTuneThatIsTheBassIsPlayedOnceByTheThumb(String chord, String tune, int midi) {
    Arrangement a = plan(chord + " | C", tune + " . e3 g", "e4 . . .");
    assertThat(at(a, 0)).hasSize(1);
    Note first = at(a, 0).get(0);
    assertThat(first.midi()).isEqualTo(midi);
    assertThat(first.part()).isEqualTo(Note.Part.TUNE);
    assertThat(first.pick()).isEqualTo(Optional.of(PickFinger.P));
    assertThat(Review.of(a).findings()).noneMatch(f -> f.finding().grade() != Grade.NOTE);
  }

  /** Two strings of one pitch at once are wanted by nobody: the bass is there already. */
  @Test
  void theBassIsNotDoubledByTheTune() {
    Arrangement a = plan("D | Dm | C | B7", "d3 f# a f#", "d3 f a f", "c3 e g e", "b2 d# f# d#");
    for (Note n : a.notes()) {
      assertThat(at(a, n.tick()).stream().filter(o -> o.midi() == n.midi())).hasSize(1);
    }
  }

  /** A tune that steps below a chord's root is played there; the bass comes when it is over. */
  @Test
  void theBassGivesWayToATuneBelowIt() {
    Arrangement a = plan("C | C", "e3 c b2 c", "c3 . . .");
    assertThat(at(a, 2 * 5040)).extracting(Note::midi).containsExactly(47);
    assertThat(at(a, 2 * 5040)).extracting(Note::pick).containsExactly(Optional.of(PickFinger.P));
  }

  /** Every note that the guitar has is played where a whole tune is put an octave lower. */
  @ParameterizedTest
  @MethodSource("phalanx.planning.OldTunesTest#tunes")
  void noNoteOfALowTuneIsLeftOut(Old old) {
    Song typed = OldTunesTest.song(old);
    Song low = typed.withTune(typed.tune().octaves(-1));
    Arrangement a = ARRANGER.arrange(low);
    assertThat(missed(a, "below the lowest string")).isEmpty();
  }

  /** The notes of the tune that are not played, but those that the guitar has not. */
  static List<Remark> missed(Arrangement a, String offTheNeck) {
    return a.slots().stream()
        .flatMap(s -> s.found().stream())
        .filter(r -> r.kind() == Remark.Kind.TUNE_REACH)
        .filter(r -> !r.words().contains(offTheNeck))
        .toList();
  }
}
