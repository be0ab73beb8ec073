package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Shape;
import phalanx.melody.Slur;

/**
 * Finds the ways to play one slot's tune over shapes: by dynamic programming over the moments at
 * which its notes begin, which are the same for every shape.
 */
public final class TuneSearch {

  /** Cost of a chord that comes without its bass, because the tune is there. */
  private static final double BASS_LOST = CostTerm.WILL_BE_HEARD.weight();

  private static final Comparator<Row> BY_COST = Comparator.comparingDouble(Row::cost);

  private final SlotTune tune;
  private final TunePlaces places;
  private final TuneSlide slide;
  private final TuneStep step;
  private final List<Moment> moments;

  TuneSearch(SlotTune tune, TunePlaces places, TuneSlide slide, TuneStep step) {
    this.tune = tune;
    this.places = places;
    this.slide = slide;
    this.step = step;
    moments = moments(tune);
  }

  /**
   * A row of places up to a moment.
   *
   * @param start number of the place of the first note among those it can have, if that matters
   * @param at the places of the notes that begin at the moment
   */
  private record Row(double cost, Optional<Row> before, int start, PlacesTogether at) {

    static final Row EMPTY = new Row(0, Optional.empty(), 0, PlacesTogether.NONE);
  }

  /**
   * Notes that begin together.
   *
   * @param slur how the fretting hand makes them, if it does
   * @param rings whether the one before is to ring into it: quick notes would blur
   * @param slides whether fingers slide to them
   * @param starts whether they begin the slot
   */
  private record Moment(
      List<MelodyNote> notes, Optional<Slur> slur, boolean rings, boolean slides, boolean starts) {

    static Moment of(List<MelodyNote> notes, boolean legato, boolean starts) {
      Optional<Slur> slur = notes.get(0).slur();
      boolean rings = legato && notes.stream().anyMatch(MelodyNote::rings);
      boolean slides = legato && slur.equals(Optional.of(Slur.SLIDE));
      return new Moment(notes, slur, rings, slides, starts);
    }

    /** Whether fingers may go elsewhere than to the notes' own places. */
    boolean isOpen() {
      return notes.size() > 1 || slides;
    }
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
      moments.add(Moment.of(notes.subList(from, to), TuneFit.legato(notes, from), starts));
      from = to;
    }
    return moments;
  }

  /**
   * The ways over a shape, the cheapest first: one for each two places of the notes that sound at
   * the ends.
   *
   * @param root the string the thumb starts on: the bass's, unless the tune goes down to it
   * @param most what they may cost; dearer ones may be among them, or left out
   */
  public List<TuneWay> ways(Shape shape, int root, double most) {
    if (moments.isEmpty()) {
      return List.of(TuneWay.NONE);
    }
    boolean limited = most < Double.POSITIVE_INFINITY;
    List<List<PlacesTogether>> options = new ArrayList<>(moments.size());
    double[] left = new double[moments.size()];
    double rest = 0;
    for (int m = moments.size() - 1; m >= 0; m--) {
      Moment moment = moments.get(m);
      List<PlacesTogether> here =
          limited && moment.isOpen() ? List.of() : options(shape, root, moment);
      options.add(here);
      // What the notes that follow cost at least counts, or the last ones alone would end a row.
      rest += moment.isOpen() ? 0 : least(here);
      left[m] = limited ? most - rest : most;
      if (left[m] < 0) {
        return List.of();
      }
    }
    Collections.reverse(options);
    List<Row> rows = List.of(Row.EMPTY);
    for (int m = 0; m < moments.size() && !rows.isEmpty(); m++) {
      rows = within(rows, left[m]);
      if (!rows.isEmpty()) {
        List<PlacesTogether> here = options.get(m);
        here = here.isEmpty() ? options(shape, root, moments.get(m)) : here;
        rows = next(shape, root, rows, moments.get(m), here);
      }
    }
    return best(rows);
  }

  private List<PlacesTogether> options(Shape shape, int root, Moment moment) {
    List<PlacesTogether> all = PlacesTogether.all(shape, root, moment.notes(), places);
    if (!moment.starts()) {
      return all;
    }
    List<PlacesTogether> dearer = new ArrayList<>(all.size());
    boolean lost = false;
    for (PlacesTogether option : all) {
      boolean takesBass = takesBass(option, root);
      dearer.add(takesBass ? option.dearer(BASS_LOST) : option);
      lost |= takesBass;
    }
    return lost ? dearer : all;
  }

  /** Whether a note lies where the chord's bass does, or below it, and is not that bass. */
  private static boolean takesBass(PlacesTogether option, int root) {
    for (TunePlace place : option.reached()) {
      if (place.string() <= root && !place.inShape()) {
        return true;
      }
    }
    return false;
  }

  private static double least(List<PlacesTogether> options) {
    double least = TuneFit.MISSED;
    for (PlacesTogether option : options) {
      least = Math.min(least, option.cost());
    }
    return least;
  }

  private static List<Row> within(List<Row> rows, double limit) {
    for (Row row : rows) {
      if (row.cost() > limit) {
        return rows.stream().filter(r -> r.cost() <= limit).toList();
      }
    }
    return rows;
  }

  private List<TuneWay> best(List<Row> rows) {
    List<Row> best = new ArrayList<>(rows.size());
    for (Row row : rows) {
      int same = 0;
      while (same < best.size() && !endsLike(row, best.get(same))) {
        same++;
      }
      if (same == best.size()) {
        best.add(row);
      } else {
        best.set(same, cheaper(best.get(same), row));
      }
    }
    best.sort(BY_COST);
    List<TuneWay> ways = new ArrayList<>(best.size());
    for (Row row : best) {
      ways.add(way(row));
    }
    return ways;
  }

  /** Whether rows are the same for the slots around: in where they start and in where they end. */
  private boolean endsLike(Row one, Row other) {
    return one.start() == other.start()
        && (!tune.edges().atEnd() || one.at().first().equals(other.at().first()));
  }

  private static Row cheaper(Row a, Row b) {
    return b.cost() < a.cost() ? b : a;
  }

  private TuneWay way(Row last) {
    List<Optional<TunePlace>> backwards = new ArrayList<>(tune.notes().size());
    for (Row r = last; r.before().isPresent(); r = r.before().get()) {
      List<Optional<TunePlace>> here = r.at().here();
      for (int k = here.size() - 1; k >= 0; k--) {
        backwards.add(here.get(k));
      }
    }
    Collections.reverse(backwards);
    return new TuneWay(backwards, last.cost());
  }

  /** The rows one moment on: the cheapest for each start and each of the places there. */
  private List<Row> next(
      Shape shape, int root, List<Row> rows, Moment moment, List<PlacesTogether> plain) {
    List<PlacesTogether> options = moment.slides() ? new ArrayList<>(plain) : plain;
    int[] firsts = moment.starts() ? firsts(plain) : new int[0];
    Best best = new Best(rows, options.size());
    for (Row row : rows) {
      for (int i = 0; i < plain.size(); i++) {
        int start = moment.starts() ? firsts[i] : row.start();
        best.take(start, i, on(shape, row, options.get(i), start, moment));
      }
      int slid = moment.slides() ? slidTo(shape, root, row, moment, options) : 0;
      if (slid >= plain.size()) {
        best.take(row.start(), slid, on(shape, row, options.get(slid), row.start(), moment));
      }
    }
    return best.inOrder;
  }

  /** By options the first of them with the same place for their first note. */
  private static int[] firsts(List<PlacesTogether> options) {
    List<Optional<TunePlace>> places = new ArrayList<>(options.size());
    options.forEach(o -> places.add(o.first()));
    int[] firsts = new int[options.size()];
    Arrays.setAll(firsts, i -> places.indexOf(places.get(i)));
    return firsts;
  }

  /** The cheapest row for each start and each of some places, in the order they were found. */
  private static final class Best {

    private final List<Row> inOrder = new ArrayList<>();
    private final int width;
    private final int[] place;

    /** With room for one more option a row, for that may slide somewhere else. */
    Best(List<Row> rows, int options) {
      width = options + rows.size();
      int starts = options;
      for (Row row : rows) {
        starts = Math.max(starts, row.start() + 1);
      }
      place = new int[starts * width];
    }

    void take(int start, int option, Row row) {
      int at = start * width + option;
      if (place[at] == 0) {
        inOrder.add(row);
        place[at] = inOrder.size();
      } else {
        inOrder.set(place[at] - 1, cheaper(inOrder.get(place[at] - 1), row));
      }
    }
  }

  private Row on(Shape shape, Row row, PlacesTogether option, int start, Moment moment) {
    double stepped =
        step.cost(shape, row.at().reached(), option.reached(), moment.slur(), moment.rings());
    return new Row(row.cost() + option.cost() + stepped, Optional.of(row), start, option);
  }

  /**
   * The number of the places to which the fingers of a row slide, which are put to the others if
   * they are not among them; -1 if they cannot slide.
   */
  private int slidTo(Shape shape, int root, Row row, Moment moment, List<PlacesTogether> options) {
    Optional<PlacesTogether> slid =
        slide.of(shape, root, row.at().here(), moment.notes()).map(PlacesTogether::of);
    slid.filter(o -> !options.contains(o)).ifPresent(options::add);
    return slid.map(options::indexOf).orElse(-1);
  }
}
