package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Note;
import phalanx.performance.Sounded;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;
import phalanx.sound.strings.Excitation;
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

  /** A muted string, a slapped and a popped one are plucked so much more strongly. */
  private static final double MUTED = 1.3;

  private static final double SLAP = 1.3;
  private static final double POP = 1.6;

  /** The thumb’s blow itself, against a slap without a note. */
  private static final double SLAPS = 0.6;

  /** Near the bridge, and over the end of the neck, mm from the bridge. */
  private static final double PONTICELLO = 45;

  private static final double TASTO = 215;

  /** A string is drawn up here, mm from the bridge. */
  private static final double POP_PLACE = 75;

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

  /** A stroke with what its note’s techniques do to it. */
  static Excitation stroke(Note note, Excitation usual) {
    Excitation stroke = usual;
    for (Technique technique : note.techniques()) {
      if (technique == Technique.Plain.PALM_MUTE) {
        stroke = stroke.touching(Excitation.Contact.MUTED).times(MUTED);
      } else if (technique == Technique.Plain.SLAP) {
        stroke = struck(stroke, SLAP, stroke.place()).touching(Excitation.Contact.SLAPPED);
      } else if (technique == Technique.Plain.POP) {
        stroke = struck(stroke, POP, POP_PLACE).touching(Excitation.Contact.POPPED);
      } else if (technique == Technique.Plain.NEAR_BRIDGE) {
        stroke = stroke.at(PONTICELLO);
      } else if (technique == Technique.Plain.NEAR_NECK) {
        stroke = stroke.at(TASTO);
      }
    }
    return stroke;
  }

  /** Against the frets the string sounds as bright as under a pick. */
  private static Excitation struck(Excitation stroke, double strength, double place) {
    return new Excitation(
        Plucker.PICK, strength * stroke.strength(), place, stroke.contact(), stroke.seed());
  }

  /** What happens while a note sounds. */
  static List<Event> of(Sounded sounded, Layer layer) {
    List<Event> events = new ArrayList<>();
    for (Technique technique : sounded.note().techniques()) {
      if (technique instanceof Technique.Vibrato v) {
        rock(events, sounded, layer, v.wide());
      } else if (technique instanceof Technique.Bend b) {
        bend(events, sounded, layer, b);
      } else if (technique == Technique.Plain.SLAP) {
        events.add(
            new Event.Hit(sounded.onset(), HitKind.THUMB_SLAP, SLAPS, sounded.note().tick()));
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
