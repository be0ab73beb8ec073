package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.embellishment.PairWalk;
import phalanx.instrument.Guitar;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Chord;
import phalanx.theory.Key;

/** Walks of double stops between two chords. */
class WalkFittingTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Optional<FittedRun> walk(String from, String to, String key, PairWalk kind) {
    return walking(from, to, key).of(kind);
  }

  private static WalkFitting walking(String from, String to, String key) {
    Song song = TestSongs.of("| " + from + " | " + to + " |").withTempo(90).withKey(Key.parse(key));
    return walking(song, from, new SlotRef(2, 0), to);
  }

  private static WalkFitting walking(Song song, String from, SlotRef next, String to) {
    return new WalkFitting(
        ARRANGER, song, new SlotRef(1, 0), TestSongs.chord(from), next, TestSongs.chord(to));
  }

  /** Diatonic thirds have 3 or 4 semitones, sixths 8 or 9, tenths 15 or 16 (theory of scales). */
  @ParameterizedTest
  @CsvSource({"THIRDS, 3, 4", "SIXTHS, 8, 9", "TENTHS, 15, 16"})
  void pairsClimbTheScaleToTonesOfTheNextChord(PairWalk kind, int small, int large) {
    Key key = Key.parse("A").orElseThrow();
    Set<Integer> scale = Set.of(9, 11, 1, 2, 4, 6, 8);
    List<PairWalk.Way> ways =
        kind.ways(
            Guitar.STEEL,
            key,
            TestSongs.chord("A"),
            TestSongs.chord("D"),
            4,
            PairWalk.Direction.UP);
    assertThat(ways).isNotEmpty();
    for (PairWalk.Way way : ways) {
      int before = 0;
      for (PairWalk.Pair pair : way.pairs()) {
        int low = Guitar.STEEL.shapeMidi(pair.lowString(), pair.low());
        int high = Guitar.STEEL.shapeMidi(pair.highString(), pair.high());
        assertThat(high - low).isBetween(small, large);
        assertThat(scale).contains(low % 12, high % 12);
        assertThat(low - before).isPositive();
        assertThat(before == 0 || low - before <= 2).isTrue();
        before = low;
      }
      PairWalk.Pair last = way.pairs().get(3);
      assertThat(Set.of(2, 6, 9))
          .contains(
              Guitar.STEEL.shapeMidi(last.lowString(), last.low()) % 12,
              Guitar.STEEL.shapeMidi(last.highString(), last.high()) % 12);
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
    int voices = kind.isOnBass() ? 1 : 2;
    assertThat(run.beats()).isGreaterThanOrEqualTo(2);
    assertThat(run.notes()).hasSize(run.beats() * voices);
    List<Note> basses = run.allNotes().stream().filter(n -> n.part() == Note.Part.BASS).toList();
    assertThat(basses).hasSize(run.beats());
    if (!kind.isOnBass()) {
      assertThat(basses)
          .allMatch(n -> n.fret() == 0)
          .extracting(Note::string)
          .containsOnly(basses.get(0).string());
    }
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
    assertThat(arrival).hasSize(voices).allMatch(n -> target.contains(n.midi() % 12));
  }

  /** The tenths of G are G and B, A and C, B and D (common practice, no source). */
  @Test
  void tenthsFromG() {
    FittedRun run = walk("G", "C", "G", PairWalk.TENTHS).orElseThrow();
    assertThat(run.hard()).isEmpty();
    assertThat(run.allPlaces(" · ")).isEqualTo("⑥3 ②0 · ⑤0 ②1 · ⑤2 ②3");
  }

  /** Every walk begins on tones of the chord it leaves, and goes the way it is asked to. */
  @ParameterizedTest
  @CsvSource({
    "C, Am", "G, Em", "D, A", "Am, F", "F, C", "E, A", "Dm, G7", "C, F", "A, D", "Em, Am"
  })
  void walksBeginOnTonesOfTheirChord(String from, String to) {
    int found = 0;
    for (PairWalk kind : PairWalk.values()) {
      for (boolean eighths : new boolean[] {false, true}) {
        for (PairWalk.Direction way : PairWalk.Direction.values()) {
          Optional<FittedRun> run =
              walking(from, to, from).of(new WalkFitting.Steps(kind, Optional.of(way), eighths));
          if (run.isPresent()) {
            found++;
            List<Integer> line = upperVoice(run.get());
            assertThat(startsOn(run.get(), TestSongs.chord(from))).isTrue();
            assertThat(line.get(0) < line.get(line.size() - 1))
                .as("%s %s %s", from, to, kind)
                .isEqualTo(way == PairWalk.Direction.UP);
          }
        }
      }
    }
    assertThat(found).isGreaterThanOrEqualTo(8);
  }

  private static List<Integer> upperVoice(FittedRun run) {
    TreeMap<Integer, Integer> highest = new TreeMap<>();
    run.notes().forEach(n -> highest.merge(n.tick(), n.midi(), Math::max));
    return List.copyOf(highest.values());
  }

  private static boolean startsOn(FittedRun run, Chord chord) {
    Set<Integer> tones = chord.notes().stream().map(n -> n.chroma()).collect(Collectors.toSet());
    int first = run.notes().get(0).tick();
    return run.notes().stream()
        .filter(n -> n.tick() == first)
        .allMatch(n -> tones.contains(n.midi() % 12));
  }

  /** Two chords in one bar: the walk leads from the one to the other in the time of the first. */
  @Test
  void aWalkInTheMiddleOfABar() {
    Song song = TestSongs.of("| G . C . |").withTempo(80).withKey(Key.parse("G"));
    FittedRun run =
        walking(song, "G", new SlotRef(1, 10080), "C")
            .of(new WalkFitting.Steps(PairWalk.THIRDS, Optional.empty(), true))
            .orElseThrow();
    assertThat(run.endTick()).isEqualTo(10080);
    assertThat(run.notes()).isNotEmpty().allMatch(n -> n.tick() < 10080);
    assertThat(run.arrangement().notesFrom(10080, 10081))
        .as("it arrives where C comes, over its bass")
        .anyMatch(n -> n.part() == Note.Part.BASS && n.midi() % 12 == 0);
  }

  @Test
  void aTuneOnTheNextChordStays() {
    Song song =
        TestSongs.singing(
            TestSongs.of("| E | A |").withTempo(90).withKey(Key.parse("E")), "", "c#5 . b a");
    FittedRun run = walking(song, "E", new SlotRef(2, 0), "A").of(PairWalk.THIRDS).orElseThrow();
    assertThat(run.song().tune().at(2, song.chart())).isEqualTo(song.tune().at(2, song.chart()));
    assertThat(run.song().chart()).isEqualTo(song.chart());
  }
}
