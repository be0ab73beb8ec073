package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline.PlayedBar;

/** Tunings are chosen for their open strings (common practice, no source). */
class OpenTuningTest {

  private static Song tuned(Song song, UsualTuning tuning) {
    return song.withGuitar(song.guitar().withTuning(tuning.tuning()));
  }

  /** An air in D over the lowest string. */
  @Test
  void anAirInDadgadHasAnOpenStringInEveryBarAndItsLowestForD() {
    Song air =
        tuned(
            OldTunesTest.song(
                new OldTunesTest.Old(
                    "Elder Path",
                    "our own",
                    "4/4",
                    "D",
                    "D | G | D | A | Bm | G | A | D",
                    "d4 . e f# | g . f# e | f# . d . | e . c# . | d . f# b | a . g . | e . c# e | d . . .")),
            UsualTuning.DADGAD);
    Arrangement a = new Arranger().arrange(air);
    for (PlayedBar bar : a.timeline().bars()) {
      assertThat(a.notesFrom(bar.startTick(), bar.endTick()))
          .as("bar %d %s", bar.number(), a.slots().get(bar.number() - 1).held())
          .anyMatch(n -> n.fret() == 0);
    }
    List<Note> basses =
        a.slots().stream()
            .filter(s -> s.played().harmony().label().equals("D"))
            .map(
                s ->
                    a.notesFrom(s.fromTick(), s.toTick()).stream()
                        .filter(n -> n.part() == Note.Part.BASS)
                        .findFirst()
                        .orElseThrow())
            .toList();
    assertThat(basses).hasSize(3).allMatch(n -> n.string() == 0 && n.fret() == 0);
  }

  /** Over open basses that are root and fifth the hand may be anywhere: they are left ringing. */
  @ParameterizedTest
  @CsvSource({"DROP_D", "DOUBLE_DROP_D", "OPEN_D"})
  void aHighTuneOverDKeepsTheLowestStringForItsBass(UsualTuning tuning) {
    Song song = tuned(TestSongs.of("D | D7 | G | D").withTempo(100), tuning);
    Arrangement a =
        new Arranger()
            .arrange(
                TestSongs.singing(song, "a3 d4 f#4 a4", "c5 . a4 .", "b4 g4 d4 g4", "f#4 . d4 ."));
    for (int slot : new int[] {0, 1, 3}) {
      assertThat(a.slots().get(slot).held().fretAt(0)).as("%s", a.slots().get(slot)).isZero();
      assertThat(a.notesFrom(a.slots().get(slot).fromTick(), a.slots().get(slot).fromTick() + 1))
          .anyMatch(n -> n.part() == Note.Part.BASS && n.string() == 0);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "STANDARD,false",
    "DROP_D,false",
    "HALF_DOWN,false",
    "WHOLE_DOWN,false",
    "DOUBLE_DROP_D,true",
    "DADGAD,true",
    "OPEN_G,true",
    "OPEN_D,true",
    "OPEN_E_MINOR,true"
  })
  void openTuningsAreKnown(UsualTuning tuning, boolean open) {
    assertThat(tuning.tuning().isOpen()).isEqualTo(open);
    assertThat(Tuning.STANDARD.isOpen()).isFalse();
  }
}
