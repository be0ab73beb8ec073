package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.embellishment.HarpRun;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.Force;
import phalanx.sound.Layer;
import phalanx.sound.strings.Excitation;
import phalanx.sound.strings.Plucker;
import phalanx.theory.Ticks;

/** Short scores to hear one thing by. */
public final class Sketch {

  /** From string to string of a shape, s. */
  private static final double SPREAD = 0.07;

  /** From note to note of a run, s. */
  private static final double RUN = 0.25;

  /** How long a shape and a note are left to ring, s. */
  private static final double SHAPE = 2;

  private static final double NOTE = 1;

  private Sketch() {}

  /** A shape, its strings from low to high. */
  public static EventSequence shape(Guitar guitar, Shape shape) {
    return frets(guitar, shape.frets());
  }

  /** Frets from ⑥ to ①, {@link Shape#SILENT} for a string that does not sound. */
  public static EventSequence frets(Guitar guitar, List<Integer> frets) {
    List<Event> events = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (frets.get(s) != Shape.SILENT) {
        int midi = guitar.midi(s, frets.get(s));
        events.add(
            new Event.Pluck(
                events.size() * SPREAD, s, midi, Plucker.FINGERTIP, Force.PLAIN, Layer.FINGERS));
      }
    }
    return EventSequence.of(guitar, events, SHAPE);
  }

  /** Notes of a plan one after the other, at a tempo in quarters a minute; slurs are slurred. */
  public static EventSequence notes(Guitar guitar, List<Note> notes, double tempo) {
    List<Event> events = new ArrayList<>();
    int from = notes.stream().mapToInt(Note::tick).min().orElse(0);
    double end = 0;
    for (Note note : notes) {
      double at = Ticks.millis((long) note.tick() - from, tempo) / 1000;
      end = Math.max(end, at);
      boolean pulled = note.attack() == Attack.PULLED;
      events.add(
          note.attack().isSlur()
              ? new Event.Slur(at, note.string(), note.midi(), pulled, Layer.TUNE)
              : new Event.Pluck(
                  at,
                  note.string(),
                  TechniqueEvents.midi(note),
                  Plucker.NAIL,
                  note.force(),
                  Layer.TUNE));
    }
    return EventSequence.of(guitar, events, end + SHAPE);
  }

  /** A harp run, plain notes and harmonics equally loud, all ringing on. */
  public static EventSequence run(Guitar guitar, HarpRun run) {
    List<Event> events = new ArrayList<>();
    for (HarpRun.HarpNote note : run.notes()) {
      double at = events.size() * RUN;
      Plucker plucker = note.touched() ? Plucker.NAIL : Plucker.FINGERTIP;
      events.add(
          note.pulled()
              ? new Event.Slur(at, note.string(), note.midi(), true, Layer.TUNE)
              : new Event.Pluck(at, note.string(), note.midi(), plucker, Force.PLAIN, Layer.TUNE));
    }
    return EventSequence.of(guitar, events, events.size() * RUN + SHAPE);
  }

  /**
   * A natural harmonic of a string, 0 for ⑥ to 5 for ①: its open sound so many times as high.
   *
   * @param harmonic 2 for the octave, 3 for the twelfth, and so on
   */
  public static EventSequence harmonic(Guitar guitar, int string, int harmonic) {
    double midi = guitar.midi(string, 0) + 12 * Math.log(harmonic) / Math.log(2);
    Event pluck =
        new Event.Harmonic(
            0, string, midi, Excitation.of(Plucker.FINGERTIP, Force.PLAIN), Layer.TUNE);
    return EventSequence.of(guitar, List.of(pluck), SHAPE);
  }

  /** One note of a string, 0 for ⑥ to 5 for ①. */
  public static EventSequence note(Guitar guitar, int string, int fret) {
    int midi = guitar.midi(string, fret);
    Event pluck = new Event.Pluck(0, string, midi, Plucker.NAIL, Force.PLAIN, Layer.TUNE);
    return EventSequence.of(guitar, List.of(pluck), NOTE);
  }
}
