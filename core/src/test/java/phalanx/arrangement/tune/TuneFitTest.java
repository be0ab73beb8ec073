package phalanx.arrangement.tune;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.Grip;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;
import phalanx.melody.Slur;
import phalanx.picking.StringRoles;
import phalanx.song.TestSongs;
import phalanx.theory.Chord;
import phalanx.theory.Pitch;

class TuneFitTest {

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);
  private static final TuneFit FIT = new TuneFit(REACH, true);

  /** Chords as beginners hold them, with their frets. */
  private static final String[][] HELD = {
    {"C", "x32010"}, {"G", "320003"}, {"Am", "x02210"}, {"Em", "022000"}
  };

  private static Shape shape(String chord, String frets) {
    List<Integer> numbers = frets.chars().mapToObj(c -> c == 'x' ? -1 : c - '0').toList();
    RatedShape rated =
        ShapeSearch.find(
                ShapeQuery.of(TestSongs.chord(chord), Guitar.STEEL, Hand.MEDIUM)
                    .withBass(Optional.empty()))
            .fingering(numbers)
            .orElseThrow();
    return rated.shape();
  }

  private static int root(String chord, Shape shape) {
    Chord c = TestSongs.chord(chord);
    return StringRoles.root(shape, c, Guitar.STEEL).orElseThrow();
  }

  private static MelodyNote sung(int tick, int midi) {
    return new MelodyNote(
        tick, tick + 2520, midi, Optional.empty(), "", Optional.<Slur>empty(), 1, tick);
  }

  private static String places(String chord, String frets, String pitch) {
    Shape shape = shape(chord, frets);
    int midi = Pitch.parse(pitch).orElseThrow().midi();
    return FIT.places(shape, root(chord, shape), sung(0, midi)).stream()
        .map(
            p ->
                StringSign.number(p.string())
                    + ":"
                    + p.fret()
                    + p.finger().map(f -> " " + f.sign()).orElse(""))
        .sorted()
        .collect(Collectors.joining(", "));
  }

  /**
   * Over E7 with fingers on ⑤ and ③ a B above the hand is taken on ① 7: the hand leaves its place,
   * and the open strings ring on (common practice, no source). A note at hand moves nobody.
   */
  @Test
  void theHandLeavesItsPlaceForANoteThatNoFingerReaches() {
    Shape e7 = shape("E7", "020100");
    List<TunePlace> high = FIT.places(e7, 0, sung(0, Pitch.parse("B4").orElseThrow().midi()));
    TunePlace first = high.stream().filter(p -> p.string() == 5).findFirst().orElseThrow();
    assertThat(first.fret()).isEqualTo(7);
    assertThat(first.left()).containsExactlyInAnyOrder(1, 3);
    assertThat(FIT.places(e7, 0, sung(0, Pitch.parse("G#4").orElseThrow().midi())))
        .anyMatch(p -> p.string() == 5 && p.fret() == 4 && p.left().isEmpty());
  }

  /**
   * An A above Am7 that no finger reaches beside the others is taken on ① 5, nearest to the hand,
   * not far up an inner string by the one finger that then holds nothing else either (common
   * practice, no source).
   */
  @Test
  void theHandGoesNoFurtherThanItHasTo() {
    Shape am7 = shape("Am7", "x02010");
    List<MelodyNote> tune = List.of(sung(0, 57), sung(2520, 64), sung(5040, 69), sung(7560, 67));
    TuneWay way = FIT.way(am7, root("Am7", am7), tune);
    assertThat(way.places().get(2).orElseThrow().string()).isEqualTo(5);
    assertThat(way.places().get(2).orElseThrow().fret()).isEqualTo(5);
  }

  /** Where players find notes over open shapes (common practice, no source). */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "C; x32010; E4; 1:0",
        "C; x32010; C4; 2:1 1",
        "C; x32010; D4; 2:3 4",
        "C; x32010; G4; 1:3 4",
        "G; 320003; G4; 1:3 3",
        "Am; x02210; G4; 1:3 4"
      })
  void findsANoteWherePlayersDo(String chord, String frets, String pitch, String place) {
    assertThat(places(chord, frets, pitch)).contains(place);
  }

  /**
   * Where the tune goes down to the bass the thumb plays it; where a string above has it, the bass
   * keeps its own (common practice, no source).
   */
  @Test
  void theThumbPlaysATuneThatIsTheBass() {
    assertThat(places("C", "x32010", "C3")).isEqualTo("5:3 3");
    assertThat(places("C", "x32010", "B2")).contains("5:2");
    assertThat(places("C", "x32010", "E3")).isEqualTo("4:2 2");
  }

  /** Brute force: every row of places, summed plainly, against the dynamic programme. */
  @Test
  void equalsBruteForceOnTwoHundredSmallTunes() {
    Random random = new Random(11);
    for (int trial = 0; trial < 200; trial++) {
      String[] chord = HELD[trial % HELD.length];
      Shape shape = shape(chord[0], chord[1]);
      int root = root(chord[0], shape);
      List<MelodyNote> notes = new ArrayList<>();
      for (int n = 0; n < 4; n++) {
        notes.add(sung(n * 2520, 57 + random.nextInt(16)));
      }
      double best = best(shape, root, notes, 0, Optional.empty());
      assertThat(FIT.way(shape, root, notes).cost()).isCloseTo(best, within(1e-9));
    }
  }

  /** A limit leaves out what is dearer, and nothing else, in the same order. */
  @Test
  void aLimitLeavesOutWhatIsDearer() {
    Random random = new Random(12);
    int limited = 0;
    for (int trial = 0; trial < 200; trial++) {
      String[] chord = HELD[trial % HELD.length];
      Shape shape = shape(chord[0], chord[1]);
      int root = root(chord[0], shape);
      List<MelodyNote> notes = new ArrayList<>();
      for (int n = 0; n < 4; n++) {
        // Some begin together, and some sound over an end of the slot.
        int tick = n == 2 && trial % 3 == 0 ? 2520 : n * 2520;
        notes.add(sung(tick, 57 + random.nextInt(16)));
      }
      SlotTune tune = SlotTune.of(notes, trial % 2 == 0 ? 0 : -1, trial % 5 == 0 ? 20160 : 10000);
      List<TuneWay> all = FIT.ways(shape, root, tune);
      double most = all.get(random.nextInt(all.size())).cost() + random.nextDouble() - 0.5;
      List<TuneWay> cheap = all.stream().filter(w -> w.cost() <= most).toList();
      List<TuneWay> found = FIT.search(tune).ways(shape, root, most);
      assertThat(found.stream().filter(w -> w.cost() <= most).toList()).isEqualTo(cheap);
      limited += cheap.size() < all.size() ? 1 : 0;
    }
    assertThat(limited).as("trials in which something was too dear").isGreaterThan(50);
  }

  /**
   * The weights of the rule, written out once more: a leap of a string, the same finger again and
   * its way.
   */
  private static double best(
      Shape shape, int root, List<MelodyNote> notes, int at, Optional<TunePlace> before) {
    if (at == notes.size()) {
      return 0;
    }
    List<TunePlace> places = FIT.places(shape, root, notes.get(at));
    if (places.isEmpty()) {
      return TuneFit.MISSED + best(shape, root, notes, at + 1, Optional.empty());
    }
    double best = Double.POSITIVE_INFINITY;
    for (TunePlace place : places) {
      double step = 0;
      if (before.isPresent()) {
        TunePlace last = before.get();
        boolean same = last.string() == place.string() && last.fret() == place.fret();
        boolean again = !same && place.finger().isPresent() && last.finger().equals(place.finger());
        step = 0.04 * Math.abs(last.string() - place.string());
        step += again ? 0.2 + 0.008 * FIT.reach().distance(grip(last), grip(place)) : 0;
      }
      double rest = best(shape, root, notes, at + 1, Optional.of(place));
      best = Math.min(best, place.cost() + step + rest);
    }
    return best;
  }

  private static Grip grip(TunePlace place) {
    return new Grip(place.fret(), place.string(), place.string());
  }

  /** Two notes at once lie on two strings and under two fingers. */
  @Test
  void twoNotesAtOnceDoNotClash() {
    Shape c = shape("C", "x32010");
    List<MelodyNote> third = List.of(sung(0, 60), sung(0, 67));
    TuneWay way = FIT.way(c, 1, third);
    assertThat(way.cost()).isLessThan(TuneFit.MISSED);
    TunePlace low = way.places().get(0).orElseThrow();
    TunePlace high = way.places().get(1).orElseThrow();
    assertThat(low.string()).isNotEqualTo(high.string());
    assertThat(low.finger().isPresent() && low.finger().equals(high.finger())).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "E4,F4,HAMMER_ON,true",
    "F4,E4,PULL_OFF,true",
    "F4,E4,HAMMER_ON,false",
    "E4,F4,PULL_OFF,false",
    "E4,F4,SLIDE,false",
    "C4,D4,HAMMER_ON,true",
    "D4,C4,PULL_OFF,true",
    "C4,E4,HAMMER_ON,false"
  })
  void aSlurStaysOnItsStringAndGoesItsWay(String from, String to, Slur slur, boolean can) {
    Shape c = shape("C", "x32010");
    List<TunePlace> starts = FIT.places(c, 1, sung(0, Pitch.parse(from).orElseThrow().midi()));
    List<TunePlace> ends = FIT.places(c, 1, sung(0, Pitch.parse(to).orElseThrow().midi()));
    TunePlace start = starts.get(starts.size() - 1);
    TunePlace end = ends.get(ends.size() - 1);
    assertThat(FIT.canSlur(c, start, List.of(start), end, slur)).isEqualTo(can);
  }
}
