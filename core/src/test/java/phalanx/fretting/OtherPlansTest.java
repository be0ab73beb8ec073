package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.song.TestSongs;

/** The nearest plan with other frets, against every row of candidates there is. */
class OtherPlansTest {

  private static final String[] CHORDS = {"G", "C", "D", "Em", "Am", "F"};
  private static final ChangeCosts CHANGES = new ChangeCosts(new Reach(Guitar.STEEL, Hand.MEDIUM));

  private static PlanProblem problem(List<Integer> row) {
    List<PlanSlot> slots = new ArrayList<>();
    for (int chord : row) {
      ShapeQuery query = ShapeQuery.of(TestSongs.chord(CHORDS[chord]), Guitar.STEEL, Hand.MEDIUM);
      List<RatedShape> best = ShapeSearch.find(query).candidates(4, 2);
      slots.add(new PlanSlot(Candidates.of(best), OptionalInt.empty(), 300));
    }
    return new PlanProblem(slots, CHANGES);
  }

  /** The cheapest row that has other frets than the plan somewhere. */
  private static double cheapest(
      PlanProblem problem, ShapePlan plan, int slot, int last, boolean other) {
    if (slot == problem.slots().size()) {
      return other ? 0 : Double.POSITIVE_INFINITY;
    }
    double least = Double.POSITIVE_INFINITY;
    List<RatedShape> candidates = problem.slots().get(slot).candidates();
    for (int c = 0; c < candidates.size(); c++) {
      double change = slot == 0 ? 0 : PlanSolver.change(problem, slot, last, c);
      boolean differs = !candidates.get(c).shape().sameFrets(plan.chosen(slot).shape());
      double rest = cheapest(problem, plan, slot + 1, c, other || differs);
      least = Math.min(least, change + candidates.get(c).cost() + rest);
    }
    return least;
  }

  @Property(tries = 80)
  void theFirstIsTheCheapestThatDiffersInItsFrets(
      @ForAll @Size(min = 1, max = 5) List<@IntRange(max = 5) Integer> row) {
    PlanProblem problem = problem(row);
    ShapePlan plan = PlanSolver.solve(problem);
    List<ShapePlan> others = plan.different(3);
    assertThat(others).isNotEmpty();
    assertThat(others.get(0).cost()).isCloseTo(cheapest(problem, plan, 0, 0, false), within(1e-9));
    List<List<String>> frets = new ArrayList<>();
    frets.add(plan.shapes().stream().map(Shape::fretText).toList());
    others.forEach(o -> frets.add(o.shapes().stream().map(Shape::fretText).toList()));
    assertThat(frets).doesNotHaveDuplicates();
    // Costs are sums taken in another order: the same cost may differ in its last place.
    for (int i = 1; i < others.size(); i++) {
      assertThat(others.get(i).cost()).isGreaterThan(others.get(i - 1).cost() - 1e-9);
    }
  }
}
