package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Candidates;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Grip;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.ShapeStretches;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternHeard;
import phalanx.picking.StringRoles;
import phalanx.picking.ThumbRoute;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.testing.Draws;

/** The plan of shapes together with the tune: what each finger does from one chord to the next. */
class TunePlanTest {

  /** No pattern, so that nothing of a shape may rest. */
  static final PatternHeard UNHEARD =
      PatternHeard.of(
          List.of(),
          true,
          Set.of(),
          ThumbRoute.ALTERNATING,
          Optional.empty(),
          Optional.empty(),
          Guitar.STEEL);

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);
  private static final ChangeCosts CHANGES = new ChangeCosts(REACH);
  private static final TuneFit FIT = new TuneFit(REACH, true);
  private static final String[] CHORDS = {"C", "G", "Am7", "D7", "F", "Em"};
  private static final int[] SCALE = {60, 62, 64, 65, 67, 69, 71, 72};
  private static final int BAR = 20160;
  private static final double MILLIS = 300;

  private static MelodyNote sung(int tick, int end, int midi) {
    return new MelodyNote(tick, end, midi, Optional.empty(), "n", Optional.empty(), 1, tick);
  }

  private static ShapeQuery query(String chord) {
    return ShapeQuery.of(TestSongs.chord(chord), Guitar.STEEL, Hand.MEDIUM);
  }

  /** A line in which now and then a note sounds on over the bar line. */
  private static List<MelodyNote> line(Draws draws, int bars) {
    List<MelodyNote> line = new ArrayList<>();
    int at = 0;
    while (at < bars * BAR) {
      int end = Math.min(bars * BAR, at + 5040 * (1 + draws.nextInt(4)));
      line.add(sung(at, end, SCALE[draws.nextInt(SCALE.length)]));
      at = end;
    }
    return line;
  }

  private static List<MelodyNote> in(List<MelodyNote> line, int bar) {
    return line.stream()
        .filter(n -> n.tick() < (bar + 1) * BAR && n.endTick() > bar * BAR)
        .toList();
  }

  /** Every row of places of the notes of a bar, not only the cheapest. */
  private static List<List<TunePlace>> rows(Shape shape, int root, List<MelodyNote> notes) {
    List<List<TunePlace>> rows = List.of(List.of());
    for (MelodyNote note : notes) {
      List<List<TunePlace>> longer = new ArrayList<>();
      for (List<TunePlace> row : rows) {
        for (TunePlace place : FIT.places(shape, root, note)) {
          List<TunePlace> more = new ArrayList<>(row);
          more.add(place);
          longer.add(more);
        }
      }
      rows = longer;
    }
    return rows;
  }

  /** What a row of places costs, added up plainly: the weights stand in TuneFit. */
  private static double cost(List<TunePlace> row) {
    double cost = 0;
    for (int n = 0; n < row.size(); n++) {
      cost += row.get(n).cost();
      if (n > 0) {
        TunePlace last = row.get(n - 1);
        TunePlace here = row.get(n);
        boolean same = last.string() == here.string() && last.fret() == here.fret();
        boolean again = !same && here.finger().isPresent() && last.finger().equals(here.finger());
        cost += 0.04 * Math.abs(last.string() - here.string());
        cost += again ? 0.2 + 0.008 * REACH.distance(grip(last), grip(here)) : 0;
      }
    }
    return cost;
  }

  private static Grip grip(TunePlace place) {
    return new Grip(place.fret(), place.string(), place.string());
  }

  /** A candidate for every shape and every row of places at all. */
  private static List<RatedShape> everything(List<RatedShape> shapes, String chord, SlotTune tune) {
    List<RatedShape> all = new ArrayList<>();
    for (RatedShape r : shapes) {
      int root = StringRoles.root(r.shape(), TestSongs.chord(chord), Guitar.STEEL).orElseThrow();
      for (List<TunePlace> row : rows(r.shape(), root, tune.notes())) {
        TuneWay way = new TuneWay(row.stream().map(Optional::of).toList(), cost(row));
        Stance entry = tune.entry(r.shape(), way);
        Stance exit = tune.exit(r.shape(), way);
        double stretch = ShapeStretches.of(r.shape(), REACH).cost(Set.of());
        double cost = r.cost() + stretch + way.cost();
        all.add(new RatedShape(r.shape(), cost, Set.of(), 0, entry, exit));
      }
    }
    return all;
  }

  /**
   * Over three bars, four shapes each: the plan costs what the cheapest of all shapes with all
   * places of all notes costs, found by trying every one.
   */
  @Property(tries = 40)
  void equalsBruteForceOverEveryPlaceOfEveryNote(@ForAll Draws draws) {
    List<MelodyNote> line = line(draws, 3);
    List<PlanSlot> kept = new ArrayList<>();
    List<List<RatedShape>> every = new ArrayList<>();
    for (int bar = 0; bar < 3; bar++) {
      String chord = CHORDS[draws.nextInt(CHORDS.length)];
      List<RatedShape> shapes = ShapeSearch.find(query(chord), REACH).candidates(4, 1);
      SlotTune tune = SlotTune.of(in(line, bar), bar * BAR, (bar + 1) * BAR);
      List<RatedShape> ways = new ArrayList<>();
      shapes.forEach(r -> ways.addAll(TuneCandidates.rated(query(chord), r, UNHEARD, tune, FIT)));
      kept.add(new PlanSlot(Candidates.of(ways), OptionalInt.empty(), MILLIS));
      every.add(everything(shapes, chord, tune));
    }
    boolean whole = every.stream().noneMatch(List::isEmpty);
    if (whole) {
      double planned = PlanSolver.solve(new PlanProblem(kept, CHANGES)).cost();
      assertThat(planned).isCloseTo(cheapest(every), within(1e-9));
    }
  }

  /** The cheapest row, from the last bar back; every pair of candidates is looked at. */
  private static double cheapest(List<List<RatedShape>> bars) {
    double[] onward = new double[bars.get(bars.size() - 1).size()];
    for (int bar = bars.size() - 2; bar >= 0; bar--) {
      List<RatedShape> here = bars.get(bar);
      List<RatedShape> next = bars.get(bar + 1);
      double[] cost = new double[here.size()];
      for (int h = 0; h < cost.length; h++) {
        cost[h] = Double.POSITIVE_INFINITY;
        for (int n = 0; n < onward.length; n++) {
          double change = CHANGES.explain(here.get(h).exit(), next.get(n).entry(), MILLIS).value();
          cost[h] = Math.min(cost[h], change + next.get(n).cost() + onward[n]);
        }
      }
      onward = cost;
    }
    double[] rest = onward;
    return IntStream.range(0, rest.length)
        .mapToDouble(c -> bars.get(0).get(c).cost() + rest[c])
        .min()
        .orElseThrow();
  }

  private static Arrangement arranged(String chords, String... bars) {
    Song song = TestSongs.of(chords).withPattern(AlternatingThumb.FINGERS_BETWEEN).withTempo(80);
    return new Arranger().arrange(TestSongs.singing(song, bars));
  }

  /** A note of both chords that is tied over the change stays under its finger. */
  @Test
  void aTiedNoteIsKeptOverTheChange() {
    for (String[] song :
        List.of(
            new String[] {"C | Am", "c4 . . .", ". . e ."},
            new String[] {"Am | F", "c4 . . e", ". . f ."},
            new String[] {"G | Em", "d4 . g .", ". . e ."},
            new String[] {"D | Bm7", "d4 . . f#", ". . d ."},
            new String[] {"G | C", "g4 . . .", ". . e ."})) {
      Arrangement a = arranged(song[0], song[1], song[2]);
      for (Slot slot : a.slots()) {
        for (MelodyNote note : slot.tune()) {
          Note played = a.played(note).orElseThrow();
          assertThat(played.tick() + played.lengthTicks())
              .as("%s %s", song[0], note.label())
              .isGreaterThanOrEqualTo(note.endTick());
        }
      }
    }
  }

  /**
   * The open ① rings on into a G that presses it at fret 3: that finger lands only when its own
   * note is due, the others with the chord (common practice, no source).
   */
  @Test
  void aFingerLandsLateWhereItsStringStillRings() {
    Shape g =
        ShapeSearch.find(query("G"), REACH)
            .fingering(List.of(3, 2, 0, 0, 0, 3))
            .orElseThrow()
            .shape();
    Arrangement free = arranged("C | G", ". . 1:0 .", ". . 1:3 .");
    Arrangement a = new Arranger().arrange(free.song().pin(new SlotRef(2, 0), g));
    int due = BAR + BAR / 2;
    Finger late = g.finger(5).orElseThrow();
    assertThat(a.notes())
        .filteredOn(n -> n.string() == 5 && n.tick() == BAR / 2)
        .singleElement()
        .satisfies(n -> assertThat(n.tick() + n.lengthTicks()).isEqualTo(due));
    assertThat(a.holds())
        .filteredOn(h -> h.toTick() > BAR && h.fromTick() >= BAR && h.finger() == late)
        .extracting(Hold::fromTick)
        .containsExactly(due);
    assertThat(a.holds())
        .filteredOn(h -> h.fromTick() == BAR && h.finger() != late)
        .hasSize(g.grips().size() - 1 - a.slots().get(1).resting().size());
  }

  /**
   * While a half note sounds under the ring finger, index and middle finger do the moving (common
   * practice, no source): c on ⑤3 held by finger 3 under d, e and f on ④ and ③.
   */
  @Test
  void whileTheRingFingerHoldsTheOthersMove() {
    Arrangement a = arranged("C", "2:1 . 2:3 .");
    Shape shape = a.slots().get(0).shape().orElseThrow();
    assertThat(shape.grips()).containsKey(Finger.RING);
    int low = shape.grips().get(Finger.RING).lowString();
    List<Hold> ring =
        a.holds().stream().filter(h -> h.finger() == Finger.RING && h.lowString() == low).toList();
    assertThat(ring).singleElement().satisfies(h -> assertThat(h.toTick()).isEqualTo(BAR));
    List<Finger> moving =
        a.holds().stream().filter(h -> h.fromTick() > 0).map(Hold::finger).distinct().toList();
    assertThat(moving).doesNotContain(Finger.RING);
  }
}
