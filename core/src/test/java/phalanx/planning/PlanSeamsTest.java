package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import phalanx.fretting.Candidates;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeSearch;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Of two plans the better passages, and no seam where they hold different shapes. */
class PlanSeamsTest {

  private static final int SLOTS = 14;

  private static ShapePlan plan() {
    Song song = Song.untitled();
    List<PlanSlot> slots = new ArrayList<>();
    for (int i = 0; i < SLOTS; i++) {
      var found = ShapeSearch.find(Arranger.query(song, TestSongs.chord("G"))).candidates(4, 1);
      slots.add(new PlanSlot(Candidates.of(found), OptionalInt.empty(), 500));
    }
    ChangeCosts changes = new ChangeCosts(new Reach(song.guitar(), song.hand()));
    return PlanSolver.solve(new PlanProblem(slots, changes));
  }

  private static PlanSeams.Found holding(ShapePlan plan, int[] at, int[] hard) {
    int[] choice = new int[SLOTS];
    for (int slot : at) {
      choice[slot] = 1;
    }
    int[] weights = new int[SLOTS];
    for (int slot : hard) {
      weights[slot] = 1;
    }
    return new PlanSeams.Found(plan.choosing(choice), weights);
  }

  private static int[] slots(int... slots) {
    return slots;
  }

  @Test
  void eachPassageIsTakenFromThePlanInWhichLessIsFound() {
    ShapePlan plan = plan();
    PlanSeams.Found first = holding(plan, slots(), slots(2));
    PlanSeams.Found second = holding(plan, slots(2, 10, 11), slots(11));
    ShapePlan both = PlanSeams.between(first, second).orElseThrow();
    for (int i = 0; i < SLOTS; i++) {
      assertThat(both.choice(i)).as("chord %d", i).isEqualTo(i == 2 ? 1 : 0);
    }
  }

  @Test
  void shapesThatHearOfEachOtherAreOnePassage() {
    ShapePlan plan = plan();
    PlanSeams.Found first = holding(plan, slots(), slots(2, 5));
    PlanSeams.Found second = holding(plan, slots(2, 5), slots(5));
    assertThat(PlanSeams.between(first, second)).isEmpty();
  }
}
