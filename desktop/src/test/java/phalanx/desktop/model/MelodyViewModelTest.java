package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.song.Song;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

class MelodyViewModelTest {

  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
  private final MelodyViewModel model = workspace.models().melody();

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

  /** A second chord on beat 3 of a bar. */
  private static Song twoChords(Song song, int bar) {
    return song.withChart(
        song.chart()
            .mapBars(
                b ->
                    b.id() != bar
                        ? b
                        : b.withChanges(
                            List.of(
                                b.changes().get(0),
                                new ChordChange(
                                    2 * Meter.FOUR_FOUR.beatTicks(),
                                    song.chart().bars().get(1).changes().get(0).harmony())))));
  }

  @Test
  void whatIsTypedIsDrawnAtOnceAndKeptWithTheNextStep() {
    int bar = model.bar();
    model.type("g4 . b d");
    assertThat(model.shown(bar).notes()).hasSize(3);
    assertThat(kept(bar).isSilent()).isTrue();
    model.step(1);
    assertThat(kept(bar).notes()).hasSize(3);
    assertThat(model.bar()).isNotEqualTo(bar);
    model.step(-1);
    assertThat(model.textProperty().get()).isEqualTo("g4 . b d");
    assertThat(model.boardProperty().get().entries()).hasSize(3);
  }

  @Test
  void whatCannotBeReadIsSaidWithItsPlaceAndTheRestStays() {
    model.type("g4 q b d");
    assertThat(model.troubleProperty().get()).startsWith("at sign 4: ");
    assertThat(model.previewProperty().get().notes()).isNotEmpty();
    model.type("g4 a b d");
    assertThat(model.troubleProperty().get()).isEmpty();
  }

  @Test
  void aNoteWithoutOctaveGoesOnFromTheBarBefore() {
    model.type("e5");
    model.step(1);
    model.type("d");
    assertThat(first(model.previewProperty().get()).octave()).isEqualTo(5);
  }

  @Test
  void goingToAnotherChordKeepsWhatWasTyped() {
    int bar = model.bar();
    model.type("e5");
    workspace.chord().select(Integer.MAX_VALUE);
    assertThat(first(kept(bar)).octave()).isEqualTo(5);
    workspace.undo();
    assertThat(kept(bar).isSilent()).isTrue();
  }

  @Test
  void whatIsBeingTypedStaysWhileSomethingElseOfTheSongChanges() {
    int bar = model.bar();
    model.type("a4 . ");
    workspace.edit(song -> song.withTitle("Another name"));
    assertThat(model.textProperty().get()).isEqualTo("a4 . ");
    assertThat(first(model.previewProperty().get()).octave()).isEqualTo(4);
    model.type("a4 . f#");
    workspace.undo();
    model.step(1);
    assertThat(kept(bar).notes()).hasSize(2);
  }

  @Test
  void whatCannotBeReadYetStaysToo() {
    model.type("q");
    workspace.edit(song -> song.withTitle("Another name"));
    assertThat(model.textProperty().get()).isEqualTo("q");
    assertThat(model.troubleProperty().get()).startsWith("at sign 1: ");
  }

  @Test
  void aBarThatChangesUnderWhatIsTypedIsShownAsItIsNow() {
    int bar = model.bar();
    model.type("g4 . b d");
    model.keep();
    model.type("g4 . b ");
    workspace.undo();
    assertThat(model.textProperty().get()).isEmpty();
    assertThat(kept(bar).isSilent()).isTrue();
  }

  @Test
  void anotherChordOfTheSameBarLeavesWhatIsTyped() {
    int bar = model.bar();
    workspace.edit(song -> twoChords(song, bar));
    workspace.chord().select(0);
    model.type("a4 . ");
    workspace.chord().select(1);
    assertThat(model.bar()).isEqualTo(bar);
    assertThat(model.textProperty().get()).isEqualTo("a4 . ");
    assertThat(kept(bar).isSilent()).isTrue();
  }

  @Test
  void aPlanWithMoreChordsBeforeTheBarDoesNotBreakInOnTheTyping() {
    int first = model.bar();
    model.step(1);
    int bar = model.bar();
    model.type("a4 . ");
    workspace.edit(song -> twoChords(song, first));
    assertThat(model.bar()).isEqualTo(bar);
    assertThat(model.textProperty().get()).isEqualTo("a4 . ");
    assertThat(kept(bar).isSilent()).isTrue();
  }

  /**
   * The bars of two songs have the same numbers; what is typed for one is not put into the other.
   */
  @Test
  void whatIsTypedForOneSongIsNotForTheNext() {
    int bar = model.bar();
    model.type("g4 . b ");
    workspace.open(Demo.song().withTitle("Another"), List.of());
    assertThat(model.textProperty().get()).isEmpty();
    model.keep();
    model.step(1);
    assertThat(kept(bar).isSilent()).isTrue();
    assertThat(workspace.song().tune().isEmpty()).isTrue();
  }
}
