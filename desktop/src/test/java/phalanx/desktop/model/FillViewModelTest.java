package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.Executor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import phalanx.advice.FillTry;
import phalanx.arrangement.board.ShapeFilter.Position;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillMaker;
import phalanx.embellishment.PairWalk;
import phalanx.formats.fills.FillShelf;
import phalanx.song.ChartEdits;
import phalanx.song.Song;

/** The shelf of fills and the walks, tried in the bar that is selected. */
class FillViewModelTest {

  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
  private final FillViewModel model =
      new FillViewModel(
          workspace,
          workspace.chord(),
          workspace.range(),
          workspace.models().sound(),
          new PlanService(Runnable::run, Runnable::run, Runnable::run),
          FillShelf.all().subList(0, 8));

  @BeforeEach
  void opened() {
    workspace.open(Demo.song(), List.of());
    workspace.chord().select(0);
  }

  private Fill first() {
    return FillShelf.all().get(0);
  }

  @Test
  void nothingIsTriedUntilSomebodyLooks() {
    assertThat(model.tried(first())).isEmpty();
    model.lookedProperty().set(true);
    assertThat(model.shown()).hasSize(8).allMatch(f -> model.tried(f).isPresent());
    assertThat(model.looked()).isEmpty();
  }

  @Test
  void theChosenOneIsPlannedWithTheWholeSongAndPutIn() {
    model.lookedProperty().set(true);
    model.chosenProperty().set(Optional.of(first()));
    FillTry looked = model.looked().orElseThrow();
    assertThat(looked.fits()).isTrue();
    Song before = workspace.song();
    assertThat(looked.fitted().orElseThrow().song().chart()).isEqualTo(before.chart());
    model.put();
    int bar = workspace.chord().bar().orElseThrow().id();
    assertThat(workspace.song().tune().at(bar, before.chart()).notes()).hasSize(4);
    workspace.undo();
    assertThat(workspace.song()).isEqualTo(before);
  }

  /** While the plan of an edit, or of another song, is awaited, the old answer stands no more. */
  @Test
  void whatWasTriedInAnotherSongIsNotPutOverThisOne() {
    Held planning = new Held();
    Workspace later = new Workspace(new PlanService(planning, Runnable::run, Runnable::run));
    later.open(Demo.song(), List.of());
    planning.run();
    later.chord().select(0);
    FillViewModel fills =
        new FillViewModel(
            later,
            later.chord(),
            later.range(),
            later.models().sound(),
            new PlanService(Runnable::run, Runnable::run, Runnable::run),
            FillShelf.all().subList(0, 8));
    WalkViewModel walks = later.models().walks();
    fills.lookedProperty().set(true);
    fills.chosenProperty().set(Optional.of(first()));
    walks.kindProperty().set(Optional.of(PairWalk.SIXTHS));
    planning.run();
    assertThat(fills.looked()).isPresent();
    assertThat(walks.answerProperty().get().run()).isPresent();
    later.edit(song -> song.withTempo(song.tempo() + 7));
    Song edited = later.song();
    fills.put();
    walks.put();
    assertThat(fills.looked()).isEmpty();
    assertThat(later.song()).isEqualTo(edited);
    Song other = Song.untitled();
    later.open(other, List.of());
    fills.put();
    walks.put();
    assertThat(later.song()).isEqualTo(other);
  }

  @Test
  void aHarpRunIsNotPutIntoABarThatIsGone() {
    Held planning = new Held();
    Workspace later = new Workspace(new PlanService(planning, Runnable::run, Runnable::run));
    later.open(Demo.song(), List.of());
    planning.run();
    later.screenProperty().set(Screen.SHAPES);
    later.chord().select(0);
    HarpRunViewModel runs = later.models().harp();
    assertThat(runs.looked()).isPresent();
    int bar = later.chord().bar().orElseThrow().id();
    later.edit(song -> song.withChart(ChartEdits.delete(song.chart(), List.of(bar))));
    Song edited = later.song();
    runs.put();
    assertThat(later.song()).isEqualTo(edited);
  }

  /** Work that is done when the test says so. */
  private static final class Held implements Executor {

    private final Queue<Runnable> waiting = new ArrayDeque<>();

    @Override
    public void execute(Runnable work) {
      waiting.add(work);
    }

    private void run() {
      while (!waiting.isEmpty()) {
        waiting.remove().run();
      }
    }
  }

  @Test
  void theShelfIsSearchedByLengthPlaceAndFit() {
    model.lookedProperty().set(true);
    model.beatsProperty().set(Optional.of(1));
    assertThat(model.shown()).allMatch(f -> f.beats() == 1);
    model.beatsProperty().set(Optional.empty());
    int all = 0;
    for (Position position : List.of(Position.LOW, Position.MIDDLE, Position.HIGH)) {
      model.positionProperty().set(position);
      assertThat(model.shown())
          .allMatch(
              f -> position.has(model.tried(f).orElseThrow().fitted().orElseThrow().position()));
      all += model.shown().size();
    }
    assertThat(all).isEqualTo(8);
    model.positionProperty().set(Position.ANY);
    model.fittingOnlyProperty().set(true);
    assertThat(model.shown()).allMatch(f -> model.tried(f).orElseThrow().fits());
  }

  @Test
  void colourAndEndingAreTriedAnew() {
    model.lookedProperty().set(true);
    model.chosenProperty().set(Optional.of(first()));
    model.switchColour();
    assertThat(model.looked().orElseThrow().colour()).isEqualTo(Fill.Colour.BLUESY);
    model.switchColour();
    assertThat(model.looked().orElseThrow().colour()).isEqualTo(Fill.Colour.MAJOR);
    model.endingProperty().set(Ending.BRUSH);
    assertThat(model.looked().orElseThrow().fitted().orElseThrow().allNotes())
        .anyMatch(n -> n.isBrushed());
  }

  /** A bar put in from the shelf and saved comes back as the same fill. */
  @Test
  void aBarIsMadeAFillOfOnesOwn() {
    assertThat(model.make("Mine").fill()).isEmpty();
    model.lookedProperty().set(true);
    model.chosenProperty().set(Optional.of(first()));
    model.put();
    FillMaker.Result made = model.make("Mine");
    Fill mine = made.fill().orElseThrow();
    assertThat(mine.degrees(Fill.Colour.MAJOR).stream().map(d -> Math.floorMod(d, 12)))
        .containsExactlyElementsOf(
            first().degrees(Fill.Colour.MAJOR).stream().map(d -> Math.floorMod(d, 12)).toList());
    model.ownProperty().set(List.of(mine));
    assertThat(model.isOwn(mine)).isTrue();
    assertThat(model.shown().get(0)).isEqualTo(mine);
    assertThat(model.tried(mine)).isPresent();
  }

  @Test
  void aWalkLeadsToTheNextChordAndIsPutInOnce() {
    WalkViewModel walks = workspace.models().walks();
    assertThat(walks.answerProperty().get().known()).isFalse();
    assertThat(walks.target().orElseThrow().ascii())
        .isEqualTo(
            workspace
                .arrangementProperty()
                .get()
                .slots()
                .get(1)
                .played()
                .harmony()
                .label(workspace.viewing().namingProperty().get()));
    walks.kindProperty().set(Optional.of(PairWalk.SIXTHS));
    assertThat(walks.answerProperty().get().run()).isPresent();
    walks.put();
    assertThat(walks.kindProperty().get()).isEmpty();
    int bar = workspace.chord().bar().orElseThrow().id();
    assertThat(workspace.song().tune().at(bar, workspace.song().chart()).notes())
        .hasSizeBetween(2, 4)
        .allMatch(n -> n.wants().size() == 2);
    workspace.chord().select(workspace.arrangementProperty().get().slots().size() - 1);
    assertThat(walks.target()).isEmpty();
  }

  @Test
  void stringsAreStoppedAtTheSelectedChord() {
    workspace.chord().select(2);
    DampPins damps = workspace.damps();
    damps.toggleAll();
    assertThat(damps.wanted()).hasSize(6);
    assertThat(workspace.arrangementProperty().get().damps())
        .anyMatch(d -> d.strings().size() > 2 && d.by().word().equals("heel"));
    damps.toggle(3);
    assertThat(damps.wanted()).containsExactly(0, 1, 2, 4, 5);
    damps.toggleAll();
    damps.toggleAll();
    assertThat(damps.wanted()).isEmpty();
    assertThat(workspace.song().pins().damps()).isEmpty();
  }
}
