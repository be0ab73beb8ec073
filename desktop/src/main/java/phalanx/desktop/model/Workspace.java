package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.song.History;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/**
 * The open song with its history, the newest plan of it, and the selected slot. All of it is read
 * and changed on the interface's thread; the planning itself happens elsewhere.
 */
public final class Workspace {

  private final PlanService planner;
  private final ReadOnlyObjectWrapper<History<Song>> history = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Arrangement> arrangement = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyBooleanWrapper planning = new ReadOnlyBooleanWrapper();
  private final IntegerProperty selected = new SimpleIntegerProperty();
  private final ObservableList<String> problems = FXCollections.observableArrayList();

  public Workspace(PlanService planner) {
    this.planner = planner;
    history.set(History.of(Song.untitled()));
  }

  /** Opens a song, forgetting the one before and its history. */
  public void open(Song song, List<String> openProblems) {
    selected.set(0);
    problems.setAll(openProblems);
    history.set(History.of(song));
    plan();
  }

  /** Changes the song; can be undone. */
  public void edit(UnaryOperator<Song> change) {
    become(history.get().edit(change));
  }

  /** Takes the last change back. */
  public void undo() {
    become(history.get().undo());
  }

  /** Makes the change last taken back again. */
  public void redo() {
    become(history.get().redo());
  }

  private void become(History<Song> next) {
    if (next != history.get()) {
      history.set(next);
      plan();
    }
  }

  private void plan() {
    planning.set(true);
    planner.plan(
        history.get().present(),
        done -> {
          arrangement.set(done);
          planning.set(false);
          select(selected.get());
        },
        fault -> {
          planning.set(false);
          problems.add("This song could not be planned; undo the last change. (" + fault + ")");
        });
  }

  /** Pins a shape where the selected chord is written. */
  public void pin(Shape shape) {
    selectedSlot().ifPresent(slot -> edit(song -> song.pin(slot.played().ref(), shape)));
  }

  /** Takes the selected slot's pin away, or pins the shape it holds if it has none. */
  public void togglePin() {
    selectedSlot()
        .ifPresent(
            slot -> {
              SlotRef ref = slot.played().ref();
              if (slot.pinned()) {
                edit(song -> song.unpin(ref));
              } else {
                slot.shape().ifPresent(this::pin);
              }
            });
  }

  /** Selects a slot by its place in the song, as near as the song allows. */
  public void select(int slot) {
    int last = arrangement.get() == null ? 0 : arrangement.get().slots().size() - 1;
    selected.set(Math.max(0, Math.min(slot, last)));
  }

  /** The selected slot, once a plan is there. */
  public Optional<Slot> selectedSlot() {
    return Optional.ofNullable(arrangement.get())
        .filter(a -> selected.get() < a.slots().size())
        .map(a -> a.slots().get(selected.get()));
  }

  /** The song and its past and undone states. */
  public ReadOnlyObjectProperty<History<Song>> historyProperty() {
    return history.getReadOnlyProperty();
  }

  /** The song now. */
  public Song song() {
    return history.get().present();
  }

  /** The newest plan; null until the first is ready. */
  public ReadOnlyObjectProperty<Arrangement> arrangementProperty() {
    return arrangement.getReadOnlyProperty();
  }

  /** Whether a newer plan is being made. */
  public ReadOnlyBooleanProperty planningProperty() {
    return planning.getReadOnlyProperty();
  }

  /** The selected slot's place in the song, from 0. */
  public IntegerProperty selectedProperty() {
    return selected;
  }

  /** What could not be read of the open file, each with its place. */
  public ObservableList<String> problems() {
    return problems;
  }
}
