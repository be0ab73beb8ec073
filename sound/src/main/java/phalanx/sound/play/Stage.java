package phalanx.sound.play;

import java.util.Optional;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.theory.Pitch;

/**
 * Where it is played.
 *
 * @param a4 frequency of A4, Hz
 * @param room 0 for none, to 1 for a hall
 * @param body the answer of a body of the player’s own; empty for ours
 * @param hall the answer of a room of the player’s own; empty for ours
 * @param gain everything louder or softer by this factor, so that songs are equally loud
 */
public record Stage(
    double a4,
    double room,
    Optional<ImpulseResponse> body,
    Optional<ImpulseResponse> hall,
    double gain) {

  /** A small room. */
  public static final double USUAL_ROOM = 0.3;

  /** At the usual pitch in a small room. */
  public static final Stage USUAL =
      new Stage(Pitch.A4_HZ, USUAL_ROOM, Optional.empty(), Optional.empty(), 1);
}
