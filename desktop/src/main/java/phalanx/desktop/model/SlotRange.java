package phalanx.desktop.model;

import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;

/** The chords from where the player began to select to where the selection is now. */
public final class SlotRange {

  /**
   * Places in the song, both within.
   *
   * @param from the first
   * @param to the last
   */
  public record Span(int from, int to) {

    /** No chord at all. */
    public static final Span NONE = new Span(0, -1);

    /** Whether more than one chord is selected. */
    public boolean isMany() {
      return to > from;
    }
  }

  private final OpenSong open;
  private final ChordChoice chords;
  private final ReadOnlyObjectWrapper<Span> span = new ReadOnlyObjectWrapper<>(new Span(0, 0));
  private boolean extending;

  SlotRange(OpenSong open, ChordChoice chords) {
    this.open = open;
    this.chords = chords;
    chords.placeProperty().addListener(o -> selected());
    open.arrangementProperty().addListener(o -> fit());
  }

  private void selected() {
    int now = chords.placeProperty().get();
    if (!extending && !open.isSettling()) {
      span.set(new Span(now, now));
    }
  }

  /** A new plan may have fewer chords. */
  void fit() {
    int now = chords.placeProperty().get();
    int last = open.arrangementProperty().get().slots().size() - 1;
    boolean holds = span.get().from() <= now && now <= span.get().to() && span.get().to() <= last;
    if (!holds) {
      span.set(new Span(now, now));
    }
  }

  /** Selects everything from where the selection began to a chord. */
  public void extendTo(int slot) {
    int before = chords.placeProperty().get();
    int anchor = span.get().from() == before ? span.get().to() : span.get().from();
    extending = true;
    chords.select(slot);
    extending = false;
    int now = chords.placeProperty().get();
    span.set(new Span(Math.min(anchor, now), Math.max(anchor, now)));
  }

  /** The chords selected. */
  public List<Slot> slots() {
    Arrangement a = open.arrangementProperty().get();
    int end = a == null ? 0 : Math.min(a.slots().size(), span.get().to() + 1);
    return span.get().from() < end ? a.slots().subList(span.get().from(), end) : List.of();
  }

  /** First and last place. */
  public ReadOnlyObjectProperty<Span> property() {
    return span.getReadOnlyProperty();
  }
}
