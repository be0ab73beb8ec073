package phalanx.desktop.model;

import java.util.List;
import phalanx.arrangement.Slot;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/** The shapes that the player pins to the chords selected; each change can be undone. */
public final class ShapePins {

  private final Workspace workspace;

  ShapePins(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Pins a shape where the selected chord is written. */
  public void pin(Shape shape) {
    workspace
        .chord()
        .slot()
        .ifPresent(slot -> workspace.edit(song -> song.pin(slot.played().ref(), shape)));
  }

  /** Pins frets where the selected chord is written; the plan fingers them. */
  public void pin(FretRow frets) {
    workspace
        .chord()
        .slot()
        .ifPresent(slot -> workspace.edit(song -> song.pin(slot.played().ref(), frets)));
  }

  /** Pins a shape wherever the selected chord stands. */
  public void pinEverywhere(Shape shape) {
    workspace
        .chord()
        .slot()
        .ifPresent(
            slot -> workspace.edit(song -> song.pinEverywhere(slot.played().harmony(), shape)));
  }

  /** Takes the pins of the selected slots away, or pins the shapes they hold if one has none. */
  public void toggle() {
    List<Slot> slots = workspace.range().slots();
    boolean pinned = slots.stream().allMatch(Slot::pinned);
    workspace.edit(
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
