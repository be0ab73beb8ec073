package phalanx.fretting;

import phalanx.instrument.Finger;

/** What a shape does to one string. */
public sealed interface Stop {

  /** The string is not to sound. */
  record Silent() implements Stop {}

  /** The string rings open, from the nut or the capo. */
  record Open() implements Stop {}

  /**
   * A finger holds the string down.
   *
   * @param fret fret counted from the capo, 1 or more
   * @param finger the finger, which may hold other strings at the same fret as a barre
   */
  record Pressed(int fret, Finger finger) implements Stop {
    public Pressed {
      if (fret < 1) {
        throw new IllegalArgumentException("a finger needs a fret: " + fret);
      }
    }
  }
}
