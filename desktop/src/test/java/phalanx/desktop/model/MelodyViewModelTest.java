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

  @Test
  void whatIsBeingTypedStaysWhileSomethingElseOfTheSongChanges() {
    int bar = desk.bar();
    desk.type("a4 . ");
    workspace.edit(song -> song.withTitle("Another name"));
    assertThat(desk.textProperty().get()).isEqualTo("a4 . ");
    assertThat(first(desk.previewProperty().get()).octave()).isEqualTo(4);
    desk.type("a4 . f#");
    workspace.undo();
    desk.step(1);
    assertThat(kept(bar).notes()).hasSize(2);
  }

  @Test
  void whatCannotBeReadYetStaysToo() {
    desk.type("q");
    workspace.edit(song -> song.withTitle("Another name"));
    assertThat(desk.textProperty().get()).isEqualTo("q");
    assertThat(desk.troubleProperty().get()).startsWith("at sign 1: ");
  }

  @Test
  void aBarThatChangesUnderWhatIsTypedIsShownAsItIsNow() {
    int bar = desk.bar();
    desk.type("g4 . b d");
    desk.keep();
    desk.type("g4 . b ");
    workspace.undo();
    assertThat(desk.textProperty().get()).isEmpty();
    assertThat(kept(bar).isSilent()).isTrue();
  }

  @Test
  void anotherChordOfTheSameBarLeavesWhatIsTyped() {
    int bar = desk.bar();
    workspace.edit(song -> twoChords(song, bar));
    workspace.chord().select(0);
    desk.type("a4 . ");
    workspace.chord().select(1);
    assertThat(desk.bar()).isEqualTo(bar);
    assertThat(desk.textProperty().get()).isEqualTo("a4 . ");
    assertThat(kept(bar).isSilent()).isTrue();
  }

  @Test
  void aPlanWithMoreChordsBeforeTheBarDoesNotBreakInOnTheTyping() {
    int first = desk.bar();
    desk.step(1);
    int bar = desk.bar();
    desk.type("a4 . ");
    workspace.edit(song -> twoChords(song, first));
    assertThat(desk.bar()).isEqualTo(bar);
    assertThat(desk.textProperty().get()).isEqualTo("a4 . ");
    assertThat(kept(bar).isSilent()).isTrue();
  }

  /**
   * The bars of two songs have the same numbers; what is typed for one is not put into the other.
   */
  @Test
  void whatIsTypedForOneSongIsNotForTheNext() {
    int bar = desk.bar();
    desk.type("g4 . b ");
    workspace.open(Demo.song().withTitle("Another"), List.of());
    assertThat(desk.textProperty().get()).isEmpty();
    desk.keep();
    desk.step(1);
    assertThat(kept(bar).isSilent()).isTrue();
    assertThat(workspace.song().tune().isEmpty()).isTrue();
  }
}
