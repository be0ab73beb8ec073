package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.theory.Meter.FOUR_FOUR;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.background.PlannedSong;
import phalanx.findings.Review;
import phalanx.fretting.Shape;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Tune;

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
    runAll();
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

  /** Thirty bars of a tune: long enough that a player would wait for its plan. */
  private static Song longSong() {
    Song demo = Demo.song();
    List<Bar> some = demo.sections().get(1).bars();
    List<Bar> bars = new ArrayList<>();
    Map<Integer, BarTune> tunes = new HashMap<>();
    for (int b = 0; b < 30; b++) {
      bars.add(some.get(b % some.size()).withId(b + 2));
      tunes.put(b + 2, TuneReader.read(b % 2 == 0 ? "g4 a b c5" : "d5 b4 a g", FOUR_FOUR).tune());
    }
    return demo.withChart(new Chart(List.of(Section.of(1, "", bars))))
        .withPins(Pins.NONE)
        .withTune(new Tune(tunes, true));
  }

  @Test
  void aLongSongIsSeenBeforeItsTuneIsFitted() {
    Queue<Runnable> toInterface = new ArrayDeque<>();
    Workspace workspace =
        new Workspace(new PlanService(Runnable::run, Runnable::run, toInterface::add));
    workspace.open(longSong(), List.of());
    List<Song> used = new ArrayList<>();
    workspace.whenPlanned(
        p -> used.add(p.arrangement().song()), () -> unexpected(new AssertionError("no plan")));
    toInterface.remove().run();
    assertThat(workspace.arrangementProperty().get().song()).isEqualTo(workspace.song());
    assertThat(workspace.arrangementProperty().get().slots()).allMatch(s -> s.shape().isPresent());
    assertThat(workspace.reviewProperty().get()).isEmpty();
    assertThat(workspace.planningProperty().get()).isTrue();
    assertThat(used).isEmpty();
    workspace.chord().select(7);
    toInterface.remove().run();
    assertThat(toInterface).isEmpty();
    assertThat(workspace.planningProperty().get()).isFalse();
    assertThat(workspace.reviewProperty().get()).isPresent();
    assertThat(workspace.chord().placeProperty().get()).isEqualTo(7);
    assertThat(used).containsExactly(workspace.song());
  }

  /** What stood on its way when another song was opened is not shown in it. */
  @Test
  void aFirstPictureOfTheSongBeforeIsDropped() {
    Queue<Runnable> toInterface = new ArrayDeque<>();
    Workspace workspace =
        new Workspace(new PlanService(Runnable::run, Runnable::run, toInterface::add));
    workspace.open(longSong(), List.of());
    workspace.open(Demo.song(), List.of());
    while (!toInterface.isEmpty()) {
      toInterface.remove().run();
      Arrangement shown = workspace.arrangementProperty().get();
      assertThat(shown == null || shown.song().equals(Demo.song())).isTrue();
    }
    assertThat(workspace.arrangementProperty().get().song()).isEqualTo(Demo.song());
  }

  /** What is written to a file waits for the last edit, and never goes into another song's file. */
  @Test
  void aPlanThatIsTakenAwayIsOfTheSongAsItStands() {
    Workspace workspace = new Workspace(new PlanService(waiting::add, waiting::add, Runnable::run));
    workspace.open(Demo.song(), List.of());
    List<Double> used = new ArrayList<>();
    List<String> lost = new ArrayList<>();
    workspace.whenPlanned(p -> used.add(p.arrangement().song().tempo()), () -> lost.add("first"));
    workspace.edit(s -> s.withTempo(71));
    runAll();
    assertThat(used).containsExactly(71.0);
    workspace.whenPlanned(p -> used.add(p.arrangement().song().tempo()), () -> lost.add("second"));
    assertThat(used).containsExactly(71.0, 71.0);
    workspace.edit(s -> s.withTempo(72));
    workspace.whenPlanned(p -> used.add(p.arrangement().song().tempo()), () -> lost.add("third"));
    workspace.open(Demo.song(), List.of());
    runAll();
    assertThat(used).containsExactly(71.0, 71.0);
    assertThat(lost).containsExactly("third");
  }

  private void runAll() {
    while (!waiting.isEmpty()) {
      waiting.remove().run();
    }
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
