package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.background.PlannedSong;
import phalanx.findings.Review;
import phalanx.fretting.Shape;
import phalanx.song.Song;

class WorkspaceTest {

  private final Queue<Runnable> waiting = new ArrayDeque<>();

  private Workspace opened() {
    Workspace workspace =
        new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
    workspace.open(Demo.song(), List.of());
    return workspace;
  }

  @Test
  void aPinIsPlannedUndoneAndRedone() {
    Workspace workspace = opened();
    workspace.chord().select(3);
    Shape held = workspace.chord().slot().orElseThrow().shape().orElseThrow();
    Shape other =
        ShapeChoice.of(workspace.arrangementProperty().get(), 3, 5).stream()
            .filter(c -> !c.chosen())
            .findFirst()
            .orElseThrow()
            .shape();
    workspace.pins().pin(other);
    assertThat(workspace.chord().slot().orElseThrow().shape()).contains(other);
    workspace.undo();
    assertThat(workspace.chord().slot().orElseThrow().shape()).contains(held);
    workspace.redo();
    assertThat(workspace.chord().slot().orElseThrow().shape()).contains(other);
    workspace.pins().toggle();
    assertThat(workspace.song().pins().shapes()).isEmpty();
  }

  @Test
  void selectionStaysInsideTheSong() {
    Workspace workspace = opened();
    workspace.chord().select(-3);
    assertThat(workspace.chord().placeProperty().get()).isZero();
    workspace.chord().select(Integer.MAX_VALUE);
    int last = workspace.arrangementProperty().get().slots().size() - 1;
    assertThat(workspace.chord().placeProperty().get()).isEqualTo(last);
  }

  @Test
  void onlyTheNewestQuestionIsAnswered() {
    PlanService service = new PlanService(waiting::add, waiting::add, Runnable::run);
    List<PlannedSong> answers = new ArrayList<>();
    Song song = Demo.song();
    service.plan(song, answers::add, WorkspaceTest::unexpected);
    service.plan(song.withTempo(120), answers::add, WorkspaceTest::unexpected);
    while (!waiting.isEmpty()) {
      waiting.remove().run();
    }
    assertThat(answers).extracting(a -> a.arrangement().song().tempo()).containsExactly(120.0);
  }

  @Test
  void anAnswerOvertakenWhileItWasMadeIsDropped() {
    Queue<Runnable> toInterface = new ArrayDeque<>();
    PlanService service = new PlanService(Runnable::run, Runnable::run, toInterface::add);
    List<PlannedSong> answers = new ArrayList<>();
    service.plan(Demo.song(), answers::add, WorkspaceTest::unexpected);
    service.plan(Demo.song().withTempo(70), answers::add, WorkspaceTest::unexpected);
    toInterface.forEach(Runnable::run);
    assertThat(answers).extracting(a -> a.arrangement().song().tempo()).containsExactly(70.0);
  }

  private static void unexpected(Throwable fault) {
    throw new AssertionError(fault);
  }

  @Test
  void aFaultWhilePlanningIsToldInsteadOfAnAnswer() {
    PlanService service = new PlanService(Runnable::run, Runnable::run, Runnable::run);
    List<Throwable> faults = new ArrayList<>();
    List<PlannedSong> answers = new ArrayList<>();
    service.plan(null, answers::add, faults::add);
    assertThat(answers).isEmpty();
    assertThat(faults).hasSize(1);
  }

  /** A fault is a notice for the player that says where it is noted. */
  @Test
  void aFaultOfTheProgramsOwnIsANotice() {
    Workspace workspace =
        new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
    workspace.faults().logLiesAt(Path.of("player", "phalanx.log"));
    workspace.faults().tell("The hard spots could not be found", new IllegalStateException("x"));
    workspace.faults().tell("The hard spots could not be found", new IllegalStateException("x"));
    assertThat(workspace.problems())
        .containsExactly(
            "The hard spots could not be found: a fault of Phalanx’s own. Your song is as it was."
                + " What went wrong is noted in player/phalanx.log.");
  }

  /** Whoever is told of a new plan finds its time and its findings to be of the same song. */
  @Test
  void planTimeAndFindingsAreAlwaysOfOneSong() {
    Workspace workspace = opened();
    List<String> seen = new ArrayList<>();
    Runnable look =
        () -> {
          Song planned = workspace.arrangementProperty().get().song();
          assertThat(workspace.performanceProperty().get().arrangement())
              .isSameAs(workspace.arrangementProperty().get());
          workspace
              .reviewProperty()
              .get()
              .ifPresent(
                  r ->
                      assertThat(r.ceiling())
                          .isEqualTo(Review.of(workspace.performanceProperty().get()).ceiling()));
          seen.add(planned.title());
        };
    workspace.performanceProperty().addListener(o -> look.run());
    workspace.arrangementProperty().addListener(o -> look.run());
    workspace.reviewProperty().addListener(o -> look.run());
    workspace.edit(s -> s.withTitle("Edited").withTempo(77));
    workspace.open(Song.untitled(), List.of());
    workspace.open(Demo.song(), List.of());
    assertThat(seen).contains("Edited", "Untitled", "Harbour Lamp");
  }
}
