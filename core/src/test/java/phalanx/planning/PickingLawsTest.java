package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Force;
import phalanx.picking.HandSchool;
import phalanx.picking.HitKind;
import phalanx.picking.Pattern;
import phalanx.picking.PatternRules;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.testing.Draws;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/** What no arrangement may ask of a picking hand, over random patterns, chords and schools. */
class PickingLawsTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final String[] CHORDS = {
    "G", "D/F#", "Em7", "Cadd9", "Am7", "D7", "Bm7b5", "F#m", "Bb", "E7#9", "C5", "Gmaj7"
  };

  @Property(tries = 150)
  void noFingerIsInTwoPlacesCrossesAnotherOrComesBackTooSoon(
      @ForAll Draws draws, @ForAll HandSchool school, @ForAll ThumbRoute thumb) {
    StringBuilder line = new StringBuilder(CHORDS[draws.nextInt(CHORDS.length)]);
    for (int bar = draws.nextInt(4); bar > 0; bar--) {
      line.append(draws.nextBoolean() ? " | " : " ").append(CHORDS[draws.nextInt(CHORDS.length)]);
    }
    Song song =
        TestSongs.of(line.toString())
            .withSchool(school)
            .withThumb(thumb)
            .withTempo(60 + draws.nextInt(120))
            .withPattern(pattern(draws));
    Arrangement a = ARRANGER.arrange(song);
    Map<PickFinger, TreeMap<Double, List<Integer>>> uses = uses(a, song.tempo());
    uses.forEach((finger, row) -> comesBackInTime(finger, row, a));
    crossesNone(a);
    for (Note note : a.notes()) {
      assertThat(note.lengthTicks()).isPositive();
    }
  }

  private static Map<PickFinger, TreeMap<Double, List<Integer>>> uses(Arrangement a, double tempo) {
    Map<PickFinger, TreeMap<Double, List<Integer>>> uses = new EnumMap<>(PickFinger.class);
    for (PickFinger f : PickFinger.values()) {
      uses.put(f, new TreeMap<>());
    }
    for (Note note : a.notes()) {
      if (!note.isBrushed()) {
        double at = Ticks.millis(note.tick() + note.delayTicks(), tempo);
        uses.get(note.pick().orElseThrow())
            .computeIfAbsent(at, t -> new ArrayList<>())
            .add(note.string());
      }
    }
    for (Gesture gesture : a.gestures()) {
      double at = Ticks.millis(gesture.tick(), tempo);
      if (gesture instanceof Gesture.Hit hit) {
        hit.fingers().forEach(f -> uses.get(f).computeIfAbsent(at, t -> new ArrayList<>()).add(-1));
      } else if (gesture instanceof Gesture.Brush brush) {
        brush
            .touch()
            .fingers()
            .forEach(f -> uses.get(f).computeIfAbsent(at, t -> new ArrayList<>()).add(-1));
      }
    }
    return uses;
  }

  private static void comesBackInTime(
      PickFinger finger, TreeMap<Double, List<Integer>> row, Arrangement a) {
    // The limits are from memory: 110 ms for a finger, 90 ms for the thumb going down and up.
    double limit =
        finger == PickFinger.P ? FingerAssignment.THUMB_BACK_MS : FingerAssignment.TOO_QUICK_MS;
    double last = Double.NEGATIVE_INFINITY;
    for (Map.Entry<Double, List<Integer>> use : row.entrySet()) {
      assertThat(use.getValue()).as("%s at %.0f ms in %s", finger, use.getKey(), a).hasSize(1);
      assertThat(use.getKey() - last).as("%s", finger).isGreaterThanOrEqualTo(limit - 1e-6);
      last = use.getKey();
    }
  }

  private static void crossesNone(Arrangement a) {
    Map<Integer, List<Note>> together = new HashMap<>();
    for (Note note : a.notes()) {
      if (!note.isBrushed()) {
        together.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
      }
    }
    for (List<Note> pinch : together.values()) {
      for (int i = 1; i < pinch.size(); i++) {
        assertThat(pinch.get(i).string()).isGreaterThan(pinch.get(i - 1).string());
        assertThat(pinch.get(i).pick().orElseThrow())
            .isGreaterThan(pinch.get(i - 1).pick().orElseThrow());
      }
    }
  }

  /** A bar on a random grid of whatever a hand could do at one instant. */
  private static WrittenPattern pattern(Draws draws) {
    List<Pattern.Step> steps = new ArrayList<>();
    for (int beat = 0; beat < 4; beat++) {
      int parts = 1 + draws.nextInt(8);
      for (int part = 0; part < parts; part++) {
        List<Stroke> strokes = new ArrayList<>();
        for (Role role : Role.values()) {
          if (draws.nextInt(5) == 0) {
            strokes.add(onRole(role, draws));
          }
        }
        if (draws.nextInt(10) == 0) {
          HitKind hit = HitKind.values()[draws.nextInt(HitKind.values().length)];
          strokes.add(new Stroke.Knock(hit, Force.PLAIN));
        }
        if (draws.nextInt(12) == 0) {
          int from = draws.nextInt(6);
          int to = (from + 1 + draws.nextInt(5)) % 6;
          Touch touch = Touch.values()[draws.nextInt(2)];
          strokes.add(new Stroke.Brush(from, to, touch, Force.SOFT));
        }
        Optional<Roll> roll =
            draws.nextInt(4) == 0
                ? Optional.of(new Roll(draws.nextBoolean(), 1 + draws.nextInt(4)))
                : Optional.empty();
        boolean early = beat == 3 && 2 * part >= parts && draws.nextInt(3) == 0;
        int tick = beat * 5040 + part * 5040 / parts;
        Pattern.Step step = new Pattern.Step(tick, strokes, roll, early);
        if (PatternRules.trouble(step).isEmpty()) {
          steps.add(step);
        }
      }
    }
    return new WrittenPattern("random", "", Meter.FOUR_FOUR, new Pattern("random", 20160, steps));
  }

  private static Stroke onRole(Role role, Draws draws) {
    Optional<PickFinger> finger =
        draws.nextInt(4) == 0
            ? Optional.of(PickFinger.values()[draws.nextInt(5)])
            : Optional.empty();
    return switch (draws.nextInt(8)) {
      case 0 -> new Stroke.Stop(role);
      case 1 -> new Stroke.Tremolo(role, Force.PLAIN, 3, 4 + draws.nextInt(4));
      default -> new Stroke.Pluck(role, Force.ACCENTED, finger);
    };
  }
}
