package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.theory.Pitch;

class MelodyViewModelTest {

  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
  private final MelodyViewModel desk = workspace.models().melody();

  @BeforeEach
  void opened() {
    workspace.open(Demo.song(), List.of());
    workspace.screenProperty().set(Screen.MELODY);
    workspace.chord().select(0);
  }

  private BarTune kept(int bar) {
    return workspace.song().tune().at(bar, workspace.song().chart());
  }

  private static Pitch first(BarTune tune) {
    return ((Want.Sound) tune.notes().get(0).wants().get(0)).pitch();
  }

  @Test
  void whatIsTypedIsDrawnAtOnceAndKeptWithTheNextStep() {
    int bar = desk.bar();
    desk.type("g4 . b d");
    assertThat(desk.shown(bar).notes()).hasSize(3);
    assertThat(kept(bar).isSilent()).isTrue();
    desk.step(1);
    assertThat(kept(bar).notes()).hasSize(3);
    assertThat(desk.bar()).isNotEqualTo(bar);
    desk.step(-1);
    assertThat(desk.textProperty().get()).isEqualTo("g4 . b d");
    assertThat(desk.boardProperty().get().entries()).hasSize(3);
  }

  @Test
  void whatCannotBeReadIsSaidWithItsPlaceAndTheRestStays() {
    desk.type("g4 q b d");
    assertThat(desk.troubleProperty().get()).startsWith("at sign 4: ");
    assertThat(desk.previewProperty().get().notes()).isNotEmpty();
    desk.type("g4 a b d");
    assertThat(desk.troubleProperty().get()).isEmpty();
  }

  @Test
  void aNoteWithoutOctaveGoesOnFromTheBarBefore() {
    desk.type("e5");
    desk.step(1);
    desk.type("d");
    assertThat(first(desk.previewProperty().get()).octave()).isEqualTo(5);
  }

  @Test
  void goingToAnotherChordKeepsWhatWasTyped() {
    int bar = desk.bar();
    desk.type("e5");
    workspace.chord().select(Integer.MAX_VALUE);
    assertThat(first(kept(bar)).octave()).isEqualTo(5);
    workspace.undo();
    assertThat(kept(bar).isSilent()).isTrue();
  }
}
