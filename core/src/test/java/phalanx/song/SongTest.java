package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

class SongTest {

  private static Chord chord(String symbol) {
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }

  private static Bar bar(String symbol) {
    return new Bar(List.of(new ChordChange(0, new Harmony.Sounding(chord(symbol)))));
  }

  private static Song song(Bar... bars) {
    Song empty = Song.untitled();
    return new Song(
        "t",
        Optional.empty(),
        Meter.FOUR_FOUR,
        90,
        empty.guitar(),
        empty.hand(),
        empty.school(),
        empty.pattern(),
        List.of(new Section("A", List.of(bars))),
        List.of(),
        Map.of());
  }

  private static List<String> played(Song song) {
    return Timeline.of(song).slots().stream().map(s -> s.harmony().label()).toList();
  }

  @Test
  void unrollsRepeatsWhereTheyStand() {
    Song song = song(bar("C"), bar("G").startingRepeat(), bar("Am").endingRepeat(3), bar("F"));
    assertThat(played(song)).containsExactly("C", "G", "Am", "G", "Am", "G", "Am", "F");
    assertThat(Timeline.of(song).bars())
        .extracting(Timeline.PlayedBar::number)
        .containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
    assertThat(Timeline.of(song).lengthTicks()).isEqualTo(8 * 20160);
  }

  @Test
  void aRepeatWithoutStartGoesBackToTheSection() {
    assertThat(played(song(bar("C"), bar("G").endingRepeat(2))))
        .containsExactly("C", "G", "C", "G");
  }

  @Test
  void aBarWithoutChordsGoesOnWithTheOneBefore() {
    Bar late = new Bar(List.of(new ChordChange(10080, new Harmony.Sounding(chord("G")))));
    Song song = song(bar("C"), new Bar(List.of()), late);
    assertThat(played(song)).containsExactly("C", "C", "C", "G");
    List<SlotRef> refs = Timeline.of(song).slots().stream().map(Timeline.PlayedSlot::ref).toList();
    assertThat(refs).doesNotHaveDuplicates();
  }

  @Property
  void everySlotEndsWhereTheNextBegins(@ForAll @Size(min = 1, max = 6) List<Boolean> twoChords) {
    Bar[] bars =
        twoChords.stream()
            .map(
                two ->
                    two
                        ? new Bar(
                            List.of(
                                new ChordChange(0, new Harmony.Sounding(chord("C"))),
                                new ChordChange(5040, new Harmony.NoChord())))
                        : bar("G"))
            .toArray(Bar[]::new);
    Timeline timeline = Timeline.of(song(bars));
    int tick = 0;
    for (Timeline.PlayedSlot slot : timeline.slots()) {
      assertThat(slot.tick()).isEqualTo(tick);
      tick += slot.lengthTicks();
    }
    assertThat(tick).isEqualTo(timeline.lengthTicks());
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
