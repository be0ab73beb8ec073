package phalanx.desktop.model;

import phalanx.instrument.Finger;
import phalanx.picking.PickFinger;

/** A finger of either hand that the player looks at. */
public sealed interface FingerChoice {

  /** A finger of the fretting hand. */
  record Fretting(Finger finger) implements FingerChoice {}

  /** A finger of the picking hand. */
  record Picking(PickFinger finger) implements FingerChoice {}
}
