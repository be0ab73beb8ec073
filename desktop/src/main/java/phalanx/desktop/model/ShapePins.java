package phalanx.desktop.model;

import java.util.List;
import phalanx.arrangement.Slot;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/** The shapes that the player pins to the chords selected; each change can be undone. */
public final class ShapePins {

  private final OpenSong open;
  private final ChordChoice chords;
  private final SlotRange selected;

  ShapePins(OpenSong open, ChordChoice chords, SlotRange selected) {
    this.open = open;
    this.chords = chords;
    this.selected = selected;
  }

  /** Pins a shape where the selected chord is written. */
  public void pin(Shape shape) {
    chords.slot().ifPresent(slot -> open.edit(song -> song.pin(slot.played().ref(), shape)));
  }

  /** Pins frets where the selected chord is written; the plan fingers them. */
  public void pin(FretRow frets) {
    chords.slot().ifPresent(slot -> open.edit(song -> song.pin(slot.played().ref(), frets)));
  }

  /** Pins a shape wherever the selected chord stands. */
  public void pinEverywhere(Shape shape) {
    chords
        .slot()
        .ifPresent(slot -> open.edit(song -> song.pinEverywhere(slot.played().harmony(), shape)));
  }

  /** Takes the pins of the selected slots away, or pins the shapes they hold if one has none. */
  public void toggle() {
    List<Slot> slots = selected.slots();
    boolean pinned = slots.stream().allMatch(Slot::pinned);
    open.edit(
        song -> {
          Song pins = song;
          for (Slot slot : slots) {
            SlotRef ref = slot.played().ref();
            Song before = pins;
            pins =
                pinned ? pins.unpin(ref) : slot.shape().map(s -> before.pin(ref, s)).orElse(before);
          }
          return pins;
        });
  }
}
