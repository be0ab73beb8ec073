package phalanx.suggestion;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.findings.DeadStrings;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.findings.Review;
import phalanx.findings.RingsOver;
import phalanx.fretting.FretRow;
import phalanx.performance.Performance;
import phalanx.picking.PatternReader;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** How findings are graded, put together and taken away. */
class GradesTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Song picking(String chords, String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    return TestSongs.of(chords).withPattern(read.patterns().get(0));
  }

  /** The open sixth string rings on under a chord that it is not in and that leaves it alone. */
  private static Song ringing(String chords) {
    return picking(chords, "thumb | o | . | . | . |\n")
        .pin(new SlotRef(1, 0), new FretRow(List.of(0, 2, 2, 0, 0, 0)))
        .pin(new SlotRef(2, 0), new FretRow(List.of(-1, 1, 3, 3, 3, 1)));
  }

  /** The same where nobody stops a string. */
  private static Arrangement undamped(Arrangement a) {
    return new Arrangement(
        a.song(), a.timeline(), a.slots(), a.notes(), a.gestures(), List.of(), a.holds(), a.plan());
  }

  private static List<Found> rings(Arrangement a) {
    return Review.of(a).findings().stream()
        .filter(f -> f.finding().rule().equals(RingsOver.NAME))
        .toList();
  }

  @Test
  void aFindingInARepeatIsOneWithAllItsBars() {
    assertThat(rings(undamped(ARRANGER.arrange(ringing("|: Em | Bb :|")))))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.bars()).containsExactly(2, 4);
              assertThat(f.where()).isEqualTo("bars 2, 4");
              assertThat(f.refs()).hasSize(1);
              assertThat(f.finding().grade()).isEqualTo(Grade.HEARD);
            });
  }

  /** A stroke that moves to another string is heard by nobody: worth knowing, and one of it. */
  @Test
  void aStrokeOnAnotherStringIsWorthKnowingOnce() {
    Song song = picking("| C5 | C5 | C5 | C5 |", "tune | o | o | o | o |\n");
    for (int bar = 1; bar <= 4; bar++) {
      song = song.pin(new SlotRef(bar, 0), new FretRow(List.of(-1, 3, 5, 5, -1, -1)));
    }
    Review review = Review.of(ARRANGER.arrange(song));
    assertThat(review.findings())
        .filteredOn(f -> f.finding().rule().equals(DeadStrings.NAME))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.finding().grade()).isEqualTo(Grade.NOTE);
              assertThat(f.bars()).containsExactly(1, 2, 3, 4);
            });
    assertThat(review.tally().hard()).isZero();
    assertThat(review.tally().words()).isEqualTo("nothing is hard");
  }

  /** Every way out leaves less than there was, and those that leave least come first. */
  @Test
  void waysOutLeaveLessAndTheBestComesFirst() {
    int offered = 0;
    for (String chords :
        List.of("| E | F | G | C |", "| A | Bb | Eb | E |", "| D | F#m | B7 | E |")) {
      Arrangement a = ARRANGER.arrange(TestSongs.of(chords).withTempo(300));
      Review review = Review.of(a);
      for (Found found : review.findings()) {
        List<Suggestion> ways = Suggestions.of(new Arranger(), a, found);
        assertThat(ways).isSortedAccordingTo((x, y) -> x.left().compareTo(y.left()));
        assertThat(ways).allMatch(w -> w.left().compareTo(review.tally()) < 0);
        offered += ways.size();
      }
    }
    assertThat(offered).isPositive();
  }

  /** The plan stops it unasked, says so, and leaves it where the player lets it ring. */
  @Test
  void aStringThatRingsOnIsDampedUnlessThePlayerLetsItRing() {
    Song song = ringing("| Em | Bb |");
    Arrangement a = ARRANGER.arrange(song);
    assertThat(a.damps())
        .singleElement()
        .satisfies(
            d -> {
              assertThat(d.strings()).contains(0);
              assertThat(d.planned()).isTrue();
            });
    assertThat(rings(a)).isEmpty();
    SlotRef second = a.slots().get(1).played().ref();
    Arrangement left = ARRANGER.arrange(song.withPins(song.pins().lettingRing(second, 0, true)));
    assertThat(left.damps()).isEmpty();
    assertThat(rings(left)).isEmpty();
    assertThat(Performance.of(left).notes())
        .filteredOn(n -> n.note().string() == 0)
        .anyMatch(n -> n.endTick() > left.slots().get(1).fromTick());
  }
}
