package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;

/** The note of the plan that the player has chosen, and what can be done with it. */
public final class NoteChoice {

  private final Workspace workspace;
  private final ReadOnlyObjectWrapper<Optional<Note>> note =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  NoteChoice(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The chosen note, if one is. */
  public ReadOnlyObjectProperty<Optional<Note>> property() {
    return note.getReadOnlyProperty();
  }

  /** Chooses a note, or none. */
  public void choose(Optional<Note> chosen) {
    note.set(chosen);
  }

  /** The chosen note's stroke in a new plan, on whatever string it is now. */
  void settle(Arrangement plan) {
    note.set(
        note.get()
            .flatMap(
                old ->
                    plan.notesFrom(old.tick(), old.tick() + 1).stream()
                        .filter(n -> n.ref().equals(old.ref()))
                        .findFirst()));
  }

  /** Chooses the note played next (1) or before (-1). */
  public void step(int direction) {
    Arrangement plan = workspace.arrangementProperty().get();
    if (plan == null || plan.notes().isEmpty()) {
      return;
    }
    List<Note> notes = plan.notes();
    int slotTick = workspace.selectedSlot().map(s -> s.played().tick()).orElse(0);
    int first = notes.size() - plan.notesFrom(slotTick, Integer.MAX_VALUE).size();
    int at = note.get().map(n -> notes.indexOf(n) + direction).orElse(first);
    Note next = notes.get(Math.max(0, Math.min(notes.size() - 1, at)));
    note.set(Optional.of(next));
    workspace.select(plan.slotsFrom(0, next.tick() + 1).size() - 1);
  }

  /** Pins the chosen note to the next string that sounds, up (1) or down (-1). */
  public void move(int direction) {
    Optional<Shape> shape = workspace.selectedSlot().flatMap(Slot::shape);
    if (note.get().isEmpty() || shape.isEmpty()) {
      return;
    }
    Note moved = note.get().get();
    int string = moved.string() + direction;
    while (string >= 0 && string < Tuning.STRINGS && !shape.get().sounds(string)) {
      string += direction;
    }
    if (string >= 0 && string < Tuning.STRINGS) {
      int to = string;
      workspace.edit(song -> song.withPins(song.pins().with(moved.ref(), to)));
    }
  }

  /** Takes the chosen note's pin away. */
  public void unpin() {
    note.get().ifPresent(n -> workspace.edit(song -> song.withPins(song.pins().without(n.ref()))));
  }
}
