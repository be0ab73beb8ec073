package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.instrument.Finger;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Force;
import phalanx.picking.HandSchool;
import phalanx.picking.PickFinger;
import phalanx.song.DrawnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.technique.Technique;
import phalanx.testing.Draws;

/** What holds for every arrangement of a tune, over random tunes, chords and patterns. */
class TuneLawsTest {

  private static final Arranger ARRANGER = new Arranger();

  @Property(tries = 100)
  void bothHandsCanDoWhatTheTuneAsks(@ForAll Draws draws) {
    laws(ARRANGER.arrange(DrawnSongs.withTune(draws)));
  }

  @Property(tries = 100)
  void bothHandsCanDoWhatTechniquesAsk(@ForAll Draws draws) {
    Arrangement a = ARRANGER.arrange(DrawnSongs.withTechniques(draws));
    laws(a);
    touchingFingersHaveOneJob(a);
    harmonicsSoundTheirOvertones(a);
    bentStringsHaveRoom(a);
  }

  /** The index finger touches, so that it plucks nothing at that time, and another plucks. */
  private static void touchingFingersHaveOneJob(Arrangement a) {
    for (Note note : a.notes()) {
      boolean touched =
          note.techniques().stream().anyMatch(Technique.TouchedHarmonic.class::isInstance)
              || note.harmonic().isPresent() && note.fretFinger().isEmpty();
      if (touched) {
        assertThat(a.notesFrom(note.tick(), note.tick() + 1))
            .as("%s", note)
            .noneMatch(n -> n.isPickedBy(PickFinger.I));
      }
    }
  }

  /** Physics of the ideal string: a node of the n-th overtone sounds n times the open pitch. */
  private static void harmonicsSoundTheirOvertones(Arrangement a) {
    for (Note note : a.notes()) {
      for (Technique technique : note.techniques()) {
        int open = a.song().guitar().midi(note.string(), 0);
        if (technique instanceof Technique.NaturalHarmonic h) {
          double overtone = open + 12 * Math.log(h.harmonic()) / Math.log(2);
          assertThat((double) note.midi()).isCloseTo(overtone, within(0.5));
          double touch = 12 * Math.log(1 / (1 - (double) h.node() / h.harmonic())) / Math.log(2);
          assertThat((double) note.fret()).isCloseTo(touch, within(0.5));
        } else if (technique instanceof Technique.TouchedHarmonic h) {
          int above = Map.of(12, 12, 7, 19, 5, 24).get(h.above());
          assertThat(note.midi()).isEqualTo(open + note.fret() + above);
        }
      }
    }
  }

  private static void bentStringsHaveRoom(Arrangement a) {
    for (Note bent : a.notes()) {
      if (bent.techniques().stream().anyMatch(Technique.Bend.class::isInstance)) {
        assertThat(bent.fretFinger()).isPresent();
        int pushed = bent.string() >= 3 ? bent.string() - 1 : bent.string() + 1;
        assertThat(a.notesFrom(bent.tick(), bent.tick() + 1))
            .as("%s", bent)
            .noneMatch(n -> n.string() == pushed && !isBentAway(n, bent));
      }
    }
  }

  /** A string bent together with its neighbour gives way to it on the same side. */
  private static boolean isBentAway(Note note, Note neighbour) {
    boolean bent = note.techniques().stream().anyMatch(Technique.Bend.class::isInstance);
    int pushed = note.string() >= 3 ? note.string() - 1 : note.string() + 1;
    return bent && pushed != neighbour.string();
  }

  /**
   * A note sounds on over a change in another place than its finger had before, then a pull-off.
   */
  @Test
  void aPullOffAfterAChangeAsksWhereTheFingersAreNow() {
    laws(
        ARRANGER.arrange(
            DrawnSongs.withTune(
                new Draws(
                    List.of(
                        0, 0, 0, 3, 0, 1, 1, 8, 3, 0, 0, 1, 2, 0, 0, 0, 55, 3, 2, 0, 0, 0, 0, 0, 2,
                        2, 0, 0, 0, 0, 0, 0, 3, 0, 0, 0, 1, 0, 0, 1, 1597, 2, 4, 0, 0, 0, 1, 640462,
                        451300, 982153, 229059, 830507, 686166, 378906, 846408, 831834, 272745,
                        2828, 573789, 348660, 1042494, 896320, 550156, 10354, 626209, 179683)))));
  }

  /** With a pick nobody touches the harmonic, so that nothing can be slid to from it. */
  @Test
  void whatIsSlurredFromAHarmonicThatIsLeftOutIsLeftOutToo() {
    laws(
        ARRANGER.arrange(
            DrawnSongs.withTechniques(
                new Draws(
                    List.of(
                        0, 0, 0, 1, 0, 0, 1, 0, 2, 1, 0, 0, 3, 0, 1, 0, 0, 0, 0, 0, 2, 19, 392496,
                        198959, 1001314, 443569, 838258, 1038368, 676780, 700145, 790985, 811152,
                        821692, 944236, 230195, 997256, 731414, 684259, 573262, 999256, 774404,
                        817741, 448149, 286568, 232906, 231022, 1025290, 460785, 380689, 908656,
                        872055, 895509, 144049, 866378, 779528, 395449, 37399, 175982, 589891,
                        757392, 64517)))));
  }

  /** Two fingers slide together and no finger plucks the first note of the other's. */
  @Test
  void aFingerThatDoesNotSlideAlongLifts() {
    Song song =
        TestSongs.singing(
            TestSongs.of("A7 F | Em7 | D7 Em7 | D/F#"),
            "- - - - - c4 . .",
            ". g4+e4 . /b4+g4 . . . d5",
            "[. . . a3] [c5+e4 . . .] [. . . .] [. . . e5] . . . c5");
    laws(
        ARRANGER.arrange(
            song.withSchool(HandSchool.THUMB_AND_TWO)
                .withPattern(AlternatingThumb.FINGERS_BETWEEN)));
  }

  /** A finger waits below a pull-off only where it reaches the other notes that sound then. */
  @Test
  void aPullOffFromTwoNotesKeepsAllFingersInReach() {
    laws(
        ARRANGER.arrange(
            DrawnSongs.withTune(
                new Draws(
                    List.of(
                        0, 0, 0, 3, 0, 0, 0, 0, 0, 34, 0, 0, 0, 0, 0, 0, 0, 1, 0, 0, 1, 0, 0, 1, 0,
                        0, 0, 0, 0, 0, 0, 2, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 3, 0,
                        1, 3, 0, 0, 0, 0, 0, 0, 1, 21, 0, 3, 0, 1, 1, 0, 0, 0, 1, 0, 0, 0, 1,
                        1)))));
  }

  /** One of two fingers that slid is needed for another string of the shape: both go back. */
  @Test
  void fingersBesideTheShapeGoBackTogether() {
    laws(
        ARRANGER.arrange(
            DrawnSongs.withTune(
                new Draws(
                    List.of(
                        0, 0, 0, 2, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0,
                        0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 2, 0, 0, 0, 0, 0, 0,
                        0, 0, 0, 0, 1, 2, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1, 0, 2, 0, 0, 0, 0,
                        1, 0, 0, 0, 4181, 1, 1, 0, 0, 0, 1, 0, 0, 1, 1, 0, 1, 1, 0, 0, 0, 3, 0, 1,
                        1, 1, 2, 0, 0, 0, 0, 0, 0, 1, 1, 1, 34)))));
  }

  /**
   * A third that goes on into the next chord; the string one of its fingers left is struck there.
   */
  @Test
  void whatGoesOnOverAChangeIsNotCutOffByAStringOfTheShapeBefore() {
    Song song =
        TestSongs.singing(TestSongs.of("G | C G"), "[d4 d] [. -] [- ^c4+a3] .", "[. g3] [g g] - -");
    laws(
        ARRANGER.arrange(
            song.withTempo(60)
                .withSchool(HandSchool.THUMB_AND_TWO)
                .withPattern(AlternatingThumb.THUMB_ALONE)));
  }

  /** What an arranger found for one song it does not take for another. */
  @Property(tries = 60)
  void aUsedArrangerAnswersAsAFreshOne(@ForAll Draws one, @ForAll Draws other) {
    Song song = DrawnSongs.withTune(one);
    Song next = DrawnSongs.withTune(other);
    Arranger used = new Arranger();
    for (Song asked : List.of(song, next, DrawnSongs.thinned(song), song)) {
      Arrangement fresh = new Arranger().arrange(asked);
      Arrangement again = used.arrange(asked);
      assertThat(again.notes()).isEqualTo(fresh.notes());
      assertThat(again.holds()).isEqualTo(fresh.holds());
      assertThat(again.plan().cost()).isEqualTo(fresh.plan().cost());
    }
  }

  private static void laws(Arrangement a) {
    everyNoteIsPlayedOrSaid(a);
    nothingTouchesTheTuneWhileItRings(a);
    noStringHasTwoNotes(a);
    everyFingerIsInOnePlace(a);
    everyMomentIsWithinReach(a);
    slursAreMadeByTheFrettingHand(a);
  }

  private static List<MelodyNote> line(Arrangement a) {
    return a.slots().stream().flatMap(s -> s.tune().stream()).distinct().toList();
  }

  private static Optional<Note> played(Arrangement a, MelodyNote sung) {
    return a.notesFrom(sung.tick(), sung.tick() + 1).stream()
        .filter(n -> n.part() == Note.Part.TUNE && n.midi() == sung.midi())
        .findFirst();
  }

  private static void everyNoteIsPlayedOrSaid(Arrangement a) {
    for (MelodyNote sung : line(a)) {
      List<String> remarks =
          a.slots().stream()
              .filter(s -> s.tune().contains(sung))
              .flatMap(s -> s.remarks().stream())
              .toList();
      Optional<Note> note = played(a, sung);
      if (note.isEmpty()) {
        assertThat(remarks)
            .as("%s at %d", sung.label(), sung.tick())
            .anyMatch(
                r ->
                    r.contains("out of reach")
                        || r.contains("left out")
                        || r.contains("no natural"));
      } else if (note.get().tick() + note.get().lengthTicks() < sung.endTick()) {
        assertThat(remarks)
            .as("%s at %d", sung.label(), sung.tick())
            .anyMatch(r -> r.contains("cut off"));
      }
    }
  }

  private static void nothingTouchesTheTuneWhileItRings(Arrangement a) {
    for (MelodyNote sung : line(a)) {
      Optional<Note> tune = played(a, sung);
      if (tune.isPresent()) {
        int end = Math.min(sung.endTick(), tune.get().tick() + tune.get().lengthTicks());
        for (Note other : a.notesFrom(sung.tick(), end)) {
          if (!other.equals(tune.get()) && other.part() != Note.Part.TUNE) {
            assertThat(other.string()).isNotEqualTo(tune.get().string());
            boolean free = other.part() == Note.Part.BASS || !a.song().tune().onTop();
            int beat = a.song().meter().beatTicks();
            boolean held = other.tick() >= sung.tick() + beat && other.force() == Force.SOFT;
            assertThat(free || held || other.midi() <= sung.midi())
                .as("%s under %s", other, sung)
                .isTrue();
          }
        }
      }
    }
  }

  private static void noStringHasTwoNotes(Arrangement a) {
    Map<Integer, Integer> free = new HashMap<>();
    for (Note note : a.notes()) {
      assertThat(note.lengthTicks()).isPositive();
      assertThat(note.tick())
          .as("%s", note)
          .isGreaterThanOrEqualTo(free.getOrDefault(note.string(), 0));
      free.put(note.string(), note.tick() + note.lengthTicks());
    }
  }

  /** What a finger has to hold of a note: a natural harmonic rings on when it has lifted. */
  private static Note struck(Note note) {
    boolean natural =
        note.techniques().stream().anyMatch(Technique.NaturalHarmonic.class::isInstance);
    return natural ? note.lasting(1) : note;
  }

  private static void everyFingerIsInOnePlace(Arrangement a) {
    Map<Finger, Integer> free = new HashMap<>();
    for (Hold hold : a.holds()) {
      assertThat(hold.fromTick())
          .as("%s", hold)
          .isGreaterThanOrEqualTo(free.getOrDefault(hold.finger(), 0));
      free.put(hold.finger(), hold.toTick());
    }
    for (Note note : a.notes()) {
      note.fretFinger()
          .ifPresent(
              f -> assertThat(Covered.by(a.holds(), f, struck(note))).as("%s", note).isTrue());
    }
  }

  /** Whatever is down together stays within this hand's limits, and the fingers in their order. */
  private static void everyMomentIsWithinReach(Arrangement a) {
    Reach reach = a.plan().problem().changes().reach();
    for (Note note : a.notes()) {
      List<Hold> down =
          a.holds().stream()
              .filter(h -> h.fromTick() <= note.tick() && note.tick() < h.toTick())
              .toList();
      for (Hold one : down) {
        for (Hold other : down) {
          boolean twice = one.finger().compareTo(other.finger()) >= 0;
          if (!twice && one.finger() != Finger.THUMB) {
            assertThat(reach.distance(grip(one), grip(other)))
                .as("%s and %s while %s", one, other, note)
                .isLessThanOrEqualTo(1.0001 * reach.hand().limit(one.finger(), other.finger()));
            assertThat(one.fret()).isLessThanOrEqualTo(other.fret());
          }
        }
      }
    }
  }

  private static Grip grip(Hold hold) {
    return new Grip(hold.fret(), hold.lowString(), hold.highString());
  }

  private static void slursAreMadeByTheFrettingHand(Arrangement a) {
    for (Note note : a.notes()) {
      assertThat(note.pick().isEmpty()).isEqualTo(note.attack().isSlur());
      if (note.attack().isSlur()) {
        Note before =
            a.notesFrom(0, note.tick()).stream()
                .filter(n -> n.string() == note.string())
                .reduce((x, y) -> y)
                .orElseThrow();
        assertThat(before.tick() + before.lengthTicks()).isEqualTo(note.tick());
        switch (note.attack()) {
          case HAMMERED -> assertThat(note.fret()).isGreaterThan(before.fret());
          case PULLED -> assertThat(note.fret()).isLessThan(before.fret());
          default -> assertThat(note.fretFinger()).isEqualTo(before.fretFinger());
        }
      }
    }
  }
}
