package phalanx.desktop.model;

/**
 * What tells the screens apart; what they are called, in which order, stands in the frame's list.
 */
public enum Screen {
  CHART,
  SHAPES,
  PICKING,
  MELODY,
  ARRANGE,
  PRACTICE,
  GUITAR,
  SHARE
}
