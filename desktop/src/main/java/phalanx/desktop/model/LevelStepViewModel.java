package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.arrangement.Slot;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.draft.LevelStep;
import phalanx.song.Song;

/** The selected bars easier or fuller, a step at a time; each step is one to undo. */
public final class LevelStepViewModel {

  private final OpenSong open;
  private final SlotRange range;
  private final PlanService planner;
  private final ReadOnlyStringWrapper words = new ReadOnlyStringWrapper("");
  private final ReadOnlyBooleanWrapper searching = new ReadOnlyBooleanWrapper();

  /** The song that the last step made. */
  private Optional<Song> made = Optional.empty();

  LevelStepViewModel(OpenSong open, SlotRange range, PlanService planner) {
    this.open = open;
    this.range = range;
    this.planner = planner;
    open.historyProperty().addListener(o -> changed());
  }

  /** What was said of a step does not hold for another song. */
  private void changed() {
    if (!made.equals(Optional.of(open.song()))) {
      planner.forgetSteps();
      searching.set(false);
      words.set("");
    }
  }

  /** Takes the next step. */
  public void step(boolean easier) {
    List<Integer> bars = new ArrayList<>();
    for (Slot slot : range.slots()) {
      int bar = slot.played().ref().bar();
      if (!bars.contains(bar)) {
        bars.add(bar);
      }
    }
    if (bars.isEmpty()) {
      return;
    }
    Song song = open.song();
    searching.set(true);
    words.set("");
    planner.levelStep(song, bars, easier, found -> take(song, easier, found));
  }

  private void take(Song of, boolean easier, Optional<LevelStep> found) {
    searching.set(false);
    if (!open.song().equals(of)) {
      return;
    }
    if (found.isEmpty()) {
      words.set(
          easier
              ? Texts.of("levelStepViewModel.nothingHereMakesIt")
              : Texts.of("levelStepViewModel.nothingHereMakesIt2"));
      return;
    }
    LevelStep step = found.get();
    made = Optional.of(step.song());
    open.edit(s -> step.song());
    words.set(
        Texts.of("levelStepViewModel.levelHereWas", step.words(), step.after(), step.before()));
  }

  /** What the last step did, or that there is none. */
  public ReadOnlyStringProperty wordsProperty() {
    return words.getReadOnlyProperty();
  }

  /** Whether a step is being looked for. */
  public ReadOnlyBooleanProperty searchingProperty() {
    return searching.getReadOnlyProperty();
  }
}
