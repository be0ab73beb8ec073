package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Note;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;
import phalanx.sound.strings.Plucker;
import phalanx.technique.Technique;

/**
 * What techniques do to the strings besides the pluck. Speeds and depths are those that players
 * hear as usual (common practice, no source).
 */
final class TechniqueEvents {

  /** From one step of a moving pitch to the next, s. */
  private static final double STEP = 0.006;

  /** A finger begins to rock after this, s. */
  private static final double ROCKS = 0.12;

  /** Rocks a second, and how far up, semitones: usual and wide. */
  private static final double SLOW = 4.8;

  private static final double NARROW = 0.18;
  private static final double QUICK = 5.6;
  private static final double WIDE = 0.55;

  /** A push takes this long, s, where there is time; a release as long. */
  private static final double PUSH = 0.22;

  /** A push and a release take at most this share of their note each. */
  private static final double SHARE = 0.35;

  /** A string under the heel of the hand dies to −60 dB within this, s. */
  private static final double MUTED = 0.28;

  private TechniqueEvents() {}

  /** The pitch of a pluck, MIDI note: a harmonic's is the string's own, a bent one's is raised. */
  static double midi(Note note) {
    double midi = note.midi();
    for (Technique t : note.techniques()) {
      midi += t.higher() - Math.round(t.higher());
      midi += t instanceof Technique.Bend b && b.before() ? b.semitones() : 0;
    }
    return midi;
  }

  /** What leaves the string: a muted one is dull, a slapped one as bright as can be. */
  static Plucker plucker(Note note, Plucker usual) {
    for (Technique technique : note.techniques()) {
      if (technique == Technique.Plain.PALM_MUTE) {
        return Plucker.FLESH;
      } else if (technique == Technique.Plain.SLAP || technique == Technique.Plain.POP) {
        // Against the frets the string sounds as bright as under a pick.
        return Plucker.PICK;
      }
    }
    return usual;
  }

  /** What happens while a note sounds. */
  static List<Event> of(Sounded sounded, Layer layer) {
    List<Event> events = new ArrayList<>();
    for (Technique technique : sounded.note().techniques()) {
      if (technique instanceof Technique.Vibrato v) {
        rock(events, sounded, layer, v.wide());
      } else if (technique instanceof Technique.Bend b) {
        bend(events, sounded, layer, b);
      } else if (technique == Technique.Plain.PALM_MUTE) {
        double at = sounded.onset() + STEP;
        events.add(new Event.Stop(at, sounded.note().string(), MUTED, layer));
      } else if (technique == Technique.Plain.SLAP) {
        events.add(new Event.Hit(sounded.onset(), HitKind.THUMB_SLAP, Force.SOFT));
      }
    }
    return events;
  }

  private static void rock(List<Event> events, Sounded sounded, Layer layer, boolean wide) {
    double rate = wide ? QUICK : SLOW;
    double depth = wide ? WIDE : NARROW;
    double from = sounded.onset() + ROCKS;
    for (double at = from; at < sounded.end(); at += STEP) {
      double up = depth * (1 - Math.cos(2 * Math.PI * rate * (at - from))) / 2;
      events.add(pass(sounded, at, up, layer));
    }
  }

  private static void bend(List<Event> events, Sounded sounded, Layer layer, Technique.Bend bend) {
    double length = sounded.end() - sounded.onset();
    double time = Math.min(PUSH, SHARE * length);
    if (!bend.before()) {
      move(events, sounded, sounded.onset(), time, 0, bend.semitones(), layer);
    }
    if (bend.release()) {
      double at = sounded.onset() + Math.max(time, length / 2);
      move(events, sounded, at, time, bend.semitones(), 0, layer);
    }
  }

  private static void move(
      List<Event> events,
      Sounded sounded,
      double from,
      double time,
      double low,
      double high,
      Layer layer) {
    int steps = Math.max(1, (int) (time / STEP));
    for (int n = 1; n <= steps; n++) {
      double share = (1 - Math.cos(Math.PI * n / steps)) / 2;
      double up = low + (high - low) * share;
      events.add(pass(sounded, from + time * n / steps, up, layer));
    }
  }

  private static Event pass(Sounded sounded, double at, double up, Layer layer) {
    return new Event.Pass(at, sounded.note().string(), sounded.note().midi() + up, layer);
  }
}
