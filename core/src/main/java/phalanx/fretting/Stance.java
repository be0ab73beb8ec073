package phalanx.fretting;

import java.util.Optional;
import phalanx.instrument.Finger;

/**
 * How the hand stands at one end of a slot: its shape with what fingers hold beside it there.
 *
 * @param shape everything that is down
 * @param voice the place of the note of the tune that sounds there; empty if none does
 * @param soundsOn whether it is to sound on over the change
 */
public record Stance(Shape shape, Optional<Voice> voice, boolean soundsOn) {

  /**
   * Where a note is held.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   * @param finger the finger; empty for an open string
   */
  public record Voice(int string, int fret, Optional<Finger> finger) {}

  /** The shape alone. */
  public static Stance of(Shape shape) {
    return new Stance(shape, Optional.empty(), false);
  }
}
