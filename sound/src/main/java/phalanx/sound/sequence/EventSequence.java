package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.performance.Ending;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.Layer;
import phalanx.sound.strings.Beat;
import phalanx.sound.strings.Plucker;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

/**
 * A performance as what is done to the strings.
 *
 * @param guitar what it is played on
 * @param events by time; where a string is stopped and plucked at one time, stopped first
 * @param bars when each bar begins, seconds, and last when the song ends
 */
public record EventSequence(Guitar guitar, List<Event> events, List<Double> bars) {

  /** A finger that is about to pluck lands on the string this much before, s. */
  private static final double LANDS = 0.007;

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

  public EventSequence {
    events = List.copyOf(events);
    bars = List.copyOf(bars);
  }

  /** A performance. */
  public static EventSequence of(Performance performance) {
    List<Event> events = new ArrayList<>();
    Sounded[] before = new Sounded[Tuning.STRINGS];
    boolean pick = performance.arrangement().song().school().hasPick();
    Plucker thumb = pick ? Plucker.PICK : Plucker.FLESH;
    for (Sounded note : performance.notes()) {
      start(events, note, before[note.note().string()], thumb);
      end(events, note);
      before[note.note().string()] = note;
    }
    performance
        .hits()
        .forEach(h -> events.add(new Event.Hit(h.onset(), h.hit().kind(), h.hit().force())));
    List<Double> bars = new ArrayList<>();
    for (PlayedBar bar : performance.arrangement().timeline().bars()) {
      bars.add(performance.clock().seconds(bar.startTick(), 0));
      clicks(events, performance, bar);
    }
    bars.add(performance.seconds());
    return new EventSequence(performance.arrangement().song().guitar(), sorted(events), bars);
  }

  /** A score of events in any order, in one bar. */
  public static EventSequence of(Guitar guitar, List<Event> events, double seconds) {
    return new EventSequence(guitar, sorted(events), List.of(0.0, seconds));
  }

  private static List<Event> sorted(List<Event> events) {
    List<Event> all = new ArrayList<>(events);
    all.sort(
        Comparator.comparingDouble(Event::at).thenComparing(e -> e instanceof Event.Stop ? 0 : 1));
    return all;
  }

  private static void start(List<Event> events, Sounded sounded, Sounded before, Plucker thumb) {
    Note note = sounded.note();
    Layer layer = Layer.of(note);
    boolean slurred = note.attack().isSlur() && sounded.from().isPresent();
    if (slurred && note.attack() == Attack.SLID) {
      slide(events, sounded, before);
    } else if (slurred) {
      boolean pulled = note.attack() == Attack.PULLED;
      events.add(new Event.Slur(sounded.onset(), note.string(), note.midi(), pulled, layer));
    } else {
      Plucker plucker = note.isPickedBy(PickFinger.P) ? thumb : Plucker.NAIL;
      // Where a slur lost the note it came from it is a soft note of its own.
      Force force = note.attack().isSlur() ? Force.SOFT : note.force();
      double midi = TechniqueEvents.midi(note);
      plucker = TechniqueEvents.plucker(note, plucker);
      boolean whole =
          note.techniques().stream().anyMatch(Technique.NaturalHarmonic.class::isInstance);
      double at = sounded.onset();
      events.add(
          whole
              ? new Event.Harmonic(at, note.string(), midi, plucker, force, layer)
              : new Event.Pluck(at, note.string(), midi, plucker, force, layer));
    }
    events.addAll(TechniqueEvents.of(sounded, layer));
  }

  /** Fret by fret, so that the last is reached when its note is due, and sounds on from there. */
  private static void slide(List<Event> events, Sounded sounded, Sounded before) {
    Note note = sounded.note();
    int from = before.note().midi();
    int frets = Math.abs(note.midi() - from);
    double room = SLIDING * (sounded.onset() - before.onset());
    double each = frets == 0 ? 0 : Math.min(FRET, room / frets);
    for (int f = 1; f < frets; f++) {
      double at = sounded.onset() - each * (frets - f);
      int midi = from + (note.midi() > from ? f : -f);
      events.add(new Event.Pass(at, note.string(), midi, Layer.of(note)));
    }
    double at = sounded.onset();
    events.add(new Event.Arrival(at, note.string(), note.midi(), Layer.of(note)));
  }

  private static void end(List<Event> events, Sounded sounded) {
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
    if (sounded.ending() == Ending.PLUCKED_ANEW) {
      at = Math.max((sounded.onset() + sounded.end()) / 2, at - LANDS);
    }
    events.add(new Event.Stop(at, sounded.note().string(), fade, Layer.of(sounded.note())));
  }

  private static void clicks(List<Event> events, Performance performance, PlayedBar bar) {
    for (Meter.Syllable word : bar.count()) {
      boolean first = word.tick() == bar.startTick() && bar.metreTick() == 0;
      Beat beat = first ? Beat.FIRST : word.onBeat() ? Beat.BEAT : Beat.BETWEEN;
      events.add(new Event.Click(performance.clock().seconds(word.tick(), 0), beat));
    }
  }

  /** How long it lasts, seconds at its own tempo. */
  public double seconds() {
    return bars.get(bars.size() - 1);
  }

  /** How many bars it has. */
  public int barCount() {
    return bars.size() - 1;
  }

  /** The place of the bar, from 0, that a time falls in. */
  public int barAt(double seconds) {
    int bar = 0;
    while (bar + 1 < barCount() && bars.get(bar + 1) <= seconds) {
      bar++;
    }
    return bar;
  }

  /** The place of the first event that is not before a time. */
  public int firstFrom(double seconds) {
    int low = 0;
    int high = events.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (events.get(middle).at() < seconds) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
