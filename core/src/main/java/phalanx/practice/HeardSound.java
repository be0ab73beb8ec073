package phalanx.practice;

import java.util.OptionalDouble;

/**
 * The beginning of a sound that was heard.
 *
 * @param seconds when, from the beginning of the recording
 * @param strength how clearly it begins: so many times more changes then than just before
 * @param fresh how much of what is new in it is explained by each pitch, 0 to 1, from {@link
 *     #LOWEST} up by semitones
 * @param whole how much of all that sounds is, the same way: a string struck again at its pitch has
 *     little that is new
 * @param levels how loud what is new at each pitch is, dB beside full scale, the same way
 */
public record HeardSound(
    double seconds, double strength, float[] fresh, float[] whole, float[] levels) {

  /** The lowest pitch that is looked for: C2 as MIDI note. */
  public static final int LOWEST = 36;

  /** So many semitones from there. */
  public static final int PITCHES = 60;

  /** What rings already says less of a stroke than what is new. */
  private static final double RINGING = 0.85;

  /** How well a pitch explains what is new, 0 to 1. */
  public double fresh(int midi) {
    return of(fresh, midi);
  }

  /** How well a pitch explains it, what is new or what sounds, 0 to 1. */
  public double of(int midi) {
    return Math.max(of(fresh, midi), RINGING * of(whole, midi));
  }

  /** How loud what is new at a pitch is, dB beside full scale; empty where it is not known. */
  public OptionalDouble level(int midi) {
    int at = midi - LOWEST;
    return at < 0 || at >= levels.length ? OptionalDouble.empty() : OptionalDouble.of(levels[at]);
  }

  private static double of(float[] salience, int midi) {
    int at = midi - LOWEST;
    return at < 0 || at >= salience.length ? 0 : salience[at];
  }
}
