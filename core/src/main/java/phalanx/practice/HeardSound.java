package phalanx.practice;

/**
 * The beginning of a sound that was heard.
 *
 * @param seconds when, from the beginning of the recording
 * @param salience how much of what is new in it is explained by each pitch, 0 to 1, from {@link
 *     #LOWEST} up by semitones
 */
public record HeardSound(double seconds, float[] salience) {

  /** The lowest pitch that is looked for: C2 as MIDI note. */
  public static final int LOWEST = 36;

  /** So many semitones from there. */
  public static final int PITCHES = 60;

  /** How well a pitch explains it, 0 to 1. */
  public double of(int midi) {
    int at = midi - LOWEST;
    return at < 0 || at >= salience.length ? 0 : salience[at];
  }
}
