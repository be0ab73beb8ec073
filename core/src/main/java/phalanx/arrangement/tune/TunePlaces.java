package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.technique.TechniqueText;

/**
 * Where a note of the tune lies over a shape: on a string of its own, on an open string, under a
 * free finger, under one that leaves an inner string for it. Weights are by judgement, a finger's
 * way is weighed as in a change of shape.
 *
 * <p>Safe for use by several threads; what was found for a shape and a pitch is kept.
 */
final class TunePlaces {

  /** Cost of a finger that comes down beside the shape. */
  private static final double BESIDE = CostTerm.TUNE_BESIDE.weight();

  /** Cost of a finger that lifts for it. */
  private static final double LIFTED = CostTerm.TUNE_LIFTED.weight();

  /** Cost of a finger that leaves an inner string for it. */
  static final double RELEASED = CostTerm.TUNE_RELEASED.weight();

  /** Cost of each sounding string above the tune, which must be kept quiet or lower. */
  private static final double UNDER = CostTerm.TUNE_UNDER.weight();

  /** Cost of a note that is the bass at the same time: the pattern's stroke is left out for it. */
  private static final double AS_BASS = CostTerm.TUNE_AS_BASS.weight();

  /** Cost of a note that sounds on another string as the bass does. */
  private static final double DOUBLES = CostTerm.TUNE_DOUBLES.weight();

  /** Cost of a note on the bass's string or below it, for which the bass gives way. */
  private static final double BELOW_BASS = CostTerm.TUNE_BELOW_BASS.weight();

  /** How far from the fingers held a free one still is at hand, mm. */
  private static final double AT_HAND = 40;

  /** Where every place costs more, the hand may as well leave its own altogether. */
  private static final double FAR = 2;

  private record Asked(Shape shape, int root, int midi) {}

  private final Reach reach;
  private final boolean onTop;
  private final HarmonicPlaces harmonics;
  private final RecentlyUsed<Asked, List<TunePlace>> known = new RecentlyUsed<>(2_000);

  /**
   * For a hand on a guitar.
   *
   * @param onTop whether strings that sound above the tune count against a place
   */
  TunePlaces(Reach reach, boolean onTop) {
    this.reach = reach;
    this.onTop = onTop;
    harmonics = new HarmonicPlaces(reach);
  }

  void forgetUnused() {
    known.turn();
  }

  Reach reach() {
    return reach;
  }

  boolean onTop() {
    return onTop;
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
    boolean givesWay = there.isEmpty() && string.filter(s -> s <= root).isPresent();
    // Where the player wants the tune on the bass's string or below it, the bass gives way.
    return givesWay ? onString(of(shape, string.get() - 1, midi), string) : there;
  }

  private static List<TunePlace> onString(List<TunePlace> all, Optional<Integer> string) {
    return string.isEmpty() ? all : all.stream().filter(p -> p.string() == string.get()).toList();
  }

  /** Every place of a pitch counted from the capo. */
  List<TunePlace> of(Shape shape, int root, int midi) {
    return known.get(new Asked(shape, root, midi), this::search);
  }

  private List<TunePlace> search(Asked asked) {
    List<TunePlace> places = new ArrayList<>();
    boolean doubles = isBass(asked);
    for (int s = asked.root() + 1; s < Tuning.STRINGS; s++) {
      int fret = asked.midi() - reach.guitar().shapeMidi(s, 0);
      if (fret >= 0 && fret <= reach.highestFret()) {
        double more = doubles ? DOUBLES : 0;
        place(asked.shape(), asked.root(), s, fret).map(p -> p.dearer(more)).ifPresent(places::add);
      }
    }
    boolean low = places.stream().allMatch(p -> p.cost() > FAR);
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
          away(asked.shape(), asked.root(), s, fret).ifPresent(places::add);
        }
      }
    }
    return List.copyOf(places);
  }

  private boolean isBass(Asked asked) {
    int root = asked.root();
    return root >= 0
        && asked.shape().sounds(root)
        && asked.midi() == reach.guitar().shapeMidi(root, asked.shape().fretAt(root));
  }

  /**
   * The thumb plays a note that is the bass, or lies so low that no string above has it.
   *
   * @param low whether there is no better place above
   */
  private Optional<TunePlace> asBass(Asked asked, int string, boolean low) {
    int fret = asked.midi() - reach.guitar().shapeMidi(string, 0);
    Shape shape = asked.shape();
    boolean isBass = string == asked.root() && shape.fret(string).equals(OptionalInt.of(fret));
    if (!isBass && !low || fret < 0 || fret > reach.highestFret()) {
      return Optional.empty();
    }
    double cost = isBass ? AS_BASS : BELOW_BASS;
    return place(shape, asked.root(), string, fret).map(p -> p.dearer(cost));
  }

  private Optional<TunePlace> place(Shape shape, int root, int string, int fret) {
    double under = under(shape, string);
    if (shape.fret(string).equals(OptionalInt.of(fret))) {
      return Optional.of(new TunePlace(string, fret, shape.finger(string), true, Set.of(), under));
    }
    // A finger that presses the string at a higher fret has to lift; one below may stay.
    boolean above = shape.fret(string).orElse(0) > fret;
    if (liesUnderBarre(shape, string, fret)) {
      return Optional.empty();
    }
    Set<Integer> lifted = above ? Set.of(string) : Set.of();
    if (fret == 0) {
      double cost = under + (above ? LIFTED : BESIDE / 4);
      return Optional.of(new TunePlace(string, 0, Optional.empty(), false, lifted, cost));
    }
    Optional<Finger> free = AddedFinger.on(shape, string, fret, reach);
    if (free.isPresent()) {
      boolean lifts = above || !stays(shape, string, free.get(), fret);
      double cost = under + (lifts ? LIFTED : BESIDE) + coming(shape, free.get(), string, fret);
      Set<Integer> left = lifts ? Set.of(string) : Set.of();
      return lifts && barred(shape, string)
          ? Optional.empty()
          : Optional.of(new TunePlace(string, fret, free, false, left, cost));
    }
    return released(shape, root, string, fret, lifted, under);
  }

  private boolean stays(Shape shape, int string, Finger finger, int fret) {
    return AddedFinger.ownStays(shape, string, fret, finger, reach);
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
      places.add(added.containsKey(p.string()) ? beside(shape, p, fingers) : p);
    }
    places.add(
        beside(shape, new TunePlace(string, fret, Optional.empty(), false, Set.of(), 0), fingers));
    return Optional.of(places);
  }

  private TunePlace beside(Shape shape, TunePlace at, Map<Integer, Finger> fingers) {
    Finger finger = fingers.get(at.string());
    double cost =
        under(shape, at.string()) + BESIDE + coming(shape, finger, at.string(), at.fret());
    return new TunePlace(at.string(), at.fret(), Optional.of(finger), false, Set.of(), cost);
  }

  /** Whether a barre presses the string above a fret, perhaps under a finger higher still. */
  private static boolean liesUnderBarre(Shape shape, int string, int fret) {
    for (Grip g : shape.grips().values()) {
      if (g.isBarre() && g.fret() > fret && g.lowString() <= string && string <= g.highString()) {
        return true;
      }
    }
    return false;
  }

  private static boolean barred(Shape shape, int string) {
    return shape.finger(string).isPresent() && grip(shape, string).isBarre();
  }

  /** Cost of what sounds above a string. */
  double under(Shape shape, int string) {
    int above = 0;
    for (int s = string + 1; onTop && s < Tuning.STRINGS; s++) {
      above += shape.sounds(s) ? 1 : 0;
    }
    return UNDER * above;
  }

  /** What it costs a finger to come to a place: from its own, or from where the hand is. */
  private double coming(Shape shape, Finger finger, int string, int fret) {
    Grip there = new Grip(fret, string, string);
    Map<Finger, Grip> grips = shape.grips();
    Grip held = grips.get(finger);
    if (held != null) {
      return held.fret() == fret ? 0 : ChangeCosts.MOVE_PER_MM * way(held, there);
    }
    double away = grips.isEmpty() ? AT_HAND : Double.MAX_VALUE;
    for (Grip grip : grips.values()) {
      away = Math.min(away, way(grip, there));
    }
    return ChangeCosts.MOVE_PER_MM * Math.max(0, away - AT_HAND);
  }

  private double way(Grip from, Grip to) {
    return reach.distance(from, to);
  }

  private static Grip grip(Shape shape, int string) {
    return shape.grips().get(shape.finger(string).orElseThrow());
  }

  /** An inner string gives its finger, or makes room for another. */
  private Optional<TunePlace> released(
      Shape shape, int root, int string, int fret, Set<Integer> lifted, double under) {
    for (int inner = Tuning.STRINGS - 1; inner >= 0; inner--) {
      boolean gives =
          inner != root
              && inner != string
              && shape.finger(inner).isPresent()
              && !grip(shape, inner).isBarre();
      if (gives) {
        Optional<Finger> finger = AddedFinger.on(shape.without(Set.of(inner)), string, fret, reach);
        if (finger.isPresent()
            && (stays(shape, string, finger.get(), fret) || !barred(shape, string))) {
          Set<Integer> left = new HashSet<>(lifted);
          left.add(inner);
          if (!stays(shape, string, finger.get(), fret)) {
            left.add(string);
          }
          double cost = under + RELEASED + coming(shape, finger.get(), string, fret);
          return Optional.of(new TunePlace(string, fret, finger, false, left, cost));
        }
      }
    }
    return Optional.empty();
  }

  /** The whole hand leaves its place for a note; only the bass is held on. */
  private Optional<TunePlace> away(Shape shape, int root, int string, int fret) {
    Set<Integer> left = new HashSet<>();
    shape.grips().values().stream()
        .filter(g -> g.lowString() > root || g.highString() < root)
        .forEach(g -> pressed(shape, g).forEach(left::add));
    // Where one finger is enough, that was tried.
    if (left.size() < 2 || left.stream().anyMatch(s -> s < root)) {
      return Optional.empty();
    }
    Shape bass = shape.without(left);
    return AddedFinger.on(bass, string, fret, reach)
        .filter(finger -> bass.finger(string).isEmpty())
        .map(
            finger -> {
              double cost = RELEASED * (left.size() + 1) + coming(shape, finger, string, fret);
              return new TunePlace(
                  string, fret, Optional.of(finger), false, left, under(shape, string) + cost);
            });
  }

  private static Stream<Integer> pressed(Shape shape, Grip grip) {
    return IntStream.rangeClosed(grip.lowString(), grip.highString())
        .filter(s -> shape.finger(s).isPresent() && shape.fret(s).orElse(0) == grip.fret())
        .boxed();
  }
}
