package phalanx.arrangement.tune;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.TuneBoard;
import phalanx.chart.Transposition;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.planning.Arranger;
import phalanx.song.ChartEdits;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

class TuneLineTest {

  private static Song song(String chords, String... bars) {
    Tune tune = Tune.NONE;
    for (int bar = 0; bar < bars.length; bar++) {
      tune = tune.with(bar + 1, TuneReader.read(bars[bar], Meter.FOUR_FOUR).tune());
    }
    return TestSongs.of(chords).withTune(tune);
  }

  private static List<String> line(Song song) {
    return TuneLine.of(song, Timeline.of(song)).stream()
        .map(s -> s.label() + "@" + s.tick() / 5040 + "-" + s.endTick() / 5040)
        .toList();
  }

  @Test
  void repeatsAndEndingsAreUnrolled() {
    assertThat(line(song("|: C |1 G :|2 F |", "c4 d e f", "g4 . . .", "a4 . . .")))
        .containsExactly(
            "C4@0-1",
            "D4@1-2",
            "E4@2-3",
            "F4@3-4",
            "G4@4-8",
            "C4@8-9",
            "D4@9-10",
            "E4@10-11",
            "F4@11-12",
            "A4@12-16");
  }

  @Test
  void aNoteGoesOnOverTheBarLine() {
    assertThat(line(song("C | G | F", "c4 . . e", ". . g .", "- . a4 .")))
        .containsExactly("C4@0-3", "E4@3-6", "G4@6-8", "A4@10-12");
    // After a rest there is nothing to go on with.
    assertThat(line(song("C | G", "c4 - - -", ". . g ."))).containsExactly("C4@0-1", "G4@6-8");
  }

  /** A thirty-second, 630 ticks, is taken from the note before. */
  @Test
  void aGraceNoteTakesItsTimeFromTheNoteBefore() {
    Song song = song("C | G", "{d}e4 . {f}^g4 .", "c4 . . .");
    List<MelodyNote> line = TuneLine.of(song, Timeline.of(song));
    assertThat(line).extracting(MelodyNote::label).containsExactly("D4", "E4", "F4", "G4", "C4");
    assertThat(line)
        .extracting(MelodyNote::tick)
        .containsExactly(0, 630, 10080 - 630, 10080, 20160);
    assertThat(line.get(1).endTick()).isEqualTo(10080 - 630);
    assertThat(line.get(2).endTick()).isEqualTo(10080);
  }

  /** Where no note is before it, or one too short, it comes on the beat, and its own note after. */
  @Test
  void aGraceNoteWithoutRoomBeforeItTakesItsTimeFromItsOwn() {
    Song song = song("C", "[[{d e}f4 {g}a4] .] . . .");
    List<MelodyNote> line = TuneLine.of(song, Timeline.of(song));
    assertThat(line).extracting(MelodyNote::label).containsExactly("D4", "E4", "F4", "G4", "A4");
    assertThat(line).extracting(MelodyNote::tick).containsExactly(0, 315, 630, 1260, 1890);
    assertThat(line).extracting(MelodyNote::endTick).startsWith(315, 630, 1260, 1890);
    assertThat(line).extracting(MelodyNote::grace).containsExactly(true, true, false, true, false);
    // A note of a few ticks has no room for eight others: they are left out.
    TuneNote tiny =
        new TuneNote(
            0,
            10,
            song.tune().bars().values().iterator().next().notes().get(0).wants(),
            Optional.empty(),
            Collections.nCopies(
                8, new Want.Sound(Pitch.parse("D4").orElseThrow(), Optional.empty())));
    Song quick =
        song.withTune(
            song.tune().with(song.chart().bars().get(0).id(), new BarTune(0, List.of(tiny))));
    assertThat(TuneLine.of(quick, Timeline.of(quick))).hasSize(1);
  }

  @Test
  void aBarThatIsLikeAnotherHasItsTuneUntilItGetsItsOwn() {
    Song song =
        song("C | G", "c4 . e .", "g4 . . .")
            .editChart(c -> ChartEdits.sectionLike(c, 1000, 1000, "Again"));
    assertThat(line(song)).hasSize(6).contains("C4@8-10", "G4@12-16");
    int third = song.sections().get(1).bars().get(0).id();
    Song own =
        song.withTune(song.tune().with(third, TuneReader.read("a4 . . .", Meter.FOUR_FOUR).tune()));
    assertThat(line(own)).contains("A4@8-12", "G4@12-16").doesNotContain("C4@8-10");
  }

  @Test
  void theTuneStaysWithItsBarAndGoesWithIt() {
    Song song = song("C | G | F", "c4 . . .", "g4 . . .", "f4 . . .");
    Song moved = song.editChart(c -> ChartEdits.move(c, List.of(1), 1));
    assertThat(line(moved)).containsExactly("G4@0-4", "C4@4-8", "F4@8-12");
    Song less = song.editChart(c -> ChartEdits.delete(c, List.of(2)));
    assertThat(less.tune().bars()).hasSize(2);
  }

  @Test
  void theTuneIsTransposedTheShorterWay() {
    Song song = song("C | G", "c4 e g 2:1", "b4 . f# .").withKey(Key.parse("C"));
    Song up = Transposition.to(song, NoteName.parse("D").orElseThrow());
    assertThat(TuneLine.of(up, Timeline.of(up)))
        .extracting(MelodyNote::label)
        .containsExactly("D4", "F♯4", "A4", "D4", "C♯5", "G♯4");
    assertThat(TuneLine.of(up, Timeline.of(up)).get(3).string()).contains(4);
    Song down = Transposition.to(song, NoteName.parse("A").orElseThrow());
    assertThat(TuneLine.of(down, Timeline.of(down)).get(0).label()).isEqualTo("A3");
  }

  /** Capo and sounding key together change nothing but what sounds. */
  @Test
  void aCapoChangesNoPlace() {
    Song song = song("C | G", "c4 e g e", "b3 d g .");
    Arrangement open = new Arranger().arrange(song);
    Arrangement capo = new Arranger().arrange(song.withGuitar(song.guitar().withCapo(1)));
    assertThat(capo.notes())
        .filteredOn(n -> n.part() == Note.Part.TUNE)
        .extracting(n -> n.midi() - 1)
        .containsExactlyElementsOf(
            open.notes().stream().filter(n -> n.part() == Note.Part.TUNE).map(Note::midi).toList());
  }

  @Test
  void everyNoteIsNamedInItsChordAndKey() {
    Song song = song("C | G7", "c4 d e bb", "f4 . . .").withKey(Key.parse("C"));
    Arrangement a = new Arranger().arrange(song);
    assertThat(TuneBoard.of(a, 1).entries())
        .extracting(e -> e.inChord() + ", " + e.inKey())
        .containsExactly(
            "root of C, degree 1",
            "not in C, degree 2",
            "third of C, degree 3",
            "not in C, outside the key");
    assertThat(TuneBoard.of(a, 2).entries().get(0).inChord()).isEqualTo("seventh of G7");
    assertThat(TuneBoard.of(a, 1).entries().get(2).place()).startsWith("①").contains("open");
    assertThat(TuneBoard.of(a, 99)).isEqualTo(TuneBoard.EMPTY);
  }
}
