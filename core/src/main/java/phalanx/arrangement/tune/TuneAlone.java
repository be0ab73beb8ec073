package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Grip;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;

/**
 * Fingers a tune where no chord is held: single notes one finger a fret in a position of the hand,
 * notes at once as a shape. The positions are chosen along the whole line by dynamic programming
 * (as in Sayegh, "Fingering for String Instruments with the Optimum Path Paradigm", Computer Music
 * Journal 13(3), 1989): time and memory grow with its length. Weights are by judgement.
 */
public final class TuneAlone {

  /** Cost of leaving a position, whatever the way. */
  private static final double SHIFT = CostTerm.LINE_SHIFT.weight();

  /** Cost of each string the tune leaps over. */
  private static final double LEAP = CostTerm.TUNE_LEAP.weight();

  /** Cost of one finger taking the next note at another place, which cannot be joined. */
  private static final double AGAIN = CostTerm.LINE_AGAIN.weight();

  /** Cost of a fret, so that of two ways the lower is taken. */
  private static final double HIGH = CostTerm.LINE_FRET.weight();

  /** The same for each fret beyond the fifth: a tune alone is read and played in low positions. */
  private static final double HIGHER = CostTerm.LINE_HIGH.weight();

  private static final int LOW_FRETS = 5;

  /** Cost of the way of a shift: less than with a chord, for the hand is free. */
  private static final double SHIFT_PER_MM = CostTerm.LINE_WAY.weight() * ChangeCosts.MOVE_PER_MM;

  /** Cost of the little finger on a single note. */
  private static final double LITTLE = CostTerm.LINE_LITTLE.weight();

  /** Ways kept for notes at once. */
  private static final int MOST_WAYS = 24;

  /** Frets that one position reaches. */
  private static final int SPAN = 4;

  private static final List<Finger> FINGERS =
      List.of(Finger.INDEX, Finger.MIDDLE, Finger.RING, Finger.LITTLE);

  /**
   * A way to hold what begins at one moment.
   *
   * @param position the fret of the index; 0 where the hand stays where it was
   */
  private record Way(List<Optional<TunePlace>> places, int position, double cost) {}

  /** A row of ways up to a moment, with the position the hand is in. */
  private record Row(Way way, int position, double cost, Optional<Row> before) {}

  private final Reach reach;

  private TuneAlone(Reach reach) {
    this.reach = reach;
  }

  /** A way for each slot of a row of slots without a chord, given the notes that sound in them. */
  public static List<TuneWay> ways(List<List<MelodyNote>> slots, Reach reach) {
    TreeMap<Integer, List<MelodyNote>> moments = new TreeMap<>();
    Set<MelodyNote> seen = new HashSet<>();
    for (List<MelodyNote> slot : slots) {
      for (MelodyNote note : slot) {
        if (seen.add(note)) {
          moments.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
        }
      }
    }
    Map<MelodyNote, Optional<TunePlace>> places =
        new TuneAlone(reach).line(new ArrayList<>(moments.values()));
    List<TuneWay> ways = new ArrayList<>();
    for (List<MelodyNote> slot : slots) {
      ways.add(new TuneWay(slot.stream().map(places::get).toList(), 0));
    }
    return ways;
  }

  private Map<MelodyNote, Optional<TunePlace>> line(List<List<MelodyNote>> moments) {
    List<Row> rows = List.of();
    for (List<MelodyNote> moment : moments) {
      rows = next(rows, moment);
    }
    Map<MelodyNote, Optional<TunePlace>> places = new HashMap<>();
    Optional<Row> at = rows.stream().min(Comparator.comparingDouble(Row::cost));
    for (int m = moments.size() - 1; m >= 0; m--) {
      Row row = at.orElseThrow();
      for (int n = 0; n < moments.get(m).size(); n++) {
        places.put(moments.get(m).get(n), row.way().places().get(n));
      }
      at = row.before();
    }
    return places;
  }

  private List<Row> next(List<Row> rows, List<MelodyNote> moment) {
    List<Way> ways = ways(moment);
    Map<Object, Row> best = new LinkedHashMap<>();
    for (Way way : ways) {
      if (rows.isEmpty()) {
        best.put(way, new Row(way, way.position(), way.cost(), Optional.empty()));
      }
      for (Row row : rows) {
        int position = way.position() == 0 ? row.position() : way.position();
        double cost = row.cost() + way.cost() + step(row, way, position, moment.get(0));
        Row on = new Row(way, position, cost, Optional.of(row));
        best.merge(List.of(way, position), on, (a, b) -> b.cost() < a.cost() ? b : a);
      }
    }
    return List.copyOf(best.values());
  }

  private List<Way> ways(List<MelodyNote> moment) {
    if (moment.size() == 1) {
      return single(moment.get(0));
    }
    List<Way> laid =
        moment.stream().allMatch(MelodyNote::isNatural) ? laidAcross(moment) : List.of();
    return laid.isEmpty() ? together(moment) : laid;
  }

  /** Natural harmonics at once: one finger laid across the strings at a node that they share. */
  private List<Way> laidAcross(List<MelodyNote> moment) {
    return HarmonicPlaces.across(reach, moment).stream()
        .map(
            places ->
                new Way(
                    places.stream().map(Optional::of).toList(),
                    0,
                    places.stream().mapToDouble(TunePlace::cost).sum()))
        .toList();
  }

  /** Every place of one note, with each finger that could take it. */
  private List<Way> single(MelodyNote note) {
    List<Way> ways = new ArrayList<>();
    if (note.isNatural()) {
      new HarmonicPlaces(reach)
          .of(Shape.NOTHING, -1, note).stream()
              .filter(p -> note.string().filter(s -> s != p.string()).isEmpty())
              .forEach(p -> ways.add(new Way(List.of(Optional.of(p)), 0, p.cost())));
      return ways.isEmpty() ? List.of(missed(1)) : ways;
    }
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int fret = fret(note, string);
      if (fret == 0) {
        ways.add(new Way(List.of(Optional.of(place(string, 0, Optional.empty()))), 0, 0));
      }
      for (int f = 0; fret > 0 && f < FINGERS.size(); f++) {
        int position = fret - f;
        if (position >= 1 && reach.hand().has(FINGERS.get(f))) {
          TunePlace place = place(string, fret, Optional.of(FINGERS.get(f)));
          double high = HIGH * fret + HIGHER * Math.max(0, fret - LOW_FRETS);
          double cost = high + (FINGERS.get(f) == Finger.LITTLE ? LITTLE : 0);
          ways.add(new Way(List.of(Optional.of(place)), position, cost));
        }
      }
    }
    return ways.isEmpty() ? List.of(missed(1)) : ways;
  }

  /** The fret of a note on a string; -1 where it does not lie there, or is not wanted there. */
  private int fret(MelodyNote note, int string) {
    int fret = note.frettedMidi() - reach.guitar().shapeMidi(string, 0);
    boolean wanted = note.string().filter(s -> s != string).isEmpty();
    int lowest = note.isHeld() ? 1 : 0;
    return wanted && !note.isNatural() && fret >= lowest && fret <= reach.highestFret() ? fret : -1;
  }

  private static TunePlace place(int string, int fret, Optional<Finger> finger) {
    return new TunePlace(string, fret, finger, false, Set.of(), 0);
  }

  private static Way missed(int notes) {
    List<Optional<TunePlace>> none = new ArrayList<>();
    for (int n = 0; n < notes; n++) {
      none.add(Optional.empty());
    }
    return new Way(none, 0, TuneFit.MISSED * notes);
  }

  /** Shapes of notes at once; where no hand holds all of them the lowest are given up. */
  private List<Way> together(List<MelodyNote> moment) {
    List<MelodyNote> falling = new ArrayList<>(moment);
    falling.sort(Comparator.comparingInt(n -> -n.midi()));
    for (int count = falling.size(); count > 0; count--) {
      List<int[]> rows = new ArrayList<>();
      choose(falling.subList(0, count), new int[count], 0, rows);
      List<Way> ways =
          rows.stream()
              .sorted(Comparator.comparingInt(r -> Arrays.stream(frets(falling, r)).sum()))
              .flatMap(r -> held(moment, falling, r).stream())
              .limit(MOST_WAYS)
              .toList();
      if (!ways.isEmpty()) {
        return ways;
      }
    }
    return List.of(missed(moment.size()));
  }

  /** Every choice of a string of its own for each note, within what a hand could span. */
  private void choose(List<MelodyNote> notes, int[] strings, int at, List<int[]> rows) {
    if (at == notes.size()) {
      int[] held = Arrays.stream(frets(notes, strings)).filter(f -> f > 0).sorted().toArray();
      if (held.length == 0 || held[held.length - 1] - held[0] <= SPAN) {
        rows.add(strings.clone());
      }
      return;
    }
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int own = string;
      boolean free = Arrays.stream(strings, 0, at).noneMatch(s -> s == own);
      if (free && fret(notes.get(at), string) >= 0) {
        strings[at] = string;
        choose(notes, strings, at + 1, rows);
      }
    }
  }

  private int[] frets(List<MelodyNote> notes, int[] strings) {
    int[] frets = new int[strings.length];
    for (int n = 0; n < strings.length; n++) {
      frets[n] = fret(notes.get(n), strings[n]);
    }
    return frets;
  }

  private Optional<Way> held(List<MelodyNote> moment, List<MelodyNote> falling, int[] strings) {
    Integer[] frets = new Integer[Tuning.STRINGS];
    Arrays.fill(frets, Shape.SILENT);
    for (int n = 0; n < strings.length; n++) {
      frets[strings[n]] = fret(falling.get(n), strings[n]);
    }
    return ShapeTrial.fingerings(List.of(frets), reach).stream()
        // A finger beside a shape presses one string.
        .filter(r -> r.shape().grips().values().stream().noneMatch(Grip::isBarre))
        .filter(r -> reach.widestSpan(r.shape()).filter(w -> w.shareOfLimit() > 1).isEmpty())
        .min(Comparator.comparingDouble(RatedShape::cost))
        .map(r -> way(moment, falling, strings, r));
  }

  private Way way(
      List<MelodyNote> moment, List<MelodyNote> falling, int[] strings, RatedShape rated) {
    List<Optional<TunePlace>> places = new ArrayList<>(missed(moment.size()).places());
    int position = 0;
    for (int n = 0; n < strings.length; n++) {
      int string = strings[n];
      int fret = rated.shape().fret(string).orElse(0);
      Optional<Finger> finger = rated.shape().finger(string);
      places.set(moment.indexOf(falling.get(n)), Optional.of(place(string, fret, finger)));
      if (finger.isPresent() && FINGERS.contains(finger.get())) {
        position = Math.max(1, fret - FINGERS.indexOf(finger.get()));
      }
    }
    double missed = TuneFit.MISSED * (moment.size() - strings.length);
    return new Way(places, position, rated.cost() + missed);
  }

  private double step(Row from, Way to, int position, MelodyNote note) {
    double cost = 0;
    if (from.position() > 0 && from.position() != position) {
      double way = reach.distance(new Grip(from.position(), 0, 0), new Grip(position, 0, 0));
      cost += SHIFT + SHIFT_PER_MM * way;
    }
    Optional<TunePlace> last = from.way().places().get(0);
    Optional<TunePlace> next = to.places().get(0);
    if (last.isEmpty() || next.isEmpty()) {
      return cost;
    }
    cost += LEAP * Math.abs(last.get().string() - next.get().string());
    boolean same =
        last.get().finger().isPresent() && last.get().finger().equals(next.get().finger());
    boolean moves =
        last.get().string() != next.get().string() || last.get().fret() != next.get().fret();
    if (note.slur().isPresent()) {
      return cost
          + (canSlur(last.get(), next.get(), note.slur().get()) ? 0 : ChangeCosts.SLUR_LOST);
    }
    return cost + (same && moves ? AGAIN : 0);
  }

  private static boolean canSlur(TunePlace from, TunePlace to, Slur slur) {
    boolean same = from.finger().isPresent() && from.finger().equals(to.finger());
    return from.string() == to.string()
        && switch (slur) {
          case HAMMER_ON -> to.fret() > from.fret() && !same;
          case PULL_OFF -> to.fret() < from.fret() && !same;
          case SLIDE -> to.fret() != from.fret() && same;
        };
  }
}
