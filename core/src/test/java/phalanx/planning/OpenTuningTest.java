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
