package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ForkJoinPool;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.fretting.Cost;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.PickFinger;
import phalanx.picking.ThumbRoute;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Meter;

class ArrangerTest {

  private static final String[] CHORDS = {
    "G", "D/F#", "Em7", "Cadd9", "Am7", "D7", "Bm7b5", "F#m", "Bb", "E7#9", "C5", "Gmaj7"
  };
  private static final Arranger ARRANGER = new Arranger();

  private static Song song(Meter meter, int capo, String... symbols) {
    Song empty = TestSongs.of(String.join(" | ", symbols));
    return empty
        .withFeel(Feel.USUAL.withMeter(meter).withTempo(92))
        .withGuitar(empty.guitar().withCapo(capo));
  }

  @Property(tries = 100)
  void bothHandsStayWithinWhatHandsCanDo(
      @ForAll @Size(min = 1, max = 6) List<@IntRange(max = 11) Integer> row,
      @ForAll boolean compound,
      @ForAll HandSchool school,
      @ForAll AlternatingThumb pattern,
      @ForAll ThumbRoute thumb,
      @ForAll @IntRange(max = 5) int capo) {
    String[] symbols = row.stream().map(i -> CHORDS[i]).toArray(String[]::new);
    Song song = song(compound ? new Meter(6, 8) : Meter.FOUR_FOUR, capo, symbols);
    Arrangement a = ARRANGER.arrange(song.withSchool(school).withPattern(pattern).withThumb(thumb));
    assertThat(a.notes()).isNotEmpty();
    int[] busyUntil = new int[Tuning.STRINGS];
    Map<Integer, List<Note>> together = new java.util.TreeMap<>();
    for (Note note : a.notes()) {
      assertThat(note.tick()).isGreaterThanOrEqualTo(busyUntil[note.string()]);
      busyUntil[note.string()] = note.tick() + note.lengthTicks();
      assertThat(note.midi()).isEqualTo(song.guitar().midi(note.string(), note.fret()));
      Slot slot = slotAt(a, note.tick());
      Shape shape = slot.shape().orElseThrow();
      // In these routes a finger may come down beside the shape.
      boolean beside =
          Set.of(ThumbRoute.WALKING, ThumbRoute.WALKING_ALWAYS, ThumbRoute.THREE_VOICES)
              .contains(thumb);
      note.fretFinger().ifPresent(f -> assertThat(Covered.by(a.holds(), f, note)).isTrue());
      if (!beside || note.part() != Note.Part.BASS) {
        assertThat(shape.fret(note.string()).orElse(0)).isEqualTo(note.fret());
        assertThat(shape.finger(note.string())).isEqualTo(note.fretFinger());
      }
      together.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
    }
    together.values().forEach(ArrangerTest::fingersDoNotCross);
  }

  private static void fingersDoNotCross(List<Note> pinch) {
    for (int i = 1; i < pinch.size(); i++) {
      assertThat(pinch.get(i).pick().orElseThrow())
          .isGreaterThan(pinch.get(i - 1).pick().orElseThrow());
    }
  }

  private static Slot slotAt(Arrangement a, int tick) {
    return a.slots().stream()
        .filter(s -> s.played().tick() <= tick && tick < s.endTick())
        .findFirst()
        .orElseThrow();
  }

  @Property(tries = 30)
  void aChordStartsOnItsOwnBass(@ForAll @Size(3) List<@IntRange(max = 11) Integer> row) {
    Song song = song(Meter.FOUR_FOUR, 0, row.stream().map(i -> CHORDS[i]).toArray(String[]::new));
    Arrangement a = ARRANGER.arrange(song);
    for (Slot slot : a.slots()) {
      Note first =
          a.notes().stream()
              .filter(n -> n.tick() == slot.played().tick())
              .findFirst()
              .orElseThrow();
      Harmony.Sounding sounding = (Harmony.Sounding) slot.played().harmony();
      assertThat(first.pick()).contains(PickFinger.P);
      assertThat(first.midi() % 12).isEqualTo(sounding.chord().bass().chroma());
    }
  }

  @Test
  void capoChangesOnlyWhatSounds() {
    Arrangement open = ARRANGER.arrange(song(Meter.FOUR_FOUR, 0, "G", "C"));
    Arrangement capo = ARRANGER.arrange(song(Meter.FOUR_FOUR, 1, "G", "C"));
    for (int i = 0; i < open.notes().size(); i++) {
      assertThat(capo.notes().get(i).midi() - capo.notes().get(i).fret() - 1)
          .isEqualTo(Tuning.STANDARD.midi(capo.notes().get(i).string()));
    }
    assertThat(capo.slots())
        .extracting(s -> s.played().harmony().label())
        .containsExactly("G", "C");
  }

  @Test
  void aPinIsKeptAndThePlanAroundItFollows() {
    Song song = song(Meter.FOUR_FOUR, 0, "G", "C", "G");
    Arrangement before = ARRANGER.arrange(song);
    ShapeChoice other =
        ShapeChoice.of(before, 1, 6).stream().filter(c -> !c.chosen()).findFirst().orElseThrow();
    Arrangement after = ARRANGER.arrange(song.pin(new SlotRef(2, 0), other.shape()));
    assertThat(after.slots().get(1).shape()).contains(other.shape());
    assertThat(after.slots().get(1).pinned()).isTrue();
    assertThat(after.plan().cost() - before.plan().cost())
        .isCloseTo(other.extraCost(), within(1e-9));
  }

  @Test
  void manyThreadsPlanWhatOneDoes() throws Exception {
    Song song = song(Meter.FOUR_FOUR, 2, "G", "D/F#", "Em7", "Cadd9", "G", "Am7", "D7", "G");
    String[] bars = {"d4 . . g", ". f# e d", "b4 . c5 d", "g4 a b c5"};
    Tune tune = Tune.NONE;
    for (int b = 1; b <= 8; b++) {
      tune = tune.with(b, TuneReader.read(bars[b % 4], Meter.FOUR_FOUR).tune());
    }
    Song sung = song.withTune(tune);
    Arrangement one = plannedOn(1, sung);
    for (int run = 0; run < 5; run++) {
      Arrangement many = plannedOn(8, sung);
      assertThat(many.plan().cost()).isEqualTo(one.plan().cost());
      assertThat(many.slots()).isEqualTo(one.slots());
      assertThat(many.notes()).isEqualTo(one.notes());
    }
  }

  private static Arrangement plannedOn(int threads, Song song) throws Exception {
    ForkJoinPool pool = new ForkJoinPool(threads);
    try {
      return pool.submit(() -> new Arranger().arrange(song)).get();
    } finally {
      pool.shutdown();
    }
  }

  @Test
  void holdsJoinWhereAFingerStays() {
    Arrangement a = ARRANGER.arrange(song(Meter.FOUR_FOUR, 0, "G", "G", "G"));
    assertThat(a.holds()).isNotEmpty().allMatch(h -> h.fromTick() == 0 && h.toTick() == 3 * 20160);
  }

  @Test
  void thePlanExplainsItsWholeCost() {
    Song song = song(Meter.FOUR_FOUR, 2, "G", "D/F#", "Em7", "Cadd9");
    Tune tune =
        Tune.NONE
            .with(1, TuneReader.read("d4 . . g", Meter.FOUR_FOUR).tune())
            .with(2, TuneReader.read(". f# e d", Meter.FOUR_FOUR).tune())
            .with(3, TuneReader.read("b4 . c5 d", Meter.FOUR_FOUR).tune());
    for (Song each : List.of(song, song.withTune(tune))) {
      Arrangement a = ARRANGER.arrange(each);
      Cost cost = a.plan().explain((i, rated) -> Arranger.explain(a, i, rated));
      assertThat(cost.value()).isCloseTo(a.plan().cost(), within(1e-9));
    }
  }

  /**
   * A chord has thousands of shapes, of which the cheapest are tried; a pinned one leaves none out.
   */
  @Test
  void thePlanSaysWhetherShapesWereLeftOut() {
    Song song = song(Meter.FOUR_FOUR, 2, "G", "Cadd9");
    Arrangement a = ARRANGER.arrange(song);
    assertThat(a.plan().exact()).isFalse();
    for (Slot slot : a.slots()) {
      song = song.pin(slot.played().ref(), slot.held());
    }
    assertThat(ARRANGER.arrange(song).plan().exact()).isTrue();
  }

  @Test
  void whatCannotBeReadOrHeldRestsAndSaysWhy() {
    Song song = TestSongs.of("Qx");
    Arrangement a = ARRANGER.arrange(song);
    assertThat(a.notes()).isEmpty();
    assertThat(a.slots().get(0).remarks()).containsExactly("“Qx” is not a chord: the hands rest");
  }
}
