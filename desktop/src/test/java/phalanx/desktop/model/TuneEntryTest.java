package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.instrument.HarmonicNode;
import phalanx.melody.BarTune;

class TuneEntryTest {

  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
  private final MelodyViewModel model = workspace.models().melody();
  private final TuneEntry entry = model.entry();

  @BeforeEach
  void opened() {
    workspace.open(Demo.song(), List.of());
    workspace.screenProperty().set(Screen.MELODY);
    workspace.chord().select(0);
  }

  private BarTune kept(int bar) {
    return workspace.song().tune().at(bar, workspace.song().chart());
  }

  @Test
  void touchesFollowEachOtherAndGoOnInTheNextBar() {
    int first = model.bar();
    entry.touch(5, 3, false);
    entry.touch(5, 0, false);
    assertThat(model.textProperty().get()).isEqualTo("g4@1 e@1 - .");
    assertThat(entry.caretProperty().get()).isEqualTo(10080);
    entry.partProperty().set(2);
    entry.touch(4, 3, false);
    assertThat(model.bar()).isNotEqualTo(first);
    assertThat(entry.caretProperty().get()).isZero();
    assertThat(kept(first).notes())
        .extracting(n -> n.lengthTicks())
        .containsExactly(5040, 5040, 10080);
    workspace.undo();
    assertThat(kept(first).notes()).hasSize(2);
  }

  @Test
  void aNoteIsAddedToTheOneBeforeARestIsLeftAndBackTakesAway() {
    int bar = model.bar();
    entry.touch(5, 3, false);
    entry.touch(4, 3, true);
    assertThat(model.textProperty().get()).isEqualTo("g4@1+d@2 - . .");
    entry.rest();
    entry.dottedProperty().set(true);
    entry.touch(5, 0, false);
    assertThat(kept(bar).notes()).extracting(n -> n.tick()).containsExactly(0, 10080);
    assertThat(kept(bar).notes().get(1).lengthTicks()).isEqualTo(7560);
    entry.back();
    entry.back();
    assertThat(kept(bar).notes()).isEmpty();
    assertThat(entry.caretProperty().get()).isZero();
  }

  @Test
  void aNoteThatIsThereGetsAnotherPitchAndKeepsItsLength() {
    model.type("g4 . . ^a");
    model.keep();
    entry.goTo(15000);
    assertThat(entry.caretProperty().get()).isEqualTo(15120);
    entry.touch(5, 7, false);
    workspace.chord().select(0);
    assertThat(model.textProperty().get()).isEqualTo("g4 . . ^b@1");
    entry.goTo(100);
    entry.touch(5, 0, false);
    assertThat(model.textProperty().get()).isEqualTo("e4@1 . . ^b4@1");
  }

  @Test
  void aHarmonicIsPutInByItsNode() {
    HarmonicNode seventh =
        HarmonicNode.all(workspace.song().guitar()).stream()
            .filter(n -> n.string() == 5 && n.harmonic() == 3)
            .findFirst()
            .orElseThrow();
    entry.touch(seventh);
    assertThat(model.textProperty().get()).isEqualTo("b5@1(h7) - . .");
    entry.goTo(0);
    entry.touch(5, 3, false);
    assertThat(model.textProperty().get()).isEqualTo("g4@1 - . .");
  }

  @Test
  void theNeckShowsWhatIsInReachAtTheTimeOfTheNextNote() {
    assertThat(entry.placesProperty().get().shape())
        .isEqualTo(workspace.chord().slot().orElseThrow().shape());
    assertThat(entry.placesProperty().get().places()).isNotEmpty();
  }
}
