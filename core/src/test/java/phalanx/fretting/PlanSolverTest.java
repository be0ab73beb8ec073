package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

class PlanSolverTest {

  private static final ChangeCosts CHANGES = new ChangeCosts(new Reach(Guitar.STEEL, Hand.MEDIUM));
  private static final String[] CHORDS = {
    "C", "G", "Am", "F", "D7", "Em7", "Bm7", "E", "Cmaj7", "G/B"
  };
  private static final List<RankedShapes> FOUND = found();

  private static List<RankedShapes> found() {
    List<RankedShapes> all = new ArrayList<>();
    for (String symbol : CHORDS) {
      all.add(
          ShapeSearch.find(
              ShapeQuery.of(ShapeSearchTest.chord(symbol), Guitar.STEEL, Hand.MEDIUM)));
    }
    return all;
  }

  private static PlanProblem random(Random random, int slots, int candidates, boolean pins) {
    List<PlanSlot> row = new ArrayList<>();
    for (int i = 0; i < slots; i++) {
      RankedShapes shapes = FOUND.get(random.nextInt(FOUND.size()));
      List<RatedShape> some = new ArrayList<>();
      for (int c = 0; c < candidates; c++) {
        some.add(shapes.get(random.nextInt(200)));
      }
      boolean pin = pins && random.nextInt(4) == 0;
      OptionalInt pinned = pin ? OptionalInt.of(random.nextInt(candidates)) : OptionalInt.empty();
      row.add(new PlanSlot(some, pinned, 100 + random.nextInt(400)));
    }
    return new PlanProblem(row, CHANGES);
  }

  private static double bruteForce(PlanProblem problem, int[] choice, int slot) {
    if (slot == choice.length) {
      return problem.cost(choice);
    }
    double best = Double.POSITIVE_INFINITY;
    PlanSlot here = problem.slots().get(slot);
    for (int c = 0; c < here.candidates().size(); c++) {
      if (here.pinned().isEmpty() || here.pinned().getAsInt() == c) {
        choice[slot] = c;
        best = Math.min(best, bruteForce(problem, choice, slot + 1));
      }
    }
    return best;
  }

  @Test
  void equalsBruteForceOnSixHundredSmallSongs() {
    Random random = new Random(20_261_124);
    for (int song = 0; song < 600; song++) {
      PlanProblem problem = random(random, 1 + random.nextInt(4), 3, song % 3 == 0);
      ShapePlan plan = PlanSolver.solve(problem);
      double best = bruteForce(problem, new int[problem.slots().size()], 0);
      assertThat(plan.cost()).as("song %d", song).isCloseTo(best, within(1e-9));
    }
  }

  @Test
  void equalsAGeneralShortestPathOnLargerSongs() {
    Random random = new Random(7);
    for (int song = 0; song < 8; song++) {
      PlanProblem problem = random(random, 24, 25, song % 2 == 0);
      assertThat(PlanSolver.solve(problem).cost()).isCloseTo(shortestPath(problem), within(1e-9));
    }
  }

  /** The same problem for the graph library: a node a candidate, its cost on the edges into it. */
  private static double shortestPath(PlanProblem problem) {
    SimpleDirectedWeightedGraph<String, DefaultWeightedEdge> graph =
        new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
    graph.addVertex("start");
    graph.addVertex("end");
    int n = problem.slots().size();
    for (int i = 0; i < n; i++) {
      PlanSlot slot = problem.slots().get(i);
      for (int c = 0; c < slot.candidates().size(); c++) {
        if (slot.pinned().isPresent() && slot.pinned().getAsInt() != c) {
          continue;
        }
        String node = i + ":" + c;
        graph.addVertex(node);
        RatedShape here = slot.candidates().get(c);
        if (i == 0) {
          graph.setEdgeWeight(graph.addEdge("start", node), here.cost());
        } else {
          for (int p = 0; p < problem.slots().get(i - 1).candidates().size(); p++) {
            String before = (i - 1) + ":" + p;
            if (graph.containsVertex(before)) {
              Shape from = problem.slots().get(i - 1).candidates().get(p).shape();
              double change = CHANGES.explain(from, here.shape(), slot.changeMillis()).value();
              graph.setEdgeWeight(graph.addEdge(before, node), change + here.cost());
            }
          }
        }
        if (i == n - 1) {
          graph.setEdgeWeight(graph.addEdge(node, "end"), 0);
        }
      }
    }
    return new DijkstraShortestPath<>(graph).getPathWeight("start", "end");
  }

  private static void allCosts(PlanProblem problem, int[] choice, int slot, List<Double> costs) {
    if (slot == choice.length) {
      costs.add(problem.cost(choice));
      return;
    }
    for (int c = 0; c < problem.slots().get(slot).candidates().size(); c++) {
      if (problem.slots().get(slot).allows(c)) {
        choice[slot] = c;
        allCosts(problem, choice, slot + 1, costs);
      }
    }
  }

  @Test
  void theBestPlansEqualBruteForceInOrder() {
    Random random = new Random(99);
    for (int song = 0; song < 120; song++) {
      PlanProblem problem = random(random, 1 + random.nextInt(4), 4, song % 3 == 0);
      List<Double> costs = new ArrayList<>();
      allCosts(problem, new int[problem.slots().size()], 0, costs);
      costs.sort(null);
      List<ShapePlan> best = PlanSolver.solve(problem).best(20);
      assertThat(best).hasSize(Math.min(20, costs.size()));
      for (int k = 0; k < best.size(); k++) {
        assertThat(best.get(k).cost())
            .as("song %d plan %d", song, k)
            .isCloseTo(costs.get(k), within(1e-9));
      }
    }
  }

  @Test
  void solvingAgainAfterAnEditGivesTheSamePlan() {
    Random random = new Random(5);
    for (int song = 0; song < 60; song++) {
      PlanProblem problem = random(random, 12, 12, false);
      ShapePlan before = PlanSolver.solve(problem);
      List<PlanSlot> edited = new ArrayList<>(problem.slots());
      int at = random.nextInt(12);
      switch (song % 3) {
        case 0 -> edited.remove(at);
        case 1 -> edited.add(at, random(random, 1, 12, false).slots().get(0));
        default -> edited.set(at, random(random, 1, 12, true).slots().get(0));
      }
      PlanProblem next = new PlanProblem(edited, CHANGES);
      ShapePlan again = PlanSolver.solve(next, before);
      ShapePlan fresh = PlanSolver.solve(next);
      assertThat(again.shapes()).isEqualTo(fresh.shapes());
      assertThat(again.cost()).isCloseTo(fresh.cost(), within(1e-9));
      for (int slot = 0; slot < edited.size(); slot++) {
        assertThat(again.alternatives(slot)).isEqualTo(fresh.alternatives(slot));
      }
    }
  }

  @Test
  void theExplanationAddsUpToTheCost() {
    PlanProblem problem = random(new Random(3), 12, 10, false);
    ShapePlan plan = PlanSolver.solve(problem);
    Cost cost = plan.explain((slot, shape) -> Cost.term("shape", plan.chosen(slot).cost()));
    assertThat(cost.value()).isCloseTo(plan.cost(), within(1e-9));
    assertThat(cost.parts()).hasSize(23);
  }

  @Test
  void knowsWhatEachAlternativeWouldCostTheWholeSong() {
    PlanProblem problem = random(new Random(11), 6, 8, false);
    ShapePlan plan = PlanSolver.solve(problem);
    for (int slot = 0; slot < 6; slot++) {
      for (ShapePlan.Alternative alternative : plan.alternatives(slot)) {
        int index = problem.slots().get(slot).candidates().indexOf(alternative.shape());
        List<PlanSlot> pinned = new ArrayList<>(problem.slots());
        PlanSlot old = pinned.get(slot);
        pinned.set(slot, new PlanSlot(old.candidates(), OptionalInt.of(index), old.changeMillis()));
        double cost = PlanSolver.solve(new PlanProblem(pinned, CHANGES)).cost();
        assertThat(alternative.extraCost()).isCloseTo(cost - plan.cost(), within(1e-9));
      }
    }
  }

  @Test
  void aFingerThatStaysCostsNothingAndAGuideLessThanAJump() {
    Shape em = Shape.of(new int[] {0, 2, 2, 0, 0, 0}, new int[] {0, 1, 2, 0, 0, 0});
    Shape guided = Shape.of(new int[] {0, 3, 3, 0, 0, 0}, new int[] {0, 1, 2, 0, 0, 0});
    Shape jumped = Shape.of(new int[] {0, 0, 3, 3, 0, 0}, new int[] {0, 0, 1, 2, 0, 0});
    double stay = CHANGES.explain(em, em, 300).value();
    double slide = CHANGES.explain(em, guided, 300).value();
    double jump = CHANGES.explain(em, jumped, 300).value();
    assertThat(stay).isZero();
    assertThat(slide).isPositive().isLessThan(jump);
  }

  /** The form of Fitts's law: each doubling of the way takes the same time more. */
  @Test
  void theTimeForAChangeGrowsWithTheDoublingsOfTheWay() {
    assertThat(CHANGES.millisNeeded(0, false)).isCloseTo(60, within(1e-9));
    assertThat(CHANGES.millisNeeded(10, false)).isCloseTo(150, within(1e-9));
    assertThat(CHANGES.millisNeeded(30, false)).isCloseTo(240, within(1e-9));
    assertThat(CHANGES.millisNeeded(30, true)).isCloseTo(120, within(1e-9));
  }

  @Test
  void hurryMakesAChangeDearer() {
    Shape c = Shape.of(new int[] {-1, 3, 2, 0, 1, 0}, new int[] {0, 3, 2, 0, 1, 0});
    Shape g = Shape.of(new int[] {3, 2, 0, 0, 0, 3}, new int[] {2, 1, 0, 0, 0, 3});
    assertThat(CHANGES.explain(c, g, 120).value())
        .isGreaterThan(CHANGES.explain(c, g, 900).value());
  }
}
