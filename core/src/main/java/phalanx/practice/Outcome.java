package phalanx.practice;

/** How an attempt went, as the player says. */
public enum Outcome {
  CLEAN,
  MISSED,
  /** A pause: it counts neither way. */
  RESTED
}
