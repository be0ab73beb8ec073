package phalanx.song;

import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;

/**
 * What the picking hand does in a song.
 *
 * @param school how it shares the strings
 * @param patterns what it plays where
 * @param thumb the way the thumb takes over the bass strings, where
 * @param densities how much of it is played where
 */
public record PickingHand(
    HandSchool school, Patterns patterns, ThumbRoutes thumb, Densities densities) {

  /** Thumb and three fingers, the thumb alternating, fingers between. */
  static final PickingHand USUAL =
      new PickingHand(
          HandSchool.THUMB_AND_THREE,
          Patterns.of(AlternatingThumb.FINGERS_BETWEEN),
          ThumbRoutes.of(ThumbRoute.ALTERNATING),
          Densities.NONE);

  PickingHand withSchool(HandSchool other) {
    return new PickingHand(other, patterns, thumb, densities);
  }

  PickingHand withPatterns(Patterns other) {
    return new PickingHand(school, other, thumb, densities);
  }

  PickingHand withThumb(ThumbRoutes other) {
    return new PickingHand(school, patterns, other, densities);
  }

  PickingHand withDensities(Densities other) {
    return new PickingHand(school, patterns, thumb, other);
  }
}
