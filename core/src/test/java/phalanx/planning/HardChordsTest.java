package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.ShapeSuggestion;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.arrangement.board.ShapeFilter;
import phalanx.arrangement.board.SlotBoard;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.picking.PatternReader;
import phalanx.picking.Role;
import phalanx.song.NoteRef;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.song.Swing;
import phalanx.song.TestSongs;

/** Songs at the edge of what can be planned, and what a player weighs at one chord. */
class HardChordsTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final Guitar ONE_PITCH =
      Guitar.STEEL.withTuning(Tuning.parse("E3 E3 E3 E3 E3 E3").orElseThrow());

  /** Every way out that is offered leads to a shape when it is taken. */
  @ParameterizedTest
  @ValueSource(strings = {"Bm7b5", "Dmaj7#11/G#", "Fmaj7#5"})
  void everyWayOutGivesAShape(String symbol) {
    Song song = TestSongs.of("G | " + symbol).withGuitar(ONE_PITCH);
    Slot slot = ARRANGER.arrange(song).slots().get(1);
    assertThat(slot.shape()).isEmpty();
    assertThat(slot.remarks()).first().asString().startsWith("no shape is within reach");
    assertThat(slot.waysOut()).isNotEmpty();
    for (ShapeSuggestion way : slot.waysOut()) {
      Song next = way.edit().apply(song, slot.played().ref());
      assertThat(ARRANGER.arrange(next).slots().get(1).shape()).as(way.words()).isPresent();
    }
  }

  @Test
  void anEmptySongHasAnEmptyPlan() {
    Arrangement a = ARRANGER.arrange(Song.untitled());
    assertThat(a.slots()).isEmpty();
    assertThat(a.plan().cost()).isZero();
    assertThat(a.plan().best(3)).hasSize(0);
  }

  @Test
  void asManyChordsAsASongCanHaveArePlanned() {
    String bar = "G D/F# Em7 C ".repeat(16);
    Song song = TestSongs.of((bar + "|").repeat(SongBounds.MOST_CHORDS / 64));
    Arrangement a = new Arranger().arrange(song);
    assertThat(a.slots()).hasSize(SongBounds.MOST_CHORDS).allMatch(s -> s.shape().isPresent());
  }

  /** An edit is planned as if from nothing. */
  @Test
  void aPlanAfterAnEditIsThatOfAFreshPlanner() {
    Song song = TestSongs.of("G | D/F# | Em7 | Cadd9 | Am7 . D7 . | Bm7 | C . G/B . | D");
    Arranger known = new Arranger();
    Arrangement first = known.arrange(song);
    Shape other = ShapeChoice.of(first, 3, 9).get(4).shape();
    List<Song> edits =
        List.of(
            song.pin(new SlotRef(4, 0), other),
            song.withTempo(200),
            song.withHand(Hand.SMALL),
            TestSongs.of("G | D/F# | Em7 | A7 | Cadd9 | Am7 . D7 . | Bm7 | C . G/B . | D"),
            TestSongs.of("Em7 | Cadd9 | Am7 . D7 . | Bm7 | C . G/B . | D"),
            song);
    for (Song edit : edits) {
      Arrangement again = known.arrange(edit);
      Arrangement fresh = new Arranger().arrange(edit);
      assertThat(again.plan().shapes()).isEqualTo(fresh.plan().shapes());
      assertThat(again.plan().cost()).isCloseTo(fresh.plan().cost(), within(1e-9));
      assertThat(again.notes()).isEqualTo(fresh.notes());
    }
  }

  @Test
  void theBoardExplainsTheHeldShapeInFull() {
    Song song = TestSongs.of("G | D/F# | Em7");
    Arrangement a = ARRANGER.arrange(song);
    SlotBoard board = SlotBoard.of(a, 1, ShapeFilter.ALL, 20);
    assertThat(board.why()).hasSize(3);
    assertThat(board.why().get(0).value()).isCloseTo(a.plan().chosen(1).cost(), within(1e-9));
    assertThat(board.choices()).hasSize(20).first().matches(ShapeChoice::chosen);
    assertThat(board.found()).isGreaterThan(1000);
    for (SlotBoard.OtherPlan plan : board.others()) {
      assertThat(plan.extraCost()).isGreaterThanOrEqualTo(0);
      assertThat(plan.differences()).isNotEmpty();
    }
  }

  /** What a shape would cost the song is what the song costs once it is pinned. */
  @Test
  void theCostOfAShapeThePlannerDidNotConsiderIsTrue() {
    Song song = TestSongs.of("G | D/F# | Em7 | C");
    Arrangement a = ARRANGER.arrange(song);
    ShapeFilter high =
        new ShapeFilter(
            ShapeFilter.Wish.EITHER,
            ShapeFilter.Wish.EITHER,
            ShapeFilter.Wish.EITHER,
            ShapeFilter.Wish.WITHOUT,
            ShapeFilter.Position.HIGH);
    for (ShapeChoice choice : SlotBoard.of(a, 2, high, 6).choices()) {
      Arrangement pinned = ARRANGER.arrange(song.pin(new SlotRef(3, 0), choice.shape()));
      assertThat(pinned.plan().cost() - a.plan().cost())
          .as(choice.shape().toString())
          .isCloseTo(choice.extraCost(), within(1e-9));
    }
  }

  @Test
  void aStrokeIsPlayedOnTheStringThePlayerPinned() {
    Song song = TestSongs.of("G | G");
    NoteRef second = new NoteRef(2, 2520, Role.MIDDLE);
    Arrangement a = ARRANGER.arrange(song.withPins(song.pins().with(second, 5)));
    assertThat(string(a, 2520)).isEqualTo(3);
    assertThat(string(a, 20160 + 2520)).isEqualTo(5);
    Arrangement dead =
        ARRANGER.arrange(
            song.withPins(song.pins().with(second, 1))
                .pin(
                    new SlotRef(2, 0),
                    SlotBoard.of(a, 1, ShapeFilter.ALL, 60).choices().stream()
                        .map(ShapeChoice::shape)
                        .filter(s -> !s.sounds(1))
                        .findFirst()
                        .orElseThrow()));
    assertThat(dead.slots().get(1).remarks())
        .contains("⑤ is pinned for a stroke here and does not sound");
  }

  private static int string(Arrangement a, int tick) {
    return a.notesFrom(tick, tick + 1).get(0).string();
  }

  @Test
  void aPinBeyondTheNeckIsSaidAndNotHeld() {
    Song song = TestSongs.of("G");
    Arrangement a = ARRANGER.arrange(song);
    Shape high =
        SlotBoard.of(
                a,
                0,
                new ShapeFilter(
                    ShapeFilter.Wish.EITHER,
                    ShapeFilter.Wish.EITHER,
                    ShapeFilter.Wish.EITHER,
                    ShapeFilter.Wish.WITHOUT,
                    ShapeFilter.Position.HIGH),
                30)
            .choices()
            .stream()
            .map(ShapeChoice::shape)
            .filter(s -> s.grips().values().stream().anyMatch(g -> g.fret() > 10))
            .findFirst()
            .orElseThrow();
    Song pinned =
        song.pin(new SlotRef(1, 0), high)
            .withGuitar(Guitar.STEEL.withCapo(11, Set.of(0, 1, 2, 3, 4, 5)));
    Slot slot = ARRANGER.arrange(pinned).slots().get(0);
    assertThat(slot.shape()).isNotEqualTo(Optional.of(high));
    assertThat(slot.remarks()).anyMatch(r -> r.contains("beyond this neck"));
  }

  /** With swing the change in front of a beat has less time. */
  @Test
  void swingLeavesLessTimeForAChange() {
    String offBeats = "name: x\nmetre: 4/4\nthumb | o . | o . | o . | . o |\n";
    Song song = TestSongs.of("G | C").withPattern(PatternReader.read(offBeats).patterns().get(0));
    ShapePlan straight = ARRANGER.arrange(song).plan();
    ShapePlan swung = ARRANGER.arrange(song.withFeel(song.feel().withSwing(Swing.TRIPLET))).plan();
    assertThat(swung.problem().slots().get(1).changeMillis())
        .isLessThan(straight.problem().slots().get(1).changeMillis());
  }
}
