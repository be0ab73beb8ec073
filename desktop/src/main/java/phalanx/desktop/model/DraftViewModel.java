package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.desktop.background.PlanService;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.Manner;
import phalanx.performance.Performance;
import phalanx.practice.Excerpt;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;

/** Whole arrangements of the song to choose from: heard before one is taken, one step to undo. */
public final class DraftViewModel {

  /** So many bars are heard of a draft. */
  private static final int HEARD_BARS = 8;

  private static final int OFFERED = 3;

  private final OpenSong open;
  private final PlaybackController sound;
  private final PlanService planner;
  private final List<Manner> manners;
  private final ObjectProperty<Optional<Integer>> level =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Draft>> drafts = new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<Draft>> chosen =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyBooleanWrapper searching = new ReadOnlyBooleanWrapper();
  private final ReadOnlyBooleanWrapper searched = new ReadOnlyBooleanWrapper();

  /** The song that drafts were made of. */
  private Optional<Song> base = Optional.empty();

  DraftViewModel(
      OpenSong open, PlaybackController sound, PlanService planner, List<Manner> manners) {
    this.open = open;
    this.sound = sound;
    this.planner = planner;
    this.manners = List.copyOf(manners);
    open.historyProperty().addListener(o -> changed());
    level.addListener(o -> forget());
  }

  /** Drafts of a song that has changed would undo what came since. */
  private void changed() {
    if (!base.equals(Optional.of(open.song()))) {
      forget();
    }
  }

  private void forget() {
    planner.forgetDrafts();
    searching.set(false);
    searched.set(false);
    chosen.set(Optional.empty());
    drafts.set(List.of());
    base = Optional.empty();
  }

  /** How hard it is to be, 1 to 5; empty for any. */
  public ObjectProperty<Optional<Integer>> levelProperty() {
    return level;
  }

  /** Makes drafts. */
  public void search() {
    base = Optional.of(open.song());
    searching.set(true);
    OptionalDouble wanted =
        level.get().map(l -> OptionalDouble.of(l)).orElse(OptionalDouble.empty());
    planner.drafts(
        open.song(),
        new Drafts.Wish(wanted, manners, OFFERED),
        found -> {
          searching.set(false);
          searched.set(true);
          drafts.set(found);
        });
  }

  /** Whether drafts are being made. */
  public ReadOnlyBooleanProperty searchingProperty() {
    return searching.getReadOnlyProperty();
  }

  /** Whether they were made, though there may be none. */
  public ReadOnlyBooleanProperty searchedProperty() {
    return searched.getReadOnlyProperty();
  }

  /** The drafts, the best first. */
  public ReadOnlyObjectProperty<List<Draft>> draftsProperty() {
    return drafts.getReadOnlyProperty();
  }

  /** Lets the beginning of one be heard; it can be taken then. */
  public void hear(Draft draft) {
    chosen.set(Optional.of(draft));
    List<PlayedBar> bars = draft.arrangement().timeline().bars();
    int end = bars.get(Math.min(bars.size(), HEARD_BARS) - 1).endTick();
    sound.hear(() -> Performance.of(Excerpt.of(draft.arrangement(), 0, end)));
  }

  /** The one that was heard last. */
  public ReadOnlyObjectProperty<Optional<Draft>> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  /** Takes it, unless the song has changed since. */
  public void take() {
    chosen
        .get()
        .filter(d -> base.equals(Optional.of(open.song())))
        .ifPresent(d -> open.edit(s -> d.song()));
  }
}
