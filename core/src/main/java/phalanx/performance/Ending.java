package phalanx.performance;

/** What ends a note. */
public enum Ending {
  /** Its string is struck again. */
  PLUCKED_ANEW,
  /** The fretting hand makes another note of it: a slur, or a finger pressed above. */
  FRETTED_ANEW,
  /** A hand is laid on the string. */
  DAMPED,
  /** Its finger leaves the fret. */
  FINGER_LIFTED,
  /** Nothing: it rings until the song ends, or its sound does. */
  RINGS_ON
}
