package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.embellishment.PairWalk;
import phalanx.instrument.Guitar;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** Walks of double stops between two chords. */
class WalkFittingTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Optional<FittedRun> walk(String from, String to, String key, PairWalk kind) {
    Song song = TestSongs.of("| " + from + " | " + to + " |").withTempo(90).withKey(Key.parse(key));
    return new WalkFitting(
            ARRANGER,
            song,
            new SlotRef(1, 0),
            TestSongs.chord(from),
            new SlotRef(2, 0),
            TestSongs.chord(to))
        .of(kind);
  }

  /** Diatonic thirds have 3 or 4 semitones, sixths 8 or 9, tenths 15 or 16 (theory of scales). */
  @ParameterizedTest
  @CsvSource({"THIRDS, 3, 4", "SIXTHS, 8, 9", "TENTHS, 15, 16"})
  void pairsClimbTheScaleToTonesOfTheNextChord(PairWalk kind, int small, int large) {
    Key key = Key.parse("A").orElseThrow();
    Set<Integer> scale = Set.of(9, 11, 1, 2, 4, 6, 8);
    List<PairWalk.Way> ways =
        kind.ways(Guitar.STEEL, key, TestSongs.chord("A"), TestSongs.chord("D"), 5);
    assertThat(ways).isNotEmpty();
    for (PairWalk.Way way : ways) {
      int before = 0;
      for (PairWalk.Pair pair : way.pairs()) {
        int low = Guitar.STEEL.shapeMidi(way.lowString(), pair.low());
        int high = Guitar.STEEL.shapeMidi(way.highString(), pair.high());
        assertThat(high - low).isBetween(small, large);
        assertThat(scale).contains(low % 12, high % 12);
        assertThat(low - before).isPositive();
        assertThat(before == 0 || low - before <= 2).isTrue();
        before = low;
      }
      PairWalk.Pair last = way.pairs().get(4);
      assertThat(Set.of(2, 6, 9))
          .contains(
              Guitar.STEEL.shapeMidi(way.lowString(), last.low()) % 12,
              Guitar.STEEL.shapeMidi(way.highString(), last.high()) % 12);
    }
  }

  /** Over an open bass every pair has two free fingers (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "A, D, A, TENTHS", "E, A, E, THIRDS", "E, A, E, SIXTHS", "E, A, E, TENTHS",
    "D, G, D, THIRDS", "D, G, D, SIXTHS", "Am, Dm, Am, SIXTHS", "Am, Dm, Am, TENTHS"
  })
  void overAnOpenBassBothHandsPlayIt(String from, String to, String key, PairWalk kind) {
    FittedRun run = walk(from, to, key, kind).orElseThrow();
    assertThat(run.hard()).isEmpty();
    assertThat(run.notes()).hasSize(8);
    assertThat(run.allNotes().stream().filter(n -> n.part() == Note.Part.BASS))
        .hasSize(4)
        .allMatch(n -> n.fret() == 0)
        .extracting(Note::string)
        .containsOnly(run.allNotes().get(0).string());
    for (Hold one : run.arrangement().holds()) {
      assertThat(run.arrangement().holds())
          .noneMatch(
              o ->
                  o != one
                      && o.finger() == one.finger()
                      && o.fromTick() < one.toTick()
                      && one.fromTick() < o.toTick());
    }
    Set<Integer> target =
        TestSongs.chord(to).notes().stream().map(n -> n.chroma()).collect(Collectors.toSet());
    List<Note> arrival =
        run.arrangement().notesFrom(20160, 20161).stream()
            .filter(n -> n.part() == Note.Part.TUNE)
            .toList();
    assertThat(arrival).hasSize(2).allMatch(n -> target.contains(n.midi() % 12));
  }

  /** A fretted bass cannot stay down: another open tone of the chord is the pedal, and is said. */
  @ParameterizedTest
  @EnumSource(PairWalk.class)
  void aFrettedBassGivesWayToAnOpenTone(PairWalk kind) {
    FittedRun run = walk("C", "F", "C", kind).orElseThrow();
    assertThat(run.notes()).hasSize(8);
    assertThat(run.hard()).anyMatch(f -> f.finding().message().contains("its bass is C"));
  }

  @Test
  void aTuneOnTheNextChordStays() {
    Song song =
        TestSongs.singing(
            TestSongs.of("| E | A |").withTempo(90).withKey(Key.parse("E")), "", "c#5 . b a");
    FittedRun run =
        new WalkFitting(
                ARRANGER,
                song,
                new SlotRef(1, 0),
                TestSongs.chord("E"),
                new SlotRef(2, 0),
                TestSongs.chord("A"))
            .of(PairWalk.THIRDS)
            .orElseThrow();
    assertThat(run.song().tune().at(2, song.chart())).isEqualTo(song.tune().at(2, song.chart()));
    assertThat(run.song().chart()).isEqualTo(song.chart());
  }
}
