package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.planning.Arranger;
import phalanx.song.DrawnSongs;
import phalanx.song.NoteRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.testing.Draws;
import phalanx.theory.Meter;

class OtherStringTest {

  /** What may keep a stroke from the string it is wanted on. */
  private static final Set<Remark.Kind> KEEPING_OUT =
      Set.of(Remark.Kind.PIN, Remark.Kind.TOO_SOON, Remark.Kind.TOO_MANY, Remark.Kind.CROSSING);

  private static final Arranger ARRANGER = new Arranger();

  private static Song song() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("e4 . g 2:3", Meter.FOUR_FOUR).tune());
    return TestSongs.of("C | G").withPattern(AlternatingThumb.FINGERS_BETWEEN).withTune(tune);
  }

  private static Note tune(Arrangement a, int tick) {
    return a.notesFrom(tick, tick + 1).stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .findFirst()
        .orElseThrow();
  }

  /** Whatever the capo, a note keeps its pitch on every string it may be on. */
  @Property(tries = 30)
  void aNoteOfTheTuneKeepsItsPitch(@ForAll @IntRange(max = 7) int capo) {
    Song song = song().withGuitar(song().guitar().withCapo(capo));
    Arrangement a = ARRANGER.arrange(song);
    for (Note note : a.notes()) {
      Map<Integer, Integer> places = OtherString.of(a, note);
      assertThat(places).containsEntry(note.string(), note.fret());
      if (note.part() == Note.Part.TUNE) {
        places.forEach(
            (string, fret) -> assertThat(song.guitar().midi(string, fret)).isEqualTo(note.midi()));
      }
    }
  }

  @Test
  void aMovedNoteOfTheTuneIsPlayedThereAndLetGoAgain() {
    Arrangement a = ARRANGER.arrange(song());
    Note open = tune(a, 0);
    assertThat(open.string()).isEqualTo(5);
    assertThat(OtherString.isWanted(a.song(), open)).isFalse();
    Song moved = OtherString.moved(a.song(), open, 4);
    Note there = tune(ARRANGER.arrange(moved), 0);
    assertThat(there.string()).isEqualTo(4);
    assertThat(there.midi()).isEqualTo(open.midi());
    assertThat(OtherString.isWanted(moved, there)).isTrue();
    assertThat(OtherString.free(moved, there)).isEqualTo(a.song());
  }

  @Test
  void aPlaceBecomesThePlaceOnTheOtherString() {
    Arrangement a = ARRANGER.arrange(song());
    Note placed = tune(a, 15120);
    assertThat(OtherString.isWanted(a.song(), placed)).isTrue();
    Song moved = OtherString.moved(a.song(), placed, 3);
    assertThat(moved.tune().own(1).orElseThrow())
        .isEqualTo(TuneReader.read("e4 . g 3:7", Meter.FOUR_FOUR).tune());
  }

  @Test
  void aStrokeOfThePatternGoesOnlyToStringsThatSound() {
    Arrangement a =
        ARRANGER.arrange(TestSongs.of("D").withPattern(AlternatingThumb.FINGERS_BETWEEN));
    Note inner =
        a.notes().stream().filter(n -> n.part() != Note.Part.BASS).findFirst().orElseThrow();
    assertThat(OtherString.of(a, inner).keySet())
        .isEqualTo(java.util.Set.copyOf(a.slots().get(0).shape().orElseThrow().soundingStrings()));
    int other = OtherString.of(a, inner).lastKey();
    Arrangement moved = ARRANGER.arrange(OtherString.moved(a.song(), inner, other));
    assertThat(moved.notesFrom(inner.tick(), inner.tick() + 1))
        .anyMatch(n -> n.string() == other && n.ref().equals(inner.ref()));
  }

  /** What is offered for a stroke comes true while the same shapes are held. */
  @Property(tries = 30)
  void aStrokeMovesToEveryStringOffered(@ForAll Draws draws) {
    Song song = DrawnSongs.withTune(draws);
    Arrangement free = ARRANGER.arrange(song);
    for (Slot slot : free.slots()) {
      if (slot.shape().isPresent()) {
        song = song.pin(slot.played().ref(), slot.held());
      }
    }
    Arrangement a = ARRANGER.arrange(song);
    List<Note> strokes =
        a.notes().stream().filter(n -> n.part() != Note.Part.TUNE).limit(24).toList();
    for (Note note : strokes) {
      Set<Integer> offered = OtherString.of(a, note).keySet();
      for (int string : offered.size() > 1 ? offered : Set.<Integer>of()) {
        Arrangement moved = ARRANGER.arrange(OtherString.moved(song, note, string));
        boolean there =
            moved.notesFrom(note.tick(), note.tick() + 1).stream()
                .anyMatch(n -> n.string() == string && n.ref().equals(note.ref()));
        // A finger may be needed there that cannot be back in time; then that is said.
        boolean said =
            moved.slots().stream()
                .flatMap(s -> s.found().stream())
                .filter(r -> r.tick().equals(Optional.of(note.tick())))
                .anyMatch(r -> KEEPING_OUT.contains(r.kind()));
        assertThat(there || said).as("%s to %s", note, StringSign.of(string)).isTrue();
      }
    }
  }

  /**
   * A brush is one stroke over its strings, in a pick-up as well: it is written where it is heard.
   */
  @Test
  void aBrushStaysOnItsStrings() {
    PatternReader.Result read =
        PatternReader.read(
            """
            name: Brushed
            metre: 4/4
            thumb | o . | . . | o . | . . |
            brush | . . | (4-2) . | . . | (4-2) . |
            """);
    Song song = TestSongs.of("G | C").withPattern(read.patterns().get(0));
    Arrangement a = ARRANGER.arrange(song.withFeel(song.feel().withPickup(5040)));
    List<Note> brush = a.notes().stream().filter(n -> n.isBrushed()).toList();
    assertThat(brush).hasSizeGreaterThan(2);
    assertThat(brush.get(0).tick()).isZero();
    assertThat(brush.get(0).ref()).isEqualTo(new NoteRef(1, 0, Role.INNER));
    for (Note note : brush) {
      assertThat(OtherString.of(a, note)).containsOnlyKeys(note.string());
    }
  }

  /** Counted another way: every tick of the song asked whether the finger is down. */
  @Test
  void theWorkOfAFingerIsWhatItsHoldsAndStrokesAddUpTo() {
    Arrangement a = ARRANGER.arrange(song());
    for (Finger finger : Finger.values()) {
      long down = 0;
      for (int t = 0; t < a.timeline().lengthTicks(); t += 315) {
        int tick = t;
        down +=
            a.holds().stream()
                .filter(h -> h.finger() == finger && h.fromTick() <= tick && tick < h.toTick())
                .count();
      }
      assertThat(FingerWork.of(a, finger).busyTicks()).isEqualTo(down * 315);
    }
    for (PickFinger finger : PickFinger.values()) {
      List<Note> struck = a.notes().stream().filter(n -> n.isPickedBy(finger)).toList();
      assertThat(FingerWork.of(a, finger).strokes())
          .isEqualTo((int) struck.stream().map(Note::tick).distinct().count());
    }
    FingerWork.PickingWork thumb = FingerWork.of(a, PickFinger.P);
    assertThat(thumb.quickestMillis().orElseThrow()).isEqualTo(60_000.0 / a.song().tempo());
  }
}
