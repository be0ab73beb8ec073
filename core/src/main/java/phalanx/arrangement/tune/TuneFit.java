package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Sung;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.melody.Slur;

/**
 * Finds how the tune goes over a shape: the cheapest row of places by dynamic programming over the
 * moments at which notes of a slot begin. Where a note sounds at an end of the slot there is one
 * way for each place it can have there, for it is the plan that chooses among them. Weights are by
 * judgement.
 */
public final class TuneFit {

  /** Cost of a note that no finger reaches. */
  static final double MISSED = 30;

  /** Cost of each string the tune leaps over. */
  private static final double LEAP = 0.04;

  /** Cost of one finger taking the next note at another place. */
  private static final double AGAIN = 0.2;

  private final TunePlaces places;
  private final TuneSlide slide;

  public TuneFit(Reach reach, boolean onTop) {
    places = new TunePlaces(reach, onTop);
    slide = new TuneSlide(places);
  }

  /** As an arrangement's plan has it. */
  public static TuneFit of(Arrangement a) {
    return new TuneFit(a.plan().problem().changes().reach(), a.song().tune().onTop());
  }

  public Reach reach() {
    return places.reach();
  }

  public boolean onTop() {
    return places.onTop();
  }

  /** Every place of a note, those on another string than the player wants left out. */
  public List<TunePlace> places(Shape shape, int root, Sung note) {
    return places.of(shape, root, note);
  }

  /** Every place of a pitch counted from the capo. */
  public List<TunePlace> places(Shape shape, int root, int midi) {
    return places.of(shape, root, midi);
  }

  /**
   * A row of places up to a moment.
   *
   * @param start the place of the first note, if that matters
   * @param here the places of the notes that begin at the moment
   */
  private record Row(
      double cost,
      Optional<Row> before,
      Optional<TunePlace> start,
      List<Optional<TunePlace>> here) {

    static final Row EMPTY = new Row(0, Optional.empty(), Optional.empty(), List.of());
  }

  /**
   * Notes that begin together.
   *
   * @param legato whether one before them sounds up to them
   * @param starts whether they begin the slot
   */
  private record Moment(List<Sung> notes, boolean legato, boolean starts) {}

  /** What tells rows apart that lead to the same moment. */
  private record End(Optional<TunePlace> start, List<Optional<TunePlace>> here) {}

  /** The cheapest way. */
  TuneWay way(Shape shape, int root, List<Sung> notes) {
    return ways(shape, root, new SlotTune(notes, SlotTune.Edges.FREE)).get(0);
  }

  /**
   * The ways over a shape, the cheapest first: one for each two places of the notes that sound at
   * the ends.
   *
   * @param root the string the thumb starts on, which stays the bass's
   */
  public List<TuneWay> ways(Shape shape, int root, SlotTune tune) {
    if (tune.notes().isEmpty()) {
      return List.of(TuneWay.NONE);
    }
    List<Row> rows = List.of(Row.EMPTY);
    List<Sung> notes = tune.notes();
    int from = 0;
    while (from < notes.size()) {
      int to = from + 1;
      while (to < notes.size() && notes.get(to).tick() == notes.get(from).tick()) {
        to++;
      }
      boolean starts = from == 0 && tune.edges().atStart();
      Moment moment = new Moment(notes.subList(from, to), legato(notes, from), starts);
      rows = next(shape, root, rows, moment);
      from = to;
    }
    Map<End, Row> best = new LinkedHashMap<>();
    for (Row row : rows) {
      List<Optional<TunePlace>> end =
          tune.edges().atEnd() ? row.here().subList(0, 1) : List.<Optional<TunePlace>>of();
      best.merge(new End(row.start(), end), row, TuneFit::cheaper);
    }
    return best.values().stream()
        .sorted(Comparator.comparingDouble(Row::cost))
        .map(TuneFit::way)
        .toList();
  }

  /**
   * Whether a note sounds up to the time at which another begins; the first is judged elsewhere.
   */
  public static boolean legato(List<Sung> notes, int at) {
    int tick = notes.get(at).tick();
    return notes.subList(0, at).stream().anyMatch(n -> n.endTick() == tick);
  }

  private static Row cheaper(Row a, Row b) {
    return b.cost() < a.cost() ? b : a;
  }

  private static TuneWay way(Row last) {
    List<Optional<TunePlace>> places = new ArrayList<>();
    for (Row r = last; r.before().isPresent(); r = r.before().get()) {
      places.addAll(0, r.here());
    }
    return new TuneWay(places, last.cost());
  }

  /** The rows one moment on. */
  private List<Row> next(Shape shape, int root, List<Row> rows, Moment moment) {
    List<Sung> notes = moment.notes();
    Map<End, Row> best = new LinkedHashMap<>();
    List<List<Optional<TunePlace>>> all = together(shape, root, notes);
    for (Row row : rows) {
      List<List<Optional<TunePlace>>> options = all;
      Optional<List<Optional<TunePlace>>> slid =
          moment.legato() && notes.get(0).slur().filter(s -> s == Slur.SLIDE).isPresent()
              ? slide.of(shape, root, row.here(), notes)
              : Optional.empty();
      if (slid.isPresent()) {
        options = new ArrayList<>(all);
        options.add(slid.get());
      }
      for (List<Optional<TunePlace>> here : options) {
        Optional<TunePlace> start = moment.starts() ? here.get(0) : row.start();
        double cost = row.cost() + cost(here) + step(shape, row.here(), here, moment);
        Row on = new Row(cost, Optional.of(row), start, here);
        best.merge(new End(start, here), on, TuneFit::cheaper);
      }
    }
    return List.copyOf(best.values());
  }

  private static double cost(List<Optional<TunePlace>> here) {
    return here.stream().mapToDouble(p -> p.map(TunePlace::cost).orElse(MISSED)).sum();
  }

  /** The places of notes that begin together, as far as there is one for each. */
  private List<List<Optional<TunePlace>>> together(Shape shape, int root, List<Sung> notes) {
    List<List<Optional<TunePlace>>> rows = List.of(List.of());
    for (Sung note : notes) {
      List<List<Optional<TunePlace>>> longer = new ArrayList<>();
      for (List<Optional<TunePlace>> row : rows) {
        for (TunePlace place : places.of(shape, root, note)) {
          if (row.stream().flatMap(Optional::stream).noneMatch(p -> clash(shape, p, place))) {
            longer.add(with(row, Optional.of(place)));
          }
        }
      }
      rows = longer.isEmpty() ? rows.stream().map(r -> with(r, Optional.empty())).toList() : longer;
    }
    return rows;
  }

  private static List<Optional<TunePlace>> with(
      List<Optional<TunePlace>> row, Optional<TunePlace> place) {
    List<Optional<TunePlace>> longer = new ArrayList<>(row);
    longer.add(place);
    return longer;
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
    return !AddedFinger.on(held, b.string(), b.fret(), reach()).equals(b.finger());
  }

  private double step(
      Shape shape,
      List<Optional<TunePlace>> before,
      List<Optional<TunePlace>> here,
      Moment moment) {
    List<TunePlace> last = before.stream().flatMap(Optional::stream).toList();
    List<TunePlace> now = here.stream().flatMap(Optional::stream).toList();
    if (last.isEmpty() || now.isEmpty()) {
      return 0;
    }
    Optional<Slur> slur = moment.notes().get(0).slur();
    if (slur.isPresent()) {
      return ChangeCosts.SLUR_LOST
          * now.stream()
              .filter(p -> last.stream().noneMatch(b -> canSlur(shape, b, last, p, slur.get())))
              .count();
    }
    double leap = LEAP * Math.abs(last.get(last.size() - 1).string() - now.get(0).string());
    return leap
        + now.stream()
            .mapToDouble(p -> last.stream().mapToDouble(b -> again(b, p)).max().orElse(0))
            .sum();
  }

  /** What it costs a finger to go on to another place. */
  private double again(TunePlace from, TunePlace to) {
    boolean same = from.string() == to.string() && from.fret() == to.fret();
    return !same && to.finger().isPresent() && from.finger().equals(to.finger())
        ? AGAIN + ChangeCosts.MOVE_PER_MM * reach().distance(from.grip(), to.grip())
        : 0;
  }

  /**
   * Whether the fretting hand can make a note from one before it: on the same string, upwards for a
   * hammer-on, downwards with both fingers down for a pull-off, by the same finger for a slide.
   *
   * @param together the notes that begin with the one before, itself among them
   */
  boolean canSlur(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to, Slur slur) {
    boolean string = from.string() == to.string();
    boolean sameFinger = to.finger().isPresent() && from.finger().equals(to.finger());
    return string
        && switch (slur) {
          case HAMMER_ON -> to.fret() > from.fret() && !sameFinger;
          case PULL_OFF ->
              to.fret() < from.fret() && !sameFinger && bothDown(shape, from, together, to);
          case SLIDE -> to.fret() != from.fret() && sameFinger;
        };
  }

  private boolean bothDown(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to) {
    List<TunePlace> others = together.stream().filter(p -> !p.equals(from)).toList();
    if (to.inShape() || to.finger().isEmpty()) {
      return to.left().isEmpty()
          && together.stream().noneMatch(p -> p.left().contains(to.string()));
    }
    boolean elsewhere = shape.grips().containsKey(to.finger().get());
    boolean leaves = together.stream().anyMatch(p -> !p.left().isEmpty());
    if (elsewhere || from.inShape() || !to.left().isEmpty() || leaves) {
      return false;
    }
    if (from.finger().isEmpty()
        || !reach().spans(to.finger().get(), to.grip(), from.finger().get(), from.grip())) {
      return false;
    }
    Shape held = shape.with(to.string(), new Stop.Pressed(to.fret(), to.finger().get()));
    for (TunePlace other : others) {
      if (!other.inShape() && other.finger().isPresent()) {
        // A note that sounds on over a change may have had its finger elsewhere.
        Grip down = held.grips().get(other.finger().get());
        if (other.finger().equals(to.finger()) || down != null && down.fret() != other.fret()) {
          return false;
        }
        held = held.with(other.string(), new Stop.Pressed(other.fret(), other.finger().get()));
      }
    }
    return (others.isEmpty() || AddedFinger.together(held, reach()))
        && AddedFinger.on(held, from.string(), from.fret(), reach()).equals(from.finger());
  }
}
