package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Key;
import phalanx.theory.Meter;

class SongTest {

  private static Chord chord(String symbol) {
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }

  private static List<String> played(Song song) {
    return Timeline.of(song).slots().stream().map(s -> s.harmony().label()).toList();
  }

  private static List<String> played(String chart) {
    return played(TestSongs.of(chart));
  }

  /** A section that is gone rings no more, nor does another that gets its number later. */
  @Test
  void aSectionThatIsGoneRingsNoMore() {
    Song song = TestSongs.of("G | C", "D | G");
    int second = song.sections().get(1).id();
    Song rings = song.withTune(song.tune().withRinging(Set.of(second)));
    List<Integer> bars = song.sections().get(1).bars().stream().map(Bar::id).toList();
    assertThat(rings.editChart(c -> c).tune().ringing()).containsExactly(second);
    Song joined = rings.editChart(c -> ChartEdits.join(c, bars.get(0)));
    assertThat(joined.sections()).hasSize(1);
    assertThat(joined.tune().ringing()).isEmpty();
  }

  @Test
  void unrollsRepeatsWhereTheyStand() {
    Song song = TestSongs.of("C |: G | Am :| x3 F");
    assertThat(played(song)).containsExactly("C", "G", "Am", "G", "Am", "G", "Am", "F");
    assertThat(Timeline.of(song).bars())
        .extracting(Timeline.PlayedBar::number)
        .containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
    assertThat(Timeline.of(song).lengthTicks()).isEqualTo(8 * 20160);
  }

  @Test
  void aRepeatWithoutStartGoesBackToTheSection() {
    assertThat(played("C | G :|")).containsExactly("C", "G", "C", "G");
  }

  /** First and second endings as printed music has them (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "'|: C | G |1 Am :|2 F | D |', C G Am C G F D",
    "'|: C |1 G | Am :|2 F | D |', C G Am C F D",
    "'|: C |1,2 G :|3 F | D |', C G C G C F D",
    "'|: C |1-3 G :|4 F |', C G C G C G C F",
    "'|: C |1 G :|2 F |: A | B :|', C G C F A B A B",
    "'|: C :|: D :|', C C D D"
  })
  void playsEachEndingInItsTimeThrough(String chart, String order) {
    assertThat(String.join(" ", played(chart))).isEqualTo(order);
  }

  @Test
  void aBarWithoutChordsGoesOnWithTheOneBefore() {
    Song song = TestSongs.of("C | . | . G");
    assertThat(played(song)).containsExactly("C", "C", "C", "G");
    List<SlotRef> refs = Timeline.of(song).slots().stream().map(Timeline.PlayedSlot::ref).toList();
    assertThat(refs).doesNotHaveDuplicates();
  }

  @Test
  void aPickUpIsShortAndNumberedZeroAndCountsFromTheEndOfItsBar() {
    Song song = TestSongs.of("D7 | G | C");
    Timeline timeline = Timeline.of(song.withFeel(song.feel().withPickup(5040)));
    assertThat(timeline.bars()).extracting(Timeline.PlayedBar::number).containsExactly(0, 1, 2);
    assertThat(timeline.bars())
        .extracting(Timeline.PlayedBar::startTick)
        .containsExactly(0, 5040, 25200);
    assertThat(timeline.bars().get(0).count())
        .extracting(Meter.Syllable::word)
        .containsExactly("4", "&");
    assertThat(timeline.slots()).allMatch(s -> timeline.barOf(s).number() == s.bar());
  }

  @Test
  void aMetreChangeHoldsUntilTheNext() {
    Timeline timeline = Timeline.of(TestSongs.of("C | 3/4 G | Am | 4/4 F"));
    assertThat(timeline.bars())
        .extracting(b -> b.meter().toString())
        .containsExactly("4/4", "3/4", "3/4", "4/4");
    assertThat(timeline.lengthTicks()).isEqualTo(2 * 20160 + 2 * 15120);
  }

  @Property
  void everySlotEndsWhereTheNextBegins(
      @ForAll @Size(min = 1, max = 6) List<Boolean> twoChords, @ForAll boolean pickup) {
    Song song =
        TestSongs.of(
            twoChords.stream()
                .map(two -> two ? "C N.C. . ." : "G")
                .collect(Collectors.joining("|")));
    Timeline timeline = Timeline.of(song.withFeel(song.feel().withPickup(pickup ? 2520 : 0)));
    int tick = 0;
    for (Timeline.PlayedSlot slot : timeline.slots()) {
      assertThat(slot.tick()).isEqualTo(tick);
      tick += slot.lengthTicks();
    }
    assertThat(tick).isEqualTo(timeline.lengthTicks());
  }

  /** Swing keeps the beats and the order; two thirds is the triplet (common practice). */
  @Property
  void swingMovesOnlyWhatLiesBetweenTheBeats(
      @ForAll @IntRange(min = 50, max = 75) int percent, @ForAll @IntRange(max = 40_000) int tick) {
    Swing swing = new Swing(percent);
    assertThat(swing.played(5040L * (tick % 8))).isEqualTo(5040L * (tick % 8));
    assertThat(swing.played(tick + 1)).isGreaterThanOrEqualTo(swing.played(tick));
    assertThat(swing.played(tick)).isGreaterThanOrEqualTo(tick);
    assertThat(Swing.STRAIGHT.played(tick)).isEqualTo(tick);
    assertThat(new Swing(67).played(2520)).isEqualTo(5040 * 67 / 100);
  }

  @Test
  void undoAndRedoGoThroughEveryStateAndAnEditForgetsTheUndone() {
    History<Integer> history = History.of(0).edit(n -> n + 1).edit(n -> n + 1).edit(n -> n);
    assertThat(history.past()).containsExactly(0, 1);
    assertThat(history.undo().undo().undo().present()).isZero();
    assertThat(history.undo().undo().redo().redo().redo().present()).isEqualTo(2);
    assertThat(history.undo().edit(n -> 9).canRedo()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "4/4,20160,5040,4",
    "6/8,15120,7560,2",
    "3/4,15120,5040,3",
    "12/8,30240,7560,4",
    "5/4,25200,5040,5"
  })
  void aMetreKnowsItsFeltBeats(String text, int bar, int beat, int beats) {
    Meter meter = Meter.parse(text).orElseThrow();
    assertThat(meter.barTicks()).isEqualTo(bar);
    assertThat(meter.beatTicks()).isEqualTo(beat);
    assertThat(meter.beats()).isEqualTo(beats);
  }

  @Test
  void countsAsPlayersDo() {
    assertThat(Meter.FOUR_FOUR.syllables())
        .extracting(Meter.Syllable::word)
        .containsExactly("1", "&", "2", "&", "3", "&", "4", "&");
    assertThat(new Meter(6, 8).syllables())
        .extracting(Meter.Syllable::word)
        .containsExactly("1", "2", "3", "4", "5", "6");
  }

  /** Roman numerals as theory books write them (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "G,D/F#,V⁶",
    "G,Em7,vi⁷",
    "D,C,♭VII",
    "D,F,♭III",
    "Am,E7,V⁷",
    "Am,G,VII",
    "C,Bdim,vii°",
    "C,C/G,I⁶₄",
    "C,F#m7b5,♯ivø⁷"
  })
  void namesDegrees(String key, String symbol, String numeral) {
    assertThat(Key.parse(key).orElseThrow().numeral(chord(symbol))).isEqualTo(numeral);
  }

  /** The circle of fifths. */
  @ParameterizedTest
  @CsvSource({"C,0", "G,1", "F,-1", "Bb,-2", "F#,6", "Am,0", "Em,1", "Dm,-1", "C#m,4", "Eb,-3"})
  void knowsItsSignature(String key, int fifths) {
    assertThat(Key.parse(key).orElseThrow().fifths()).isEqualTo(fifths);
  }

  @Test
  void refusesAnImpossibleTempo() {
    assertThatThrownBy(() -> Song.untitled().withTempo(Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
