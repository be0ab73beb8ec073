package phalanx.sound.score;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.Force;
import phalanx.sound.Layer;
import phalanx.sound.strings.Plucker;

/** Short scores to hear one thing by. */
public final class Sketch {

  /** From string to string of a shape, s. */
  private static final double SPREAD = 0.07;

  /** How long a shape and a note are left to ring, s. */
  private static final double SHAPE = 2;

  private static final double NOTE = 1;

  private Sketch() {}

  /** A shape, its strings from low to high. */
  public static Score shape(Guitar guitar, Shape shape) {
    List<Event> events = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      OptionalInt fret = shape.fret(s);
      if (fret.isPresent()) {
        int midi = guitar.midi(s, fret.getAsInt());
        events.add(
            new Event.Pluck(
                events.size() * SPREAD, s, midi, Plucker.FINGERTIP, Force.PLAIN, Layer.FINGERS));
      }
    }
    return Score.of(guitar, events, SHAPE);
  }

  /** One note of a string, 0 for ⑥ to 5 for ①. */
  public static Score note(Guitar guitar, int string, int fret) {
    int midi = guitar.midi(string, fret);
    Event pluck = new Event.Pluck(0, string, midi, Plucker.NAIL, Force.PLAIN, Layer.TUNE);
    return Score.of(guitar, List.of(pluck), NOTE);
  }
}
