package phalanx.arrangement.tune;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.FingerSet;
import phalanx.fretting.Shape;
import phalanx.fretting.Stance;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.melody.Slur;

/**
 * The tune while one slot lasts.
 *
 * @param notes the notes that sound in it, those that go on from before first
 * @param edges how they meet its ends
 */
public record SlotTune(List<MelodyNote> notes, Edges edges) {

  /** No tune at all. */
  public static final SlotTune NONE = new SlotTune(List.of(), Edges.FREE);

  /**
   * How the first and the last note meet the ends of the slot.
   *
   * @param atStart whether the first sounds when the slot begins
   * @param fromBefore whether it sounded before already
   * @param atEnd whether the last sounds up to the end of the slot
   * @param goesOn whether it sounds on after it
   */
  public record Edges(boolean atStart, boolean fromBefore, boolean atEnd, boolean goesOn) {
    static final Edges FREE = new Edges(false, false, false, false);
  }

  public SlotTune {
    notes = List.copyOf(notes);
  }

  /** The tune from one tick up to another. */
  public static SlotTune of(List<MelodyNote> notes, int from, int to) {
    if (notes.isEmpty()) {
      return NONE;
    }
    MelodyNote first = notes.get(0);
    MelodyNote last = notes.get(notes.size() - 1);
    return new SlotTune(
        notes,
        new Edges(
            first.tick() <= from, first.tick() < from, last.endTick() >= to, last.endTick() > to));
  }

  /** The note that stands for the end: the first of those that begin last. */
  static int last(List<MelodyNote> notes) {
    int last = notes.size() - 1;
    while (last > 0 && notes.get(last - 1).tick() == notes.get(last).tick()) {
      last--;
    }
    return last;
  }

  /** How a note is made from the one before it. */
  static Stance.Legato legato(Optional<Slur> slur) {
    return slur.map(
            s ->
                switch (s) {
                  case HAMMER_ON -> Stance.Legato.HAMMERED;
                  case PULL_OFF -> Stance.Legato.PULLED;
                  case SLIDE -> Stance.Legato.SLID;
                })
        .orElse(Stance.Legato.PLUCKED);
  }

  /** How the hand stands when it comes to a shape. */
  public Stance entry(Shape shape, TuneWay way) {
    return entry(shape, Set.of(), way);
  }

  /** The same where some fingers of the shape may rest. */
  public Stance entry(Shape shape, Set<Finger> resting, TuneWay way) {
    Stance.Legato legato =
        edges.atStart() && !edges.fromBefore()
            ? legato(notes.get(0).slur())
            : Stance.Legato.PLUCKED;
    return stance(shape, resting, way.places().get(0), edges.atStart(), false, legato);
  }

  /** How it stands when it goes on. */
  public Stance exit(Shape shape, TuneWay way) {
    return exit(shape, Set.of(), way);
  }

  /** The same where some fingers of the shape may rest. */
  public Stance exit(Shape shape, Set<Finger> resting, TuneWay way) {
    Optional<TunePlace> last = way.places().get(last(notes));
    return stance(shape, resting, last, edges.atEnd(), edges.goesOn(), Stance.Legato.PLUCKED);
  }

  private static Stance stance(
      Shape shape,
      Set<Finger> resting,
      Optional<TunePlace> place,
      boolean held,
      boolean soundsOn,
      Stance.Legato legato) {
    if (place.isEmpty() || !held) {
      return new Stance(
          shape,
          resting,
          Optional.empty(),
          soundsOn && place.isPresent(),
          legato,
          OptionalInt.empty());
    }
    TunePlace at = place.get();
    FingerSet all = FingerSet.of(resting);
    FingerSet free = at.finger().map(all::without).orElse(all);
    return new Stance(with(shape, at), free, at.sounding(), soundsOn, legato, OptionalInt.empty());
  }

  /** The shape with what a note needs beside it. */
  private static Shape with(Shape shape, TunePlace place) {
    if (place.inShape()) {
      return shape;
    }
    Shape left = shape.without(place.left());
    return place
        .finger()
        .filter(f -> place.node().isEmpty())
        .map(f -> left.with(place.string(), new Stop.Pressed(place.fret(), f)))
        .orElseGet(() -> left.with(place.string(), new Stop.Open()));
  }
}
