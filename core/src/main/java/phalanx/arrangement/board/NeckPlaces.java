package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneFit;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.StringRoles;
import phalanx.song.Harmony;
import phalanx.song.TunePitches;
import phalanx.theory.NoteName;

/**
 * Where on the neck a tune can go on over the shape that is held.
 *
 * @param shape the shape; empty where none is held
 * @param places every place within reach
 */
public record NeckPlaces(Optional<Shape> shape, List<Place> places) {

  /** Nothing held. */
  public static final NeckPlaces NONE = new NeckPlaces(Optional.empty(), List.of());

  public NeckPlaces {
    places = List.copyOf(places);
  }

  /**
   * A place within reach.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   * @param inShape whether the shape sounds it anyway
   * @param finger the finger that would take it; empty for an open string
   * @param name what the note is called in the song's key, counted from the capo
   */
  public record Place(
      int string, int fret, boolean inShape, Optional<Finger> finger, NoteName name) {}

  /** The places at a slot of an arrangement. */
  public static NeckPlaces of(Arrangement a, int slot) {
    Slot at = a.slots().get(slot);
    if (at.shape().isEmpty() || !(at.played().harmony() instanceof Harmony.Sounding s)) {
      return new NeckPlaces(at.shape(), List.of());
    }
    Shape shape = at.shape().get();
    Guitar guitar = a.song().guitar();
    TuneFit fit = TuneFit.of(a);
    List<Place> places = new ArrayList<>();
    Optional<Integer> root = StringRoles.root(shape, s.chord(), guitar);
    for (int string = 0; root.isPresent() && string < Tuning.STRINGS; string++) {
      for (int fret = 0; fret <= fit.reach().highestFret(); fret++) {
        int midi = guitar.shapeMidi(string, fret);
        NoteName name = TunePitches.name(a.song(), midi);
        fit.places(shape, root.get(), midi, string).stream()
            .map(p -> new Place(p.string(), p.fret(), p.inShape(), p.finger(), name))
            .forEach(places::add);
      }
    }
    return new NeckPlaces(at.shape(), places);
  }
}
