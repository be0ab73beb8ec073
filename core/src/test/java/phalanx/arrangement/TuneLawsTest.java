package phalanx.arrangement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.instrument.Finger;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/** What holds for every arrangement of a tune, over random tunes, chords and patterns. */
class TuneLawsTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final int BAR = 20160;
  private static final String[] CHORDS = {"G", "D/F#", "Em7", "C", "Am7", "D7", "F", "Bm", "A7"};
  private static final int[] SCALE = {55, 57, 59, 60, 62, 64, 66, 67, 69, 71, 72, 74, 76, 78, 79};

  @Property(tries = 150)
  void bothHandsCanDoWhatTheTuneAsks(
      @ForAll long seed,
      @ForAll HandSchool school,
      @ForAll ThumbRoute thumb,
      @ForAll AlternatingThumb pattern) {
    Random random = new Random(seed);
    int bars = 1 + random.nextInt(4);
    StringBuilder line = new StringBuilder();
    for (int bar = 0; bar < bars; bar++) {
      line.append(bar == 0 ? "" : " | ").append(CHORDS[random.nextInt(CHORDS.length)]);
      if (random.nextInt(3) == 0) {
        line.append(" ").append(CHORDS[random.nextInt(CHORDS.length)]);
      }
    }
    Tune tune = Tune.NONE;
    for (int bar = 1; bar <= bars; bar++) {
      tune = tune.with(bar, bar(random));
    }
    Song song =
        TestSongs.of(line.toString())
            .withSchool(school)
            .withThumb(thumb)
            .withTempo(60 + random.nextInt(160))
            .withPattern(pattern)
            .withTune(tune.withOnTop(random.nextInt(4) > 0));
    Arrangement a = ARRANGER.arrange(song);
    everyNoteIsPlayedOrSaid(a);
    nothingTouchesTheTuneWhileItRings(a);
    noStringHasTwoNotes(a);
    everyFingerIsInOnePlace(a);
    everyMomentIsWithinReach(a);
    slursAreMadeByTheFrettingHand(a);
  }

  private static BarTune bar(Random random) {
    List<TuneNote> notes = new ArrayList<>();
    int held = random.nextInt(4) == 0 ? 2520 : 0;
    int at = held;
    int place = random.nextInt(SCALE.length);
    while (at < BAR) {
      int length = 2520 * (1 + random.nextInt(4));
      place = Math.max(0, Math.min(SCALE.length - 1, place + random.nextInt(5) - 2));
      int end = Math.min(BAR, at + length);
      if (random.nextInt(5) > 0) {
        notes.add(new TuneNote(at, end - at, wants(random, place), slur(random), grace(random)));
      }
      at = end;
    }
    return new BarTune(held, notes);
  }

  /** One note, or a third or a sixth. */
  private static List<Want> wants(Random random, int place) {
    int below = place - (random.nextBoolean() ? 2 : 5);
    return random.nextInt(4) > 0 || below < 0
        ? List.of(want(SCALE[place]))
        : List.of(want(SCALE[place]), want(SCALE[below]));
  }

  private static List<Want> grace(Random random) {
    return random.nextInt(8) > 0 ? List.of() : List.of(want(SCALE[random.nextInt(SCALE.length)]));
  }

  private static Optional<Slur> slur(Random random) {
    return random.nextInt(3) > 0
        ? Optional.empty()
        : Optional.of(Slur.values()[random.nextInt(Slur.values().length)]);
  }

  private static Want want(int midi) {
    String[] names = {"C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"};
    NoteName name = NoteName.parse(names[midi % 12]).orElseThrow();
    return new Want.Sound(Pitch.of(midi, name), Optional.empty());
  }

  private static List<Sung> line(Arrangement a) {
    return a.slots().stream().flatMap(s -> s.tune().stream()).distinct().toList();
  }

  private static Optional<Note> played(Arrangement a, Sung sung) {
    return a.notesFrom(sung.tick(), sung.tick() + 1).stream()
        .filter(n -> n.part() == Note.Part.TUNE && n.midi() == sung.midi())
        .findFirst();
  }

  private static void everyNoteIsPlayedOrSaid(Arrangement a) {
    for (Sung sung : line(a)) {
      List<String> remarks =
          a.slots().stream()
              .filter(s -> s.tune().contains(sung))
              .flatMap(s -> s.remarks().stream())
              .toList();
      Optional<Note> note = played(a, sung);
      if (note.isEmpty()) {
        assertThat(remarks)
            .as("%s at %d", sung.label(), sung.tick())
            .anyMatch(r -> r.contains("out of reach") || r.contains("left out"));
      } else if (note.get().tick() + note.get().lengthTicks() < sung.endTick()) {
        assertThat(remarks)
            .as("%s at %d", sung.label(), sung.tick())
            .anyMatch(r -> r.contains("cut off"));
      }
    }
  }

  private static void nothingTouchesTheTuneWhileItRings(Arrangement a) {
    for (Sung sung : line(a)) {
      Optional<Note> tune = played(a, sung);
      if (tune.isPresent()) {
        int end = Math.min(sung.endTick(), tune.get().tick() + tune.get().lengthTicks());
        for (Note other : a.notesFrom(sung.tick(), end)) {
          if (!other.equals(tune.get()) && other.part() != Note.Part.TUNE) {
            assertThat(other.string()).isNotEqualTo(tune.get().string());
            boolean free = other.part() == Note.Part.BASS || !a.song().tune().onTop();
            assertThat(free || other.midi() <= sung.midi()).as("%s under %s", other, sung).isTrue();
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
          .ifPresent(f -> assertThat(Covered.by(a.holds(), f, note)).as("%s", note).isTrue());
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
      assertThat(note.pick().isEmpty()).isEqualTo(note.manner().isSlur());
      if (note.manner().isSlur()) {
        Note before =
            a.notesFrom(0, note.tick()).stream()
                .filter(n -> n.string() == note.string())
                .reduce((x, y) -> y)
                .orElseThrow();
        assertThat(before.tick() + before.lengthTicks()).isEqualTo(note.tick());
        switch (note.manner()) {
          case HAMMERED -> assertThat(note.fret()).isGreaterThan(before.fret());
          case PULLED -> assertThat(note.fret()).isLessThan(before.fret());
          default -> assertThat(note.fretFinger()).isEqualTo(before.fretFinger());
        }
      }
    }
  }
}
