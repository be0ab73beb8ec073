package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ChordParts;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
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

  /** The selected chord with its parts, once a plan is there. */
  public Optional<ChordParts> parts() {
    Arrangement a = open.arrangementProperty().get();
    return chords.slot().map(slot -> ChordParts.of(a, chords.placeProperty().get()));
  }

  /** Pins a shape for the selected chord, or for the part of it that is selected. */
  public void pin(Shape shape) {
    parts().ifPresent(parts -> open.edit(song -> parts.pinned(song, shape)));
  }

  /** Lets another shape begin on a beat of the selected chord. */
  public void beginPart(ChordParts.Beat beat) {
    parts().ifPresent(parts -> open.edit(song -> parts.beginning(song, beat)));
  }

  /** Holds the selected chord in one shape throughout. */
  public void holdWhole() {
    parts().ifPresent(parts -> open.edit(parts::whole));
  }

  /** Pins frets where the selected chord is written; the plan fingers them. */
  public void pin(FretRow frets) {
    parts()
        .ifPresent(
            parts ->
                open.edit(
                    song ->
                        parts
                            .others(song)
                            .pin(parts.parts().get(parts.here()).played().ref(), frets)));
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
            pins = pinned ? pins.unpin(slot.played().ref()) : pinned(pins, slot);
          }
          return pins;
        });
  }

  /** Of a chord in parts the others stay as they are held. */
  private Song pinned(Song song, Slot slot) {
    Arrangement a = open.arrangementProperty().get();
    ChordParts parts = ChordParts.of(a, a.slots().indexOf(slot));
    return slot.shape().map(s -> parts.pinned(song, s)).orElse(song);
  }
}
