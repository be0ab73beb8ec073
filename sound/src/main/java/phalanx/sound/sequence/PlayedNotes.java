package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.instrument.Tuning;
import phalanx.performance.Ending;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.sound.Layer;
import phalanx.sound.strings.Excitation;
import phalanx.sound.strings.HandNoise;
import phalanx.sound.strings.Plucker;
import phalanx.technique.Technique;

/** Every note and hit of a performance as what is done to the strings. */
final class PlayedNotes {

  /** A finger that is about to pluck lands on the string this much before, s. */
  private static final double LANDS = 0.012;

  /**
   * Times to −60 dB, s: under a landing finger, a hand laid on, a finger lifted, one pressed above.
   */
  private static final double LANDED = 0.011;

  private static final double DAMPED = 0.05;
  private static final double LIFTED = 0.06;
  private static final double PRESSED = 0.03;

  /** A sliding finger takes this long from fret to fret, s, where there is time. */
  private static final double FRET = 0.028;

  /** A slide takes at most this share of the time of the note it comes from. */
  private static final double SLIDING = 0.6;

  /** Contact of nail or pick, against a pluck. */
  private static final double CONTACT = 0.05;

  /** A pluck comes no earlier after what ends the note before it, s. */
  private static final double APART = 0.001;

  private final Performance performance;
  private final Interpretation interpretation;
  private final Nuances nuances;
  private final PickingHand hand;
  private final List<Event> events = new ArrayList<>();

  /** What is struck when. */
  private final Set<Struck> struck = new HashSet<>();

  private record Struck(int tick, int string) {}

  /** What is played next on the same string. */
  private final Map<Sounded, Sounded> next = new IdentityHashMap<>();

  PlayedNotes(Performance performance, Interpretation interpretation) {
    this.performance = performance;
    this.interpretation = interpretation;
    nuances = new Nuances(performance, interpretation.freedom());
    boolean pick = performance.arrangement().song().school().hasPick();
    PickingHand own = interpretation.hand();
    hand = pick ? own.with(List.of(PickFinger.P), Plucker.PICK) : own;
  }

  /** All of them, in no order. */
  List<Event> events() {
    Sounded[] before = new Sounded[Tuning.STRINGS];
    for (Sounded note : performance.notes()) {
      struck.add(new Struck(note.note().tick(), note.note().string()));
      Sounded last = before[note.note().string()];
      if (last != null) {
        next.put(last, note);
      }
      before[note.note().string()] = note;
    }
    before = new Sounded[Tuning.STRINGS];
    for (Sounded note : performance.notes()) {
      start(note, before[note.note().string()]);
      end(note);
      before[note.note().string()] = note;
    }
    performance
        .hits()
        .forEach(
            h ->
                events.add(
                    new Event.Hit(
                        h.onset(),
                        h.hit().kind(),
                        Excitation.strength(h.hit().force()),
                        nuances.seed(h.hit().tick(), 50 + h.hit().kind().ordinal()))));
    events.addAll(new WoundStringNoise(performance, nuances, interpretation.freedom()).events());
    return events;
  }

  private void start(Sounded sounded, Sounded before) {
    Note note = sounded.note();
    Layer layer = Layer.of(note);
    boolean slurred = note.attack().isSlur() && sounded.from().isPresent();
    if (slurred && note.attack() == Attack.SLID) {
      slide(sounded, before);
    } else if (slurred) {
      boolean pulled = note.attack() == Attack.PULLED;
      events.add(new Event.Slur(sounded.onset(), note.string(), note.midi(), pulled, layer));
    } else {
      boolean whole =
          note.techniques().stream().anyMatch(Technique.NaturalHarmonic.class::isInstance);
      double midi = TechniqueEvents.midi(note);
      double at = nuances.of(sounded).at();
      Excitation stroke = stroke(sounded);
      events.add(
          whole
              ? new Event.Harmonic(at, note.string(), midi, stroke, layer)
              : new Event.Pluck(at, note.string(), midi, stroke, layer));
    }
    events.addAll(TechniqueEvents.of(sounded, layer));
  }

  private Excitation stroke(Sounded sounded) {
    Note note = sounded.note();
    PickFinger finger = note.pick().orElse(PickFinger.I);
    // Where a slur lost the note it came from it is a soft note of its own.
    Force force = note.attack().isSlur() ? Force.SOFT : note.force();
    Nuances.Nuance nuance = nuances.of(sounded);
    Excitation usual = Excitation.of(hand.of(finger), force);
    Excitation placed =
        usual
            .times(nuance.strength())
            .at(usual.place() + interpretation.place() + nuance.place())
            .seeded(nuance.seed());
    return TechniqueEvents.stroke(
        note, isRested(note, finger) ? placed.touching(Excitation.Contact.RESTED) : placed);
  }

  /** A finger that follows through is stopped by the next string, which nobody else plucks then. */
  private boolean isRested(Note note, PickFinger finger) {
    boolean thumb = finger == PickFinger.P;
    int next = note.string() + (thumb ? 1 : -1);
    return hand.rests(finger)
        && (thumb || note.part() == Note.Part.TUNE)
        && note.attack() == Attack.PLUCKED
        && !struck.contains(new Struck(note.tick(), next));
  }

  /** Fret by fret, so that the last is reached when its note is due, and sounds on from there. */
  private void slide(Sounded sounded, Sounded before) {
    Note note = sounded.note();
    int from = before.note().midi();
    int frets = Math.abs(note.midi() - from);
    double each = frets == 0 ? 0 : slideSeconds(before, sounded) / frets;
    for (int f = 1; f < frets; f++) {
      double at = sounded.onset() - each * (frets - f);
      int midi = from + (note.midi() > from ? f : -f);
      events.add(new Event.Pass(at, note.string(), midi, Layer.of(note)));
    }
    double at = sounded.onset();
    events.add(new Event.Arrival(at, note.string(), note.midi(), Layer.of(note)));
  }

  /** How long the finger is on its way from one note to the next, s. */
  static double slideSeconds(Sounded from, Sounded to) {
    int frets = Math.abs(to.note().midi() - from.note().midi());
    return Math.min(frets * FRET, SLIDING * (to.onset() - from.onset()));
  }

  private void end(Sounded sounded) {
    if (sounded.ending() == Ending.RINGS_ON) {
      return;
    }
    double at = sounded.end();
    double fade =
        switch (sounded.ending()) {
          case PLUCKED_ANEW -> LANDED;
          case DAMPED -> DAMPED;
          case FINGER_LIFTED -> LIFTED;
          default -> PRESSED;
        };
    int string = sounded.note().string();
    Layer layer = Layer.of(sounded.note());
    double begun = nuances.of(sounded).at();
    if (sounded.ending() == Ending.PLUCKED_ANEW) {
      double anew = next.containsKey(sounded) ? nuances.of(next.get(sounded)).at() : at;
      at = Math.max((begun + anew) / 2, anew - LANDS);
      contact(next.get(sounded), at);
    } else if (next.containsKey(sounded) && nuances.of(next.get(sounded)).at() < at) {
      at = nuances.of(next.get(sounded)).at() - APART;
    }
    events.add(new Event.Stop(Math.max(at, begun), string, fade, layer));
  }

  /** Nail or pick come to lie on a string that rings. */
  private void contact(Sounded coming, double at) {
    if (coming == null || interpretation.freedom() == 0) {
      return;
    }
    Excitation stroke = stroke(coming);
    boolean hard = stroke.plucker() == Plucker.NAIL || stroke.plucker() == Plucker.PICK;
    double strength = (hard ? 1 : 0.3) * CONTACT * stroke.strength();
    events.add(
        new Event.Noise(
            at, HandNoise.CONTACT, strength, stroke.seed() + 1, Layer.of(coming.note())));
  }
}
