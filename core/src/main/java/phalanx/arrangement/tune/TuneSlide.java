package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * Notes that are slid to: each finger stays on its string and takes the next note there, one string
 * alone or several at once, which then keep their shape (common practice, no source). What else the
 * hand holds stays if it reaches; else the bass alone, else nothing.
 */
final class TuneSlide {

  /** A finger on its way along its string. */
  private record Way(TunePlace from, int fret) {
    Finger finger() {
      return from.finger().orElseThrow();
    }

    int string() {
      return from.string();
    }
  }

  private final TunePlaces places;

  TuneSlide(TunePlaces places) {
    this.places = places;
  }

  /**
   * The places of notes that are slid to together.
   *
   * @param root the string the thumb starts on
   * @param before where the notes before them lie
   * @return a place for each note; empty if the hand cannot slide so
   */
  Optional<List<Optional<TunePlace>>> of(
      Shape shape, int root, List<Optional<TunePlace>> before, List<MelodyNote> notes) {
    List<TunePlace> from =
        before.stream().flatMap(Optional::stream).filter(p -> p.finger().isPresent()).toList();
    return ways(from, notes, List.of()).flatMap(ways -> placed(shape, root, ways));
  }

  /** A string for each note, the first that fits. */
  private Optional<List<Way>> ways(List<TunePlace> from, List<MelodyNote> notes, List<Way> taken) {
    if (taken.size() == notes.size()) {
      return Optional.of(taken);
    }
    MelodyNote note = notes.get(taken.size());
    for (TunePlace place : from) {
      int fret = note.midi() - places.reach().guitar().shapeMidi(place.string(), 0);
      boolean fits =
          fret >= 1
              && fret <= places.reach().highestFret()
              && fret != place.fret()
              && note.string().filter(s -> s != place.string()).isEmpty()
              && taken.stream().noneMatch(w -> w.finger() == place.finger().get());
      if (fits) {
        List<Way> more = new ArrayList<>(taken);
        more.add(new Way(place, fret));
        Optional<List<Way>> all = ways(from, notes, more);
        if (all.isPresent()) {
          return all;
        }
      }
    }
    return Optional.empty();
  }

  private Optional<List<Optional<TunePlace>>> placed(Shape shape, int root, List<Way> ways) {
    Set<Finger> sliding = ways.stream().map(Way::finger).collect(Collectors.toSet());
    Set<Integer> gone = new HashSet<>();
    ways.forEach(w -> gone.addAll(w.from().left()));
    Set<Finger> leaving = new HashSet<>(sliding);
    ways.stream()
        .filter(w -> !AddedFinger.ownStays(shape, w.string(), w.fret(), w.finger(), places.reach()))
        .forEach(w -> shape.finger(w.string()).ifPresent(leaving::add));
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (shape.finger(s).filter(leaving::contains).isPresent()) {
        gone.add(s);
      }
    }
    Set<Integer> others =
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> shape.finger(s).isPresent() && !gone.contains(s))
            .boxed()
            .collect(Collectors.toSet());
    for (Set<Integer> leave : List.of(Set.<Integer>of(), except(others, shape, root), others)) {
      Shape held = shape.without(gone).without(leave);
      for (Way way : ways) {
        Stop stop = new Stop.Pressed(way.fret(), way.finger());
        held = held.with(way.string(), stop);
      }
      if (AddedFinger.together(held, places.reach())) {
        Set<Integer> left = new HashSet<>(gone);
        left.addAll(leave);
        return Optional.of(
            ways.stream().map(w -> Optional.of(place(shape, w, left, sliding))).toList());
      }
    }
    return Optional.empty();
  }

  /** All but what the finger on a string holds. */
  private static Set<Integer> except(Set<Integer> strings, Shape shape, int string) {
    return strings.stream()
        .filter(s -> !shape.finger(s).equals(shape.finger(string)))
        .collect(Collectors.toSet());
  }

  /** What the other sliding fingers leave is theirs to leave. */
  private TunePlace place(Shape shape, Way way, Set<Integer> left, Set<Finger> sliding) {
    int string = way.string();
    Set<Integer> mine =
        left.stream()
            .filter(
                s ->
                    shape.finger(s).filter(f -> f != way.finger() && sliding.contains(f)).isEmpty())
            .collect(Collectors.toSet());
    Grip there = new Grip(way.fret(), string, string);
    double length = places.reach().distance(way.from().grip(), there);
    long lost = mine.stream().filter(s -> s != string).count();
    double cost =
        places.under(shape, string)
            + ChangeCosts.MOVE_PER_MM * ChangeCosts.GUIDE_SHARE * length
            + StringPlaces.RELEASED * lost;
    return new TunePlace(string, way.fret(), way.from().finger(), false, mine, cost);
  }
}
