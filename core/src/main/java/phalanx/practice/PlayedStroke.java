package phalanx.practice;

import java.util.Optional;
import phalanx.picking.PickFinger;

/**
 * A stroke as it was tapped.
 *
 * @param seconds when, from any beginning
 * @param finger whose key it was; empty where any key was taken
 */
public record PlayedStroke(double seconds, Optional<PickFinger> finger) {}
