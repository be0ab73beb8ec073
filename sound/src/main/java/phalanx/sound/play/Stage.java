package phalanx.sound.play;

import phalanx.theory.Pitch;

/**
 * Where it is played.
 *
 * @param a4 frequency of A4, Hz
 * @param room 0 for none, to 1 for a hall
 * @param gain everything louder or softer by this factor, so that songs are equally loud
 */
public record Stage(double a4, double room, double gain) {

  /** A small room. */
  public static final double USUAL_ROOM = 0.3;

  /** At the usual pitch in a small room. */
  public static final Stage USUAL = new Stage(Pitch.A4_HZ, USUAL_ROOM, 1);
}
