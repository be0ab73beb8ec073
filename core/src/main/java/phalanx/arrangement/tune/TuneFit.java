package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.CostTerm;
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
  static final double MISSED = CostTerm.CANNOT_BE_DONE.weight() + CostTerm.TUNE_MISSED.weight();

  private final TunePlaces places;
  private final TuneSlide slide;
  private final TuneStep step;

  public TuneFit(Reach reach, boolean onTop) {
    places = new TunePlaces(reach, onTop);
    slide = new TuneSlide(places);
    step = new TuneStep(reach);
  }

  /** Between two plans: lets go of what the last ones did not use. */
  public void forgetUnused() {
    places.forgetUnused();
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
  public List<TunePlace> places(Shape shape, int root, MelodyNote note) {
    return places.of(shape, root, note);
  }

  /** Every place of a pitch counted from the capo. */
  public List<TunePlace> places(Shape shape, int root, int midi) {
    return places.of(shape, root, midi);
  }

  /**
   * Places for the notes that begin at a moment.
   *
   * @param here one for each note, empty for one out of reach
   * @param reached those there are
   */
  private record Option(List<Optional<TunePlace>> here, List<TunePlace> reached, double cost) {

    static final Option NONE = new Option(List.of(), List.of(), 0);

    Optional<TunePlace> first() {
      return here.get(0);
    }

    static Option of(List<Optional<TunePlace>> here) {
      List<TunePlace> reached = here.stream().flatMap(Optional::stream).toList();
      double cost = 0;
      for (Optional<TunePlace> place : here) {
        cost += place.map(TunePlace::cost).orElse(MISSED);
      }
      return new Option(here, reached, cost);
    }
  }

  /**
   * A row of places up to a moment.
   *
   * @param start number of the place of the first note among those it can have, if that matters
   * @param at the places of the notes that begin at the moment
   */
  private record Row(double cost, Optional<Row> before, int start, Option at) {

    static final Row EMPTY = new Row(0, Optional.empty(), 0, Option.NONE);
  }

  /**
   * Notes that begin together.
   *
   * @param legato whether one before them sounds up to them
   * @param starts whether they begin the slot
   */
  private record Moment(List<MelodyNote> notes, boolean legato, boolean starts) {

    Optional<Slur> slur() {
      return notes.get(0).slur();
    }

    /** Whether the one before is to ring into it: quick notes would blur. */
    boolean rings() {
      return legato && notes.stream().anyMatch(MelodyNote::rings);
    }

    boolean slides() {
      return legato && slur().equals(Optional.of(Slur.SLIDE));
    }
  }

  /** What tells rows apart that lead to the same moment, in numbers. */
  private record End(int start, int option) {}

  /** The cheapest way. */
  TuneWay way(Shape shape, int root, List<MelodyNote> notes) {
    return ways(shape, root, new SlotTune(notes, SlotTune.Edges.FREE)).get(0);
  }

  /**
   * The ways over a shape, the cheapest first: one for each two places of the notes that sound at
   * the ends.
   *
   * @param root the string the thumb starts on, which stays the bass's
   */
  public List<TuneWay> ways(Shape shape, int root, SlotTune tune) {
    return ways(shape, root, tune, Double.POSITIVE_INFINITY);
  }

  /**
   * The same as far as they cost no more than a limit; others may be among them.
   *
   * @param most the limit
   */
  public List<TuneWay> ways(Shape shape, int root, SlotTune tune, double most) {
    if (tune.notes().isEmpty()) {
      return List.of(TuneWay.NONE);
    }
    List<Moment> moments = moments(tune);
    // What the notes that follow cost at least counts, or the last ones alone would end a row.
    double[] left = new double[moments.size()];
    double rest = 0;
    for (int m = moments.size() - 1; m >= 0 && most < Double.POSITIVE_INFINITY; m--) {
      rest += least(shape, root, moments.get(m));
      left[m] = most - rest;
    }
    List<Row> rows = List.of(Row.EMPTY);
    for (int m = 0; m < moments.size(); m++) {
      double limit = most < Double.POSITIVE_INFINITY ? left[m] : most;
      rows = rows.stream().filter(r -> r.cost() <= limit).toList();
      rows = rows.isEmpty() ? rows : next(shape, root, rows, moments.get(m));
    }
    Map<End, Row> best = new LinkedHashMap<>();
    List<Optional<TunePlace>> ends = rows.stream().map(r -> r.at().first()).toList();
    for (Row row : rows) {
      int end = tune.edges().atEnd() ? ends.indexOf(row.at().first()) : 0;
      best.merge(new End(row.start(), end), row, TuneFit::cheaper);
    }
    return best.values().stream()
        .sorted(Comparator.comparingDouble(Row::cost))
        .map(TuneFit::way)
        .toList();
  }

  private static List<Moment> moments(SlotTune tune) {
    List<Moment> moments = new ArrayList<>();
    List<MelodyNote> notes = tune.notes();
    int from = 0;
    while (from < notes.size()) {
      int to = from + 1;
      while (to < notes.size() && notes.get(to).tick() == notes.get(from).tick()) {
        to++;
      }
      boolean starts = from == 0 && tune.edges().atStart();
      moments.add(new Moment(notes.subList(from, to), legato(notes, from), starts));
      from = to;
    }
    return moments;
  }

  /** What a moment costs at least; 0 where fingers may go elsewhere than to a note's own places. */
  private double least(Shape shape, int root, Moment moment) {
    if (moment.notes().size() > 1 || moment.slides()) {
      return 0;
    }
    double least = MISSED;
    for (TunePlace place : places.of(shape, root, moment.notes().get(0))) {
      least = Math.min(least, place.cost());
    }
    return least;
  }

  /**
   * Whether a note sounds up to the time at which another begins; the first is judged elsewhere.
   */
  public static boolean legato(List<MelodyNote> notes, int at) {
    int tick = notes.get(at).tick();
    return notes.subList(0, at).stream().anyMatch(n -> n.endTick() == tick);
  }

  private static Row cheaper(Row a, Row b) {
    return b.cost() < a.cost() ? b : a;
  }

  private static TuneWay way(Row last) {
    List<Optional<TunePlace>> places = new ArrayList<>();
    for (Row r = last; r.before().isPresent(); r = r.before().get()) {
      places.addAll(0, r.at().here());
    }
    return new TuneWay(places, last.cost());
  }

  /** The rows one moment on. */
  private List<Row> next(Shape shape, int root, List<Row> rows, Moment moment) {
    Map<End, Row> best = new LinkedHashMap<>();
    List<Option> options = new ArrayList<>();
    together(shape, root, moment.notes()).forEach(here -> options.add(Option.of(here)));
    int plain = options.size();
    List<Optional<TunePlace>> firsts = options.stream().map(Option::first).toList();
    for (Row row : rows) {
      for (int i = 0; i < plain; i++) {
        int start = moment.starts() ? firsts.indexOf(firsts.get(i)) : row.start();
        Row on = on(shape, row, options.get(i), start, moment);
        best.merge(new End(start, i), on, TuneFit::cheaper);
      }
      int slid = moment.slides() ? slidTo(shape, root, row, moment, options) : 0;
      if (slid >= plain) {
        Row on = on(shape, row, options.get(slid), row.start(), moment);
        best.merge(new End(row.start(), slid), on, TuneFit::cheaper);
      }
    }
    return List.copyOf(best.values());
  }

  private Row on(Shape shape, Row row, Option option, int start, Moment moment) {
    double stepped =
        step.cost(shape, row.at().reached(), option.reached(), moment.slur(), moment.rings());
    return new Row(row.cost() + option.cost() + stepped, Optional.of(row), start, option);
  }

  /**
   * The number of the places to which the fingers of a row slide, which are put to the others if
   * they are not among them; -1 if they cannot slide.
   */
  private int slidTo(Shape shape, int root, Row row, Moment moment, List<Option> options) {
    Optional<Option> slid = slide.of(shape, root, row.at().here(), moment.notes()).map(Option::of);
    slid.filter(o -> !options.contains(o)).ifPresent(options::add);
    return slid.map(options::indexOf).orElse(-1);
  }

  /** The places of notes that begin together, as far as there is one for each. */
  private List<List<Optional<TunePlace>>> together(Shape shape, int root, List<MelodyNote> notes) {
    List<List<Optional<TunePlace>>> rows = List.of(List.of());
    for (MelodyNote note : notes) {
      List<List<Optional<TunePlace>>> longer = new ArrayList<>();
      for (List<Optional<TunePlace>> row : rows) {
        for (TunePlace place : places.of(shape, root, note)) {
          boolean free =
              row.stream()
                  .flatMap(Optional::stream)
                  .noneMatch(
                      p ->
                          clash(shape, p, place)
                              || note.isBent() && BendPlaces.meet(p.string(), place.string()));
          if (free) {
            longer.add(with(row, Optional.of(place)));
          }
        }
      }
      if (longer.isEmpty()) {
        rows.forEach(r -> longer.addAll(beside(shape, root, r, note)));
      }
      rows = longer.isEmpty() ? rows.stream().map(r -> with(r, Optional.empty())).toList() : longer;
    }
    return rows;
  }

  /** Two notes that alone would take the same finger, with the fingers chosen for both. */
  private List<List<Optional<TunePlace>>> beside(
      Shape shape, int root, List<Optional<TunePlace>> row, MelodyNote note) {
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

  /**
   * Whether the fretting hand can make a note from one before it.
   *
   * @param together the notes that begin with the one before, itself among them
   */
  boolean canSlur(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to, Slur slur) {
    return step.canSlur(shape, from, together, to, slur);
  }
}
