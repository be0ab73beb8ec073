package phalanx.arrangement;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;

/**
 * Finds where the tune lies over a shape: on its own strings, on an open string, under a free
 * finger, under one that leaves an inner string for it. The cheapest row of places by dynamic
 * programming over the notes of a slot, its ends settled where a note sounds on over a change: then
 * it is the plan that chooses among them. Weights are by judgement, a finger's way is weighed as in
 * a change of shape.
 *
 * <p>Safe for use by several threads; what was found for a shape and a pitch is kept.
 */
final class TuneFit {

  /** Cost of a note that no finger reaches. */
  static final double MISSED = 30;

  /** Cost of a finger that comes down beside the shape. */
  private static final double BESIDE = 0.25;

  /** Cost of a finger that lifts for it. */
  private static final double LIFTED = 0.35;

  /** Cost of a finger that leaves an inner string for it. */
  private static final double RELEASED = 0.9;

  /** Cost of each sounding string above the tune, which must be kept quiet or lower. */
  private static final double UNDER = 0.12;

  /** Cost of each string the tune leaps over. */
  private static final double LEAP = 0.04;

  /** Cost of one finger taking the next note at another place. */
  private static final double AGAIN = 0.2;

  /** Cost of a finger's way to another place, per mm: that of a way from shape to shape. */
  private static final double PER_MM = ChangeCosts.MOVE_PER_MM;

  /** How far from the fingers held a free one still is at hand, mm. */
  private static final double AT_HAND = 40;

  /** Cost of a slur that cannot be made, so that the note is plucked. */
  private static final double SLUR_LOST = 2.4;

  private record Asked(Shape shape, int root, int midi) {}

  private final Reach reach;
  private final boolean onTop;
  private final Map<Asked, List<TunePlace>> known = new ConcurrentHashMap<>();

  /**
   * For a hand on a guitar.
   *
   * @param onTop whether strings that sound above the tune count against a place
   */
  TuneFit(Reach reach, boolean onTop) {
    this.reach = reach;
    this.onTop = onTop;
  }

  /** As an arrangement's plan has it. */
  static TuneFit of(Arrangement a) {
    return new TuneFit(a.plan().problem().changes().reach(), a.song().tune().onTop());
  }

  boolean onTop() {
    return onTop;
  }

  Reach reach() {
    return reach;
  }

  /**
   * The cheapest way.
   *
   * @param root the string the thumb starts on, which stays the bass's
   * @param notes the notes in order
   */
  TuneWay way(Shape shape, int root, List<Sung> notes) {
    return way(shape, root, notes, Ends.FREE);
  }

  /**
   * What is settled of a way already.
   *
   * @param first the place of the first note
   * @param last the place of the last one
   */
  record Ends(Optional<TunePlace> first, Optional<TunePlace> last) {
    static final Ends FREE = new Ends(Optional.empty(), Optional.empty());
  }

  /** The cheapest way with some of its ends settled. */
  TuneWay way(Shape shape, int root, List<Sung> notes, Ends ends) {
    if (notes.isEmpty()) {
      return TuneWay.NONE;
    }
    List<Row> rows = List.of(new Row(0, Optional.empty(), Optional.empty()));
    for (int n = 0; n < notes.size(); n++) {
      Sung note = notes.get(n);
      boolean together = n > 0 && notes.get(n - 1).tick() == note.tick();
      List<Row> next = new ArrayList<>();
      Optional<TunePlace> settled =
          n == 0 && ends.first().isPresent()
              ? ends.first()
              : n == SlotTune.last(notes) ? ends.last() : Optional.empty();
      for (TunePlace place : settled.map(List::of).orElseGet(() -> places(shape, root, note))) {
        Optional<Row> best =
            rows.stream()
                .filter(r -> !together || r.place().filter(p -> clash(shape, p, place)).isEmpty())
                .map(
                    r ->
                        new Row(
                            r.cost() + place.cost() + step(shape, r, place, note),
                            Optional.of(r),
                            Optional.of(place)))
                .min((a, b) -> Double.compare(a.cost(), b.cost()));
        best.ifPresent(next::add);
      }
      if (next.isEmpty()) {
        Row cheapest = cheapest(rows);
        next.add(new Row(cheapest.cost() + MISSED, Optional.of(cheapest), Optional.empty()));
      }
      rows = next;
    }
    Row last = cheapest(rows);
    List<Optional<TunePlace>> places = new ArrayList<>();
    double cost = last.cost();
    for (Row r = last; r.before().isPresent(); r = r.before().get()) {
      places.add(0, r.place());
    }
    return new TuneWay(places, cost);
  }

  private record Row(double cost, Optional<Row> before, Optional<TunePlace> place) {}

  private static Row cheapest(List<Row> rows) {
    return rows.stream().min((a, b) -> Double.compare(a.cost(), b.cost())).orElseThrow();
  }

  /** Two notes at once need two strings, and two fingers unless the shape has both. */
  private boolean clash(Shape shape, TunePlace a, TunePlace b) {
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
    return !AddedFinger.on(held, b.string(), b.fret(), reach).equals(b.finger());
  }

  private double step(Shape shape, Row before, TunePlace place, Sung note) {
    if (before.place().isEmpty()) {
      return 0;
    }
    TunePlace last = before.place().get();
    if (note.slur().isPresent()) {
      return canSlur(shape, last, place, note.slur().get()) ? 0 : SLUR_LOST;
    }
    boolean same = last.string() == place.string() && last.fret() == place.fret();
    boolean again = !same && place.finger().isPresent() && last.finger().equals(place.finger());
    double way = again ? AGAIN + PER_MM * way(grip(last), grip(place)) : 0;
    return LEAP * Math.abs(last.string() - place.string()) + way;
  }

  /**
   * Whether the fretting hand can make a note from the one before: on the same string, upwards for
   * a hammer-on, downwards with both fingers down for a pull-off, by the same finger for a slide.
   */
  boolean canSlur(Shape shape, TunePlace from, TunePlace to, Slur slur) {
    boolean string = from.string() == to.string();
    boolean sameFinger = to.finger().isPresent() && from.finger().equals(to.finger());
    return string
        && switch (slur) {
          case HAMMER_ON -> to.fret() > from.fret() && !sameFinger;
          case PULL_OFF -> to.fret() < from.fret() && !sameFinger && bothDown(shape, from, to);
          case SLIDE -> to.fret() != from.fret() && sameFinger;
        };
  }

  private boolean bothDown(Shape shape, TunePlace from, TunePlace to) {
    if (to.inShape() || to.finger().isEmpty()) {
      return to.left().isEmpty();
    }
    boolean elsewhere = shape.grips().containsKey(to.finger().get());
    if (elsewhere || from.inShape() || !to.left().isEmpty() || !from.left().isEmpty()) {
      return false;
    }
    Shape held = shape.with(to.string(), new Stop.Pressed(to.fret(), to.finger().get()));
    return AddedFinger.on(held, from.string(), from.fret(), reach).equals(from.finger());
  }

  /** Every place of a note, those on another string than the player wants left out. */
  List<TunePlace> places(Shape shape, int root, Sung note) {
    List<TunePlace> all = places(shape, root, note.midi());
    return note.string().isEmpty()
        ? all
        : all.stream().filter(p -> p.string() == note.string().get()).toList();
  }

  /** Every place of a pitch counted from the capo. */
  List<TunePlace> places(Shape shape, int root, int midi) {
    return known.computeIfAbsent(new Asked(shape, root, midi), this::search);
  }

  private List<TunePlace> search(Asked asked) {
    List<TunePlace> places = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = asked.midi() - reach.guitar().shapeMidi(s, 0);
      // Below the thumb no finger plucks.
      if (s > asked.root() && fret >= 0 && fret <= reach.highestFret()) {
        place(asked.shape(), asked.root(), s, fret).ifPresent(places::add);
      }
    }
    return List.copyOf(places);
  }

  private Optional<TunePlace> place(Shape shape, int root, int string, int fret) {
    double under =
        !onTop ? 0 : UNDER * shape.soundingStrings().stream().filter(s -> s > string).count();
    if (shape.fret(string).equals(OptionalInt.of(fret))) {
      return Optional.of(new TunePlace(string, fret, shape.finger(string), true, Set.of(), under));
    }
    // A finger that presses the string at a higher fret has to lift; one below may stay.
    boolean above = shape.fret(string).orElse(0) > fret;
    if (above && grip(shape, string).isBarre()) {
      return Optional.empty();
    }
    Set<Integer> lifted = above ? Set.of(string) : Set.of();
    if (fret == 0) {
      double cost = under + (above ? LIFTED : BESIDE / 4);
      return Optional.of(new TunePlace(string, 0, Optional.empty(), false, lifted, cost));
    }
    Optional<Finger> free = AddedFinger.on(shape, string, fret, reach);
    if (free.isPresent()) {
      double cost = under + (above ? LIFTED : BESIDE) + coming(shape, free.get(), string, fret);
      return Optional.of(new TunePlace(string, fret, free, false, lifted, cost));
    }
    return released(shape, root, string, fret, lifted, under);
  }

  /** What it costs a finger to come to a place: from its own, or from where the hand is. */
  private double coming(Shape shape, Finger finger, int string, int fret) {
    Grip there = new Grip(fret, string, string);
    Grip held = shape.grips().get(finger);
    if (held != null) {
      return held.fret() == fret ? 0 : PER_MM * way(held, there);
    }
    double away =
        shape.grips().values().stream().mapToDouble(g -> way(g, there)).min().orElse(AT_HAND);
    return PER_MM * Math.max(0, away - AT_HAND);
  }

  private double way(Grip from, Grip to) {
    return reach.distance(from, to);
  }

  private static Grip grip(TunePlace place) {
    return new Grip(place.fret(), place.string(), place.string());
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
        if (finger.isPresent()) {
          Set<Integer> left = new HashSet<>(lifted);
          left.add(inner);
          double cost = under + RELEASED + coming(shape, finger.get(), string, fret);
          return Optional.of(new TunePlace(string, fret, finger, false, left, cost));
        }
      }
    }
    return Optional.empty();
  }
}
