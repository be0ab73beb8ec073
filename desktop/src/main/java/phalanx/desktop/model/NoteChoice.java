package phalanx.desktop.model;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.OtherString;

/** The note of the plan that the player has chosen, and what can be done with it. */
public final class NoteChoice {

  private final OpenSong open;
  private final ChordChoice chords;
  private final ReadOnlyObjectWrapper<Optional<Note>> note =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  NoteChoice(OpenSong open, ChordChoice chords) {
    this.open = open;
    this.chords = chords;
  }

  /** The chosen note, if one is. */
  public ReadOnlyObjectProperty<Optional<Note>> property() {
    return note.getReadOnlyProperty();
  }

  /** Chooses a note, or none. */
  public void choose(Optional<Note> chosen) {
    note.set(chosen);
  }

  /**
   * The chosen note's stroke in a new plan, on whatever string it is now. Of a brush, and of tune
   * notes together, it is the one with the same pitch, or else on the same string.
   */
  void settle(Arrangement plan) {
    note.set(
        note.get()
            .flatMap(
                old ->
                    plan.notesFrom(old.tick(), old.tick() + 1).stream()
                        .filter(n -> n.ref().equals(old.ref()))
                        .min(
                            Comparator.comparing((Note n) -> n.midi() != old.midi())
                                .thenComparing(n -> n.string() != old.string()))));
  }

  /** Chooses the note played next (1) or before (-1). */
  public void step(int direction) {
    Arrangement plan = open.arrangementProperty().get();
    if (plan == null || plan.notes().isEmpty()) {
      return;
    }
    List<Note> notes = plan.notes();
    int slotTick = chords.slot().map(s -> s.played().tick()).orElse(0);
    int first = notes.size() - plan.notesFrom(slotTick, Integer.MAX_VALUE).size();
    int at = note.get().map(n -> notes.indexOf(n) + direction).orElse(first);
    Note next = notes.get(Math.max(0, Math.min(notes.size() - 1, at)));
    note.set(Optional.of(next));
    chords.select(plan.slotsFrom(0, next.tick() + 1).size() - 1);
  }

  /** Moves the chosen note to the next string it may be on, up (1) or down (-1). */
  public void move(int direction) {
    note.get()
        .ifPresent(
            n -> {
              TreeMap<Integer, Integer> places = places(n);
              Integer to =
                  direction > 0 ? places.higherKey(n.string()) : places.lowerKey(n.string());
              if (to != null) {
                moveTo(to);
              }
            });
  }

  /** Moves the chosen note to a string it may be on, or keeps it on its own if it has a choice. */
  public void moveTo(int string) {
    note.get()
        .filter(n -> places(n).size() > 1 && places(n).containsKey(string))
        .ifPresent(n -> open.edit(song -> OtherString.moved(song, n, string)));
  }

  /** The strings a note may be on, each with its fret there. */
  public TreeMap<Integer, Integer> places(Note of) {
    return OtherString.of(open.arrangementProperty().get(), of);
  }

  /** Leaves the chosen note's string to the plan. */
  public void unpin() {
    note.get().ifPresent(n -> open.edit(song -> OtherString.free(song, n)));
  }
}
