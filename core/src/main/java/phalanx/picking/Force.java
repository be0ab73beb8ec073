package phalanx.picking;

/** How strongly something is struck. */
public enum Force {
  SOFT,
  PLAIN,
  ACCENTED
}
