package phalanx.arrangement.tune;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * Places of a note on one string over a shape: under the shape's own finger, open, under a free
 * finger, under one that leaves another string for it. Weights are by judgement, a finger's way is
 * weighed as in a change of shape.
 *
 * @param onTop whether strings that sound above the tune count against a place
 */
record StringPlaces(Reach reach, boolean onTop) {

  /** Cost of a finger that comes down beside the shape. */
  private static final double BESIDE = CostTerm.TUNE_BESIDE.weight();

  /** Cost of a finger that lifts for it. */
  private static final double LIFTED = CostTerm.TUNE_LIFTED.weight();

  /** Cost of a finger that leaves an inner string for it. */
  static final double RELEASED = CostTerm.TUNE_RELEASED.weight();

  /** Cost of each sounding string above the tune, which must be kept quiet or lower. */
  private static final double UNDER = CostTerm.TUNE_UNDER.weight();

  /** How far from the fingers held a free one still is at hand, mm. */
  private static final double AT_HAND = 40;

  /** The place at a fret, the hand where it is; empty if no finger reaches. */
  Optional<TunePlace> of(Shape shape, int root, int string, int fret) {
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

  /** The place beside others for which all fingers beside the shape were chosen at once. */
  TunePlace beside(Shape shape, TunePlace at, Map<Integer, Finger> fingers) {
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

  /** What it costs a finger to come to a place, and to be there. */
  private double coming(Shape shape, Finger finger, int string, int fret) {
    return moving(shape, finger, new Grip(fret, string, string)) + pastBody(fret);
  }

  /** What it costs a finger to come from its own place, or from where the hand is. */
  private double moving(Shape shape, Finger finger, Grip there) {
    Map<Finger, Grip> grips = shape.grips();
    Grip held = grips.get(finger);
    if (held != null) {
      return held.fret() == there.fret() ? 0 : ChangeCosts.MOVE_PER_MM * way(held, there);
    }
    double away = grips.isEmpty() ? AT_HAND : Double.MAX_VALUE;
    for (Grip grip : grips.values()) {
      away = Math.min(away, way(grip, there));
    }
    return ChangeCosts.MOVE_PER_MM * Math.max(0, away - AT_HAND);
  }

  /** Where the body is in the way of the hand, as for a shape. */
  private double pastBody(int fret) {
    return CostTerm.pastBody(reach.guitar()).weight() * reach.guitar().pastBody(fret);
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
          double released = staysAnywhere(shape, finger.get(), left) ? RELEASED : leaving(left);
          double cost = under + released + coming(shape, finger.get(), string, fret);
          return Optional.of(new TunePlace(string, fret, finger, false, left, cost));
        }
      }
    }
    return Optional.empty();
  }

  /** What it costs that the whole hand leaves its place, off some strings, for one note. */
  private static double leaving(Set<Integer> left) {
    return RELEASED * (left.size() + 1);
  }

  /** Whether a finger of the shape stays; if none does, the whole hand leaves its place. */
  private static boolean staysAnywhere(Shape shape, Finger moved, Set<Integer> left) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      boolean stays = shape.finger(s).filter(f -> f != moved).isPresent();
      if (stays && !left.contains(s)) {
        return true;
      }
    }
    return false;
  }

  /** The whole hand leaves its place for a note; only the bass is held on. */
  Optional<TunePlace> away(Shape shape, int root, int string, int fret) {
    Set<Integer> left = allBut(shape, root);
    // Where one finger is enough, that was tried.
    if (left.size() < 2) {
      return Optional.empty();
    }
    Shape bass = shape.without(left);
    return AddedFinger.on(bass, string, fret, reach)
        .filter(finger -> bass.finger(string).isEmpty())
        .map(
            finger -> {
              double cost = leaving(left) + coming(shape, finger, string, fret);
              return new TunePlace(
                  string, fret, Optional.of(finger), false, left, under(shape, string) + cost);
            });
  }

  /**
   * The same for several notes at once, each under a finger of its own or open. They are the chord
   * themselves for that time, so each costs as one finger that leaves its string.
   *
   * @param frets from the capo, by strings above the root's
   * @return their places by strings; empty where the hand cannot
   */
  Map<Integer, TunePlace> away(Shape shape, int root, Map<Integer, Integer> frets) {
    Set<Integer> left = allBut(shape, root);
    if (left.isEmpty()) {
      return Map.of();
    }
    Shape bass = shape.without(left);
    Map<Integer, Integer> pressed = new HashMap<>(frets);
    pressed.values().removeIf(fret -> fret == 0);
    boolean held =
        pressed.entrySet().stream()
            .anyMatch(
                p ->
                    bass.finger(p.getKey()).isPresent()
                        || shape.fretAt(p.getKey()) == p.getValue());
    if (pressed.isEmpty() || held) {
      return Map.of();
    }
    Map<Integer, Finger> fingers = AddedFinger.on(bass, pressed, reach);
    if (fingers.isEmpty()) {
      return Map.of();
    }
    Map<Integer, TunePlace> places = new HashMap<>();
    frets.forEach(
        (string, fret) -> {
          Optional<Finger> finger = Optional.ofNullable(fingers.get(string));
          double cost =
              under(shape, string)
                  + RELEASED
                  + finger.map(f -> coming(shape, f, string, fret)).orElse(0.0);
          boolean inShape = shape.fretAt(string) == fret;
          places.put(string, new TunePlace(string, fret, finger, inShape, left, cost));
        });
    return places;
  }

  /** The strings pressed by fingers that do not hold the bass; none where one lies below it. */
  private static Set<Integer> allBut(Shape shape, int root) {
    Set<Integer> left = new HashSet<>();
    shape.grips().values().stream()
        .filter(g -> g.lowString() > root || g.highString() < root)
        .forEach(g -> pressed(shape, g).forEach(left::add));
    return left.stream().anyMatch(s -> s < root) ? Set.of() : left;
  }

  private static Stream<Integer> pressed(Shape shape, Grip grip) {
    return IntStream.rangeClosed(grip.lowString(), grip.highString())
        .filter(s -> shape.finger(s).isPresent() && shape.fret(s).orElse(0) == grip.fret())
        .boxed();
  }
}
