package phalanx.arrangement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.fretting.Stance;
import phalanx.fretting.Stop;

/**
 * The tune while one slot lasts.
 *
 * @param notes the notes that sound in it, those that go on from before first
 * @param edges how they meet its ends
 */
record SlotTune(List<Sung> notes, Edges edges) {

  static final SlotTune NONE = new SlotTune(List.of(), new Edges(false, false, false, false));

  /**
   * How the first and the last note meet the ends of the slot.
   *
   * @param atStart whether the first sounds when the slot begins
   * @param fromBefore whether it sounded before already
   * @param atEnd whether the last sounds up to the end of the slot
   * @param goesOn whether it sounds on after it
   */
  record Edges(boolean atStart, boolean fromBefore, boolean atEnd, boolean goesOn) {}

  SlotTune {
    notes = List.copyOf(notes);
  }

  /** The tune from one tick up to another. */
  static SlotTune of(List<Sung> notes, int from, int to) {
    if (notes.isEmpty()) {
      return NONE;
    }
    Sung first = notes.get(0);
    Sung last = notes.get(notes.size() - 1);
    return new SlotTune(
        notes,
        new Edges(
            first.tick() <= from, first.tick() < from, last.endTick() >= to, last.endTick() > to));
  }

  /** The note that stands for the end: the first of those that begin last. */
  static int last(List<Sung> notes) {
    int last = notes.size() - 1;
    while (last > 0 && notes.get(last - 1).tick() == notes.get(last).tick()) {
      last--;
    }
    return last;
  }

  /** The ways to settle the ends that differ in how the hand stands at them. */
  List<TuneFit.Ends> ends(Shape shape, int root, TuneFit fit) {
    Sung last = notes.get(last(notes));
    boolean one = last(notes) == 0 && edges.atStart();
    List<Optional<TunePlace>> starts = places(edges.atStart(), shape, root, notes.get(0), fit);
    List<Optional<TunePlace>> stops = places(edges.atEnd() && !one, shape, root, last, fit);
    List<TuneFit.Ends> ends = new ArrayList<>();
    for (Optional<TunePlace> start : starts) {
      for (Optional<TunePlace> stop : stops) {
        ends.add(new TuneFit.Ends(start, stop));
      }
    }
    return ends;
  }

  private static List<Optional<TunePlace>> places(
      boolean settled, Shape shape, int root, Sung note, TuneFit fit) {
    List<TunePlace> places = settled ? fit.places(shape, root, note) : List.of();
    return places.isEmpty()
        ? List.of(Optional.empty())
        : places.stream().map(Optional::of).toList();
  }

  /** The ends that a candidate was rated with. */
  TuneFit.Ends settled(RatedShape chosen, int root, TuneFit fit) {
    if (notes.isEmpty()) {
      return TuneFit.Ends.FREE;
    }
    return new TuneFit.Ends(
        edges.atStart()
            ? find(chosen.entry(), chosen.shape(), root, notes.get(0), fit)
            : Optional.empty(),
        edges.atEnd()
            ? find(chosen.exit(), chosen.shape(), root, notes.get(last(notes)), fit)
            : Optional.empty());
  }

  private static Optional<TunePlace> find(
      Stance stance, Shape shape, int root, Sung note, TuneFit fit) {
    return stance
        .voice()
        .flatMap(
            v ->
                fit.places(shape, root, note).stream().filter(p -> voice(p).equals(v)).findFirst());
  }

  private static Stance.Voice voice(TunePlace place) {
    return new Stance.Voice(place.string(), place.fret(), place.finger());
  }

  /** How the hand stands when it comes to a shape. */
  Stance entry(Shape shape, TuneWay way) {
    return stance(shape, way.places().get(0), edges.atStart(), false);
  }

  /** How it stands when it goes on. */
  Stance exit(Shape shape, TuneWay way) {
    return stance(shape, way.places().get(last(notes)), edges.atEnd(), edges.goesOn());
  }

  private static Stance stance(
      Shape shape, Optional<TunePlace> place, boolean held, boolean soundsOn) {
    return new Stance(
        place.filter(p -> held).map(p -> with(shape, p)).orElse(shape),
        place.filter(p -> held).map(SlotTune::voice),
        soundsOn && place.isPresent());
  }

  /** The shape with what a note needs beside it. */
  private static Shape with(Shape shape, TunePlace place) {
    if (place.inShape()) {
      return shape;
    }
    Shape left = shape.without(place.left());
    return place
        .finger()
        .map(f -> left.with(place.string(), new Stop.Pressed(place.fret(), f)))
        .orElseGet(() -> left.with(place.string(), new Stop.Open()));
  }
}
