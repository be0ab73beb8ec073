package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;

/**
 * Places for the notes of a tune that begin together.
 *
 * @param here one for each note, empty for one out of reach
 * @param reached those there are
 * @param cost what they cost, without unit
 */
record PlacesTogether(List<Optional<TunePlace>> here, List<TunePlace> reached, double cost) {

  static final PlacesTogether NONE = new PlacesTogether(List.of(), List.of(), 0);

  Optional<TunePlace> first() {
    return here.get(0);
  }

  /** The same places where more is lost by them. */
  PlacesTogether dearer(double by) {
    return new PlacesTogether(here, reached, cost + by);
  }

  static PlacesTogether of(List<Optional<TunePlace>> here) {
    List<TunePlace> reached = new ArrayList<>(here.size());
    double cost = 0;
    for (Optional<TunePlace> place : here) {
      place.ifPresent(reached::add);
      cost += place.isPresent() ? place.get().cost() : TuneFit.MISSED;
    }
    return new PlacesTogether(here, reached, cost);
  }

  /** The places of a note that begins alone; one without a place where it has none. */
  static List<PlacesTogether> alone(List<TunePlace> places) {
    if (places.isEmpty()) {
      return List.of(of(List.of(Optional.empty())));
    }
    List<PlacesTogether> all = new ArrayList<>(places.size());
    for (TunePlace place : places) {
      all.add(new PlacesTogether(List.of(Optional.of(place)), List.of(place), place.cost()));
    }
    return List.copyOf(all);
  }

  /**
   * Every row of places for notes, as far as there is one for each.
   *
   * @param root the string the thumb starts on
   */
  static List<PlacesTogether> all(
      Shape shape, int root, List<MelodyNote> notes, TunePlaces places) {
    if (notes.size() == 1) {
      return places.alone(shape, root, notes.get(0));
    }
    List<PlacesTogether> all = new ArrayList<>();
    rows(shape, root, notes, places).forEach(here -> all.add(of(here)));
    if (all.stream().allMatch(row -> row.cost() > TunePlaces.FAR)) {
      for (List<TunePlace> away : places.away(shape, root, notes)) {
        all.add(of(away.stream().map(Optional::of).toList()));
      }
    }
    return all;
  }

  private static List<List<Optional<TunePlace>>> rows(
      Shape shape, int root, List<MelodyNote> notes, TunePlaces places) {
    List<List<Optional<TunePlace>>> rows = List.of(List.of());
    for (MelodyNote note : notes) {
      List<List<Optional<TunePlace>>> longer = new ArrayList<>();
      for (List<Optional<TunePlace>> row : rows) {
        for (TunePlace place : places.of(shape, root, note)) {
          if (isFree(shape, row, place, note, places)) {
            longer.add(with(row, Optional.of(place)));
          }
        }
      }
      if (longer.isEmpty()) {
        rows.forEach(r -> longer.addAll(beside(shape, root, r, note, places)));
      }
      rows = longer.isEmpty() ? rows.stream().map(r -> with(r, Optional.empty())).toList() : longer;
    }
    return rows;
  }

  private static boolean isFree(
      Shape shape,
      List<Optional<TunePlace>> row,
      TunePlace place,
      MelodyNote note,
      TunePlaces places) {
    return row.stream()
        .flatMap(Optional::stream)
        .noneMatch(
            p ->
                clash(shape, p, place, places)
                    || note.isBent() && BendPlaces.meet(p.string(), place.string()));
  }

  /** Two notes that alone would take the same finger, with the fingers chosen for both. */
  private static List<List<Optional<TunePlace>>> beside(
      Shape shape, int root, List<Optional<TunePlace>> row, MelodyNote note, TunePlaces places) {
    if (row.isEmpty() || row.stream().anyMatch(Optional::isEmpty)) {
      return List.of();
    }
    List<TunePlace> reached = row.stream().flatMap(Optional::stream).toList();
    return places.beside(shape, root, reached, note).stream()
        .map(all -> all.stream().map(Optional::of).toList())
        .toList();
  }

  private static List<Optional<TunePlace>> with(
      List<Optional<TunePlace>> row, Optional<TunePlace> place) {
    List<Optional<TunePlace>> longer = new ArrayList<>(row);
    longer.add(place);
    return longer;
  }

  /** Two notes at once need two strings, and two fingers unless the shape has both. */
  private static boolean clash(Shape shape, TunePlace a, TunePlace b, TunePlaces places) {
    boolean sameFinger = a.finger().isPresent() && a.finger().equals(b.finger());
    if (a.string() == b.string() || sameFinger && !(a.inShape() && b.inShape())) {
      return true;
    }
    boolean bothBeside = !a.inShape() && !b.inShape();
    if (!bothBeside || a.finger().isEmpty() || b.finger().isEmpty()) {
      return a.left().contains(b.string()) || b.left().contains(a.string());
    }
    Finger finger = a.finger().get();
    Shape left = shape.without(a.left()).without(b.left());
    if (left.without(Set.of(a.string())).grips().containsKey(finger)) {
      return true;
    }
    Shape held = left.with(a.string(), new Stop.Pressed(a.fret(), finger));
    return !AddedFinger.on(held, b.string(), b.fret(), places.reach()).equals(b.finger());
  }
}
