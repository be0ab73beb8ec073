package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import phalanx.chart.Transposition;
import phalanx.fretting.Shape;
import phalanx.theory.Key;
import phalanx.theory.NoteName;

class ChartEditsTest {

  private static String text(Song song) {
    return song.sections().stream()
        .map(
            s ->
                s.bars().stream()
                    .map(
                        b ->
                            song.chart().changes(b).stream()
                                .map(c -> c.harmony().label())
                                .collect(Collectors.joining("-")))
                    .collect(Collectors.joining(" ")))
        .collect(Collectors.joining(" | "));
  }

  private static List<Bar> bars(String line) {
    return TestSongs.of(line).chart().bars();
  }

  @Test
  void barsAreInsertedReplacedAndDeleted() {
    Song song = TestSongs.of("C | G", "Am");
    Song more = song.editChart(c -> ChartEdits.insertAfter(c, 1, bars("F | E")));
    assertThat(text(more)).isEqualTo("C F E G | Am");
    assertThat(text(more.editChart(c -> ChartEdits.insertBefore(c, 3, bars("D")))))
        .isEqualTo("C F E G | D Am");
    assertThat(text(more.editChart(c -> ChartEdits.delete(c, List.of(1, 3))))).isEqualTo("F E G");
    assertThat(text(Song.untitled().editChart(c -> ChartEdits.insertAfter(c, 0, bars("C | G")))))
        .isEqualTo("C G");
  }

  @Test
  void barsMoveTogetherAndKeepTheirPins() {
    Song song = TestSongs.of("C | G | F", "Am | E").pin(new SlotRef(2, 0), Shape.NOTHING);
    Song moved = song.editChart(c -> ChartEdits.move(c, List.of(2, 3), 1));
    assertThat(text(moved)).isEqualTo("C | Am G F E");
    assertThat(moved.pins().shape(new SlotRef(2, 0))).contains(Shape.NOTHING);
    assertThat(text(moved.editChart(c -> ChartEdits.move(c, List.of(2, 3), -1))))
        .isEqualTo("C | G F Am E");
    assertThat(text(song.editChart(c -> ChartEdits.move(c, List.of(1), -1)))).isEqualTo(text(song));
  }

  @Test
  void aPinGoesWithItsChordAndNotWithAnother() {
    Song song = TestSongs.of("C | G").pin(new SlotRef(2, 0), Shape.NOTHING);
    Bar other = bars("D").get(0).withId(2);
    assertThat(song.editChart(c -> ChartEdits.replace(c, other)).pins().shapes()).isEmpty();
    assertThat(song.editChart(c -> ChartEdits.delete(c, List.of(1))).pins().shapes()).hasSize(1);
    assertThat(song.editChart(c -> ChartEdits.delete(c, List.of(2))).pins().shapes()).isEmpty();
  }

  @Test
  void sectionsAreSplitNamedAndJoined() {
    Song song = TestSongs.of("C | G | F");
    Song split = song.editChart(c -> ChartEdits.section(c, 2, "Bridge"));
    assertThat(text(split)).isEqualTo("C | G F");
    assertThat(split.sections()).extracting(Section::label).containsExactly("S1", "Bridge");
    assertThat(text(split.editChart(c -> ChartEdits.join(c, 2)))).isEqualTo("C G F");
    assertThat(song.editChart(c -> ChartEdits.section(c, 1, "Verse")).sections())
        .extracting(Section::label)
        .containsExactly("Verse");
  }

  @Test
  void aSectionThatIsLikeAnotherFollowsItExceptWhereItWasChanged() {
    Song song = TestSongs.of("C | G | F");
    Song twice = song.editChart(c -> ChartEdits.sectionLike(c, 1000, 1000, "Again"));
    assertThat(text(twice)).isEqualTo("C G F | C G F");
    Bar copy = twice.sections().get(1).bars().get(1);
    Bar own = copy.withChanges(bars("Em").get(0).changes());
    Song changed = twice.editChart(c -> ChartEdits.replace(c, own));
    assertThat(text(changed)).isEqualTo("C G F | C Em F");
    Song edited = changed.editChart(c -> ChartEdits.replace(c, bars("Am").get(0).withId(1)));
    assertThat(text(edited)).isEqualTo("Am G F | Am Em F");
    assertThat(text(edited.editChart(c -> ChartEdits.insertAfter(c, 3, bars("D")))))
        .isEqualTo("Am G F D | Am Em F D");
    assertThat(text(edited.editChart(c -> ChartEdits.delete(c, List.of(1)))))
        .isEqualTo("G F | Em F");
  }

  @Test
  void aSectionLikeOneThatIsLikeAnotherFollowsToo() {
    Song song = TestSongs.of("C | G | F");
    Song twice = song.editChart(c -> ChartEdits.sectionLike(c, 1000, 1000, "Again"));
    int second = twice.sections().get(1).id();
    Song thrice = twice.editChart(c -> ChartEdits.sectionLike(c, second, second, "Once more"));
    Song less = thrice.editChart(c -> ChartEdits.delete(c, List.of(1)));
    assertThat(text(less)).isEqualTo("G F | G F | G F");
    assertThat(less.sections().get(2).borrows()).contains(second);
    assertThat(text(less.editChart(c -> ChartEdits.insertAfter(c, 3, bars("D")))))
        .isEqualTo("G F D | G F D | G F D");
  }

  @Test
  void aBarThatLosesWhatItBorrowedKeepsItsChords() {
    Song song = TestSongs.of("C . G . | =1 . . D .");
    assertThat(text(song)).isEqualTo("C-G C-D");
    assertThat(text(song.editChart(c -> ChartEdits.delete(c, List.of(1))))).isEqualTo("C-D");
    assertThat(song.chart().isCircle(1, 2)).isTrue();
    assertThat(song.chart().isCircle(2, 1)).isFalse();
  }

  /** A circle made by hand in a file does not hang anything. */
  @Test
  void barsThatBorrowInACircleEnd() {
    Chart circle = new Chart(List.of(Section.of(9, "", List.of(Bar.like(1, 2), Bar.like(2, 1)))));
    assertThat(circle.changes(circle.bars().get(0))).isEmpty();
    assertThat(circle.isCircle(3, 1)).isTrue();
  }

  @Test
  void transposingMovesChordsAndKeyWithPlainSpelling() {
    Song song = TestSongs.of("G | D/F# | Em7").withKey(Key.parse("G"));
    Song up = Transposition.bySemitones(song, 1);
    assertThat(text(up)).isEqualTo("A♭ E♭/G Fm7");
    assertThat(up.key()).contains(Key.parse("Ab").orElseThrow());
    assertThat(text(Transposition.to(song, NoteName.parse("E").orElseThrow())))
        .isEqualTo("E B/D♯ C♯m7");
  }

  /** Law: twelve semitones in any two steps come back to the same sound. */
  @Property(tries = 60)
  void transposingAllTheWayRoundSoundsTheSame(@ForAll @IntRange(min = 1, max = 11) int first) {
    Song song = TestSongs.of("G | D/F# | C#m7b5 | Bbmaj7").withKey(Key.parse("G"));
    Song round = Transposition.bySemitones(Transposition.bySemitones(song, first), 12 - first);
    assertThat(chromas(round)).isEqualTo(chromas(song));
  }

  private static List<Integer> chromas(Song song) {
    return song.chart().bars().stream()
        .map(b -> ((Harmony.Sounding) b.changes().get(0).harmony()).chord())
        .flatMap(c -> java.util.stream.Stream.of(c.root().chroma(), c.bass().chroma()))
        .toList();
  }

  /** Whatever is done, identities stay unique and undo brings everything back. */
  @Property(tries = 1000)
  void everyRowOfEditsLeavesAWholeChart(
      @ForAll @Size(min = 1, max = 8) List<@IntRange(max = 59) Integer> edits) {
    History<Song> history = History.of(TestSongs.of("C | G", "Am | F | E"));
    Song start = history.present();
    for (int edit : edits) {
      List<Bar> all = history.present().chart().bars();
      if (all.isEmpty()) {
        break;
      }
      int bar = all.get(edit % all.size()).id();
      int section = history.present().chart().sectionOf(bar).map(Section::id).orElseThrow();
      history =
          history.edit(
              song ->
                  song.editChart(
                      c ->
                          switch (edit % 6) {
                            case 0 -> ChartEdits.insertAfter(c, bar, bars("D | B"));
                            case 1 -> ChartEdits.delete(c, List.of(bar));
                            case 2 -> ChartEdits.move(c, List.of(bar), edit % 4 < 2 ? 1 : -1);
                            case 3 -> ChartEdits.section(c, bar, "new");
                            case 4 -> ChartEdits.sectionLike(c, section, section, "like");
                            default -> ChartEdits.join(c, bar);
                          }));
      Timeline.of(history.present());
      Chart chart = history.present().chart();
      assertThat(chart.bars())
          .allMatch(b -> b.borrows().isEmpty() || chart.bar(b.borrows().get()).isPresent())
          .allMatch(b -> b.borrows().isEmpty() || !chart.isCircle(b.id(), b.borrows().get()));
      for (Section like : chart.sections()) {
        like.borrows()
            .flatMap(chart::section)
            .ifPresent(of -> assertThat(like.bars()).hasSameSizeAs(of.bars()));
      }
    }
    while (history.canUndo()) {
      history = history.undo();
    }
    assertThat(history.present()).isEqualTo(start);
  }
}
