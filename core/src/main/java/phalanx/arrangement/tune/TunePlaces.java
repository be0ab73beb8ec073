package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.technique.TechniqueText;

/**
 * Where notes of the tune lie over a shape: on strings above the thumb's first, or where the bass
 * is, if they are that or lie lower.
 *
 * <p>Safe for use by several threads; what was found for a shape and a pitch is kept.
 */
final class TunePlaces {

  /** Cost of a note that is the bass at the same time: the pattern's stroke is left out for it. */
  private static final double AS_BASS = CostTerm.TUNE_AS_BASS.weight();

  /** Cost of a note that sounds on another string as the bass does. */
  private static final double DOUBLES = CostTerm.TUNE_DOUBLES.weight();

  /** Cost of a note on the bass's string or below it, for which the bass gives way. */
  private static final double BELOW_BASS = CostTerm.TUNE_BELOW_BASS.weight();

  /** Where every place costs more, the hand may as well leave its own altogether. */
  static final double FAR = 2;

  private record Asked(Shape shape, int root, int midi) {}

  /** Every place of a pitch, and each as the place of a note that begins alone. */
  private record Found(List<TunePlace> places, List<PlacesTogether> alone) {}

  private final Reach reach;
  private final StringPlaces onStrings;
  private final HarmonicPlaces harmonics;
  private final RecentlyUsed<Asked, Found> known = new RecentlyUsed<>(2_000);

  /**
   * For a hand on a guitar.
   *
   * @param onTop whether strings that sound above the tune count against a place
   */
  TunePlaces(Reach reach, boolean onTop) {
    this.reach = reach;
    onStrings = new StringPlaces(reach, onTop);
    harmonics = new HarmonicPlaces(reach);
  }

  void forgetUnused() {
    known.turn();
  }

  Reach reach() {
    return reach;
  }

  /** Cost of what sounds above a string. */
  double under(Shape shape, int string) {
    return onStrings.under(shape, string);
  }

  boolean onTop() {
    return onStrings.onTop();
  }

  /** Every place of a note, those on another string than the player wants left out. */
  List<TunePlace> of(Shape shape, int root, MelodyNote note) {
    if (note.techniques().isEmpty()) {
      return of(shape, root, note.midi(), note.string());
    }
    // The bass keeps its string, unless the player wants a harmonic there.
    int below =
        note.string()
            .filter(
                s -> s <= root && note.techniques().stream().anyMatch(TechniqueText::isHarmonic))
            .map(s -> s - 1)
            .orElse(root);
    List<TunePlace> all =
        note.isNatural() ? harmonics.of(shape, below, note) : of(shape, below, note.frettedMidi());
    return onString(all, note.string()).stream()
        .filter(p -> !note.isHeld() || p.finger().isPresent())
        .map(p -> note.isBent() ? BendPlaces.bent(shape, p) : p)
        .toList();
  }

  /** Every place of a pitch counted from the capo, on the player's string if one is wanted. */
  List<TunePlace> of(Shape shape, int root, int midi, Optional<Integer> string) {
    List<TunePlace> there = onString(of(shape, root, midi), string);
    if (!there.isEmpty() || string.filter(s -> s <= root).isEmpty()) {
      return there;
    }
    // Where the player wants the tune on the bass's string or below it, the bass gives way.
    return asBass(new Asked(shape, root, midi), string.get(), true).stream().toList();
  }

  private static List<TunePlace> onString(List<TunePlace> all, Optional<Integer> string) {
    return string.isEmpty() ? all : all.stream().filter(p -> p.string() == string.get()).toList();
  }

  /** Every place of a pitch counted from the capo. */
  List<TunePlace> of(Shape shape, int root, int midi) {
    return known.get(new Asked(shape, root, midi), this::search).places();
  }

  /** Every place of a note that begins alone; one without a place where it is out of reach. */
  List<PlacesTogether> alone(Shape shape, int root, MelodyNote note) {
    return note.techniques().isEmpty() && note.string().isEmpty()
        ? known.get(new Asked(shape, root, note.midi()), this::search).alone()
        : PlacesTogether.alone(of(shape, root, note));
  }

  private Found search(Asked asked) {
    List<TunePlace> places = places(asked);
    return new Found(places, PlacesTogether.alone(places));
  }

  private List<TunePlace> places(Asked asked) {
    List<TunePlace> places = new ArrayList<>();
    boolean doubles = isBass(asked);
    for (int s = asked.root() + 1; s < Tuning.STRINGS; s++) {
      int fret = asked.midi() - reach.guitar().shapeMidi(s, 0);
      if (fret >= 0 && fret <= reach.highestFret()) {
        double more = doubles ? DOUBLES : 0;
        onStrings
            .of(asked.shape(), asked.root(), s, fret)
            .map(p -> p.dearer(more))
            .ifPresent(places::add);
      }
    }
    boolean low = places.isEmpty() && isBelowStringsAbove(asked);
    for (int s = 0; s <= asked.root(); s++) {
      asBass(asked, s, low).ifPresent(places::add);
    }
    if (places.stream().allMatch(p -> p.cost() > FAR)) {
      for (int s = asked.root() + 1; s < Tuning.STRINGS; s++) {
        int fret = asked.midi() - reach.guitar().shapeMidi(s, 0);
        int string = s;
        if (fret > 0
            && fret <= reach.highestFret()
            && places.stream().noneMatch(p -> p.string() == string)) {
          onStrings.away(asked.shape(), asked.root(), s, fret).ifPresent(places::add);
        }
      }
    }
    return List.copyOf(places);
  }

  /** Whether the open strings above the bass's are all higher. */
  private boolean isBelowStringsAbove(Asked asked) {
    for (int s = asked.root() + 1; s < Tuning.STRINGS; s++) {
      if (reach.guitar().shapeMidi(s, 0) <= asked.midi()) {
        return false;
      }
    }
    return true;
  }

  private boolean isBass(Asked asked) {
    int root = asked.root();
    return root >= 0
        && asked.shape().sounds(root)
        && asked.midi() == reach.guitar().shapeMidi(root, asked.shape().fretAt(root));
  }

  /**
   * A note that the thumb plays: it is the bass, or lies too low for the strings above.
   *
   * @param low whether no string above has it, or the player wants none of those
   */
  private Optional<TunePlace> asBass(Asked asked, int string, boolean low) {
    int fret = asked.midi() - reach.guitar().shapeMidi(string, 0);
    Shape shape = asked.shape();
    boolean isBass = string == asked.root() && isBass(asked);
    if (!isBass && !low || fret < 0 || fret > reach.highestFret()) {
      return Optional.empty();
    }
    double cost = isBass ? AS_BASS : BELOW_BASS;
    return onStrings.of(shape, asked.root(), string, fret).map(p -> p.dearer(cost));
  }

  /**
   * Places of notes that begin together when each alone would take the same free finger: all
   * fingers beside the shape are chosen at once.
   *
   * @param row places of the notes before, at least one
   * @param note one more
   */
  List<List<TunePlace>> beside(Shape shape, int root, List<TunePlace> row, MelodyNote note) {
    List<List<TunePlace>> all = new ArrayList<>();
    boolean free = row.stream().allMatch(p -> p.left().isEmpty() && p.node().isEmpty());
    for (int s = root + 1; free && note.techniques().isEmpty() && s < Tuning.STRINGS; s++) {
      int string = s;
      int fret = note.midi() - reach.guitar().shapeMidi(s, 0);
      boolean there = note.string().filter(w -> w != string).isEmpty();
      boolean own = row.stream().noneMatch(p -> p.string() == string);
      if (there && own && fret > 0 && fret <= reach.highestFret()) {
        beside(shape, row, string, fret).ifPresent(all::add);
      }
    }
    return all;
  }

  private Optional<List<TunePlace>> beside(Shape shape, List<TunePlace> row, int string, int fret) {
    Map<Integer, Integer> added = new HashMap<>(Map.of(string, fret));
    row.stream()
        .filter(p -> !p.inShape() && p.finger().isPresent())
        .forEach(p -> added.put(p.string(), p.fret()));
    if (added.keySet().stream().anyMatch(s -> shape.finger(s).isPresent())) {
      return Optional.empty();
    }
    Map<Integer, Finger> fingers = AddedFinger.on(shape, added, reach);
    if (fingers.isEmpty()) {
      return Optional.empty();
    }
    List<TunePlace> places = new ArrayList<>();
    for (TunePlace p : row) {
      places.add(added.containsKey(p.string()) ? onStrings.beside(shape, p, fingers) : p);
    }
    places.add(
        onStrings.beside(
            shape, new TunePlace(string, fret, Optional.empty(), false, Set.of(), 0), fingers));
    return Optional.of(places);
  }

  /**
   * Places of notes that begin together for which the whole hand leaves its own, on every row of
   * strings above the bass.
   *
   * @param notes two or more, without techniques
   */
  List<List<TunePlace>> away(Shape shape, int root, List<MelodyNote> notes) {
    List<List<TunePlace>> all = new ArrayList<>();
    if (notes.stream().allMatch(n -> n.techniques().isEmpty())) {
      away(shape, root, notes, new LinkedHashMap<>(), all);
    }
    return all;
  }

  private void away(
      Shape shape,
      int root,
      List<MelodyNote> notes,
      Map<Integer, Integer> frets,
      List<List<TunePlace>> all) {
    if (frets.size() == notes.size()) {
      Map<Integer, TunePlace> places = onStrings.away(shape, root, frets);
      if (!places.isEmpty()) {
        all.add(frets.keySet().stream().map(places::get).toList());
      }
      return;
    }
    MelodyNote note = notes.get(frets.size());
    for (int s = root + 1; s < Tuning.STRINGS; s++) {
      int fret = note.midi() - reach.guitar().shapeMidi(s, 0);
      boolean wanted = note.string().isEmpty() || note.string().get() == s;
      if (wanted && !frets.containsKey(s) && 0 <= fret && fret <= reach.highestFret()) {
        frets.put(s, fret);
        away(shape, root, notes, frets, all);
        frets.remove(s);
      }
    }
  }
}
