package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.TempoCeiling;
import phalanx.instrument.Hand;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** What a late hand teaches the plan. */
class ChangeLatenessTest {

  private static final Song SONG =
      TestSongs.of("| C | G | Am | F | C | G | Am | F | C | G | Am | F | C | G | Am | F |");
  private static final Arrangement PLAN = new Arranger().arrange(SONG);

  /** Every stroke at its time by 10 ms more or less, those on a new chord later by as much. */
  private static List<MatchedStroke> played(double late) {
    Random chance = new Random(3);
    Set<Integer> firsts = new HashSet<>();
    for (Slot slot : PLAN.slots()) {
      PLAN.notesFrom(slot.fromTick(), slot.toTick()).stream()
          .filter(n -> n.pick().isPresent())
          .findFirst()
          .ifPresent(n -> firsts.add(n.tick()));
    }
    return ExpectedStroke.of(Performance.of(PLAN), 0, Integer.MAX_VALUE).stream()
        .map(
            s ->
                new MatchedStroke(
                    s,
                    s.seconds(),
                    s.seconds()
                        + 0.01 * chance.nextGaussian()
                        + (firsts.contains(s.note().tick()) ? late : 0)))
        .toList();
  }

  @Test
  void lateChangesAreMeasured() {
    ChangeLateness measured = ChangeLateness.of(played(0.04));
    assertThat(measured.count()).isGreaterThanOrEqualTo(15);
    assertThat(measured.late()).isEqualTo(0.04, within(0.006));
    Optional<Hand> hand = measured.hand(SONG.hand());
    assertThat(hand).isPresent();
    assertThat(hand.get().pace().reactionMs())
        .isEqualTo(SONG.hand().pace().reactionMs() + 40, within(6.0));
  }

  /** The ceiling is then this player’s. */
  @Test
  void aSlowerHandHoldsToLess() {
    Hand slow = ChangeLateness.of(played(0.06)).hand(SONG.hand()).orElseThrow();
    double before = TempoCeiling.of(PLAN).song().orElseThrow();
    double after =
        TempoCeiling.of(new Arranger().arrange(SONG.withHand(slow))).song().orElseThrow();
    assertThat(after).isLessThan(before);
  }

  @Test
  void chanceTeachesNothing() {
    assertThat(ChangeLateness.of(played(0)).hand(SONG.hand())).isEmpty();
    assertThat(ChangeLateness.of(played(0.04).subList(0, 20)).hand(SONG.hand())).isEmpty();
    assertThat(ChangeLateness.of(List.of()).count()).isZero();
  }
}
