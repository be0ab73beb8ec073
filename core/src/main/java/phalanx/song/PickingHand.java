package phalanx.song;

import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;

/**
 * What the picking hand does in a song.
 *
 * @param school how it shares the strings
 * @param patterns what it plays where
 * @param thumb the way the thumb takes over the bass strings
 */
public record PickingHand(HandSchool school, Patterns patterns, ThumbRoute thumb) {

  /** Thumb and three fingers, the thumb alternating, fingers between. */
  static final PickingHand USUAL =
      new PickingHand(
          HandSchool.THUMB_AND_THREE,
          Patterns.of(AlternatingThumb.FINGERS_BETWEEN),
          ThumbRoute.ALTERNATING);

  PickingHand withSchool(HandSchool other) {
    return new PickingHand(other, patterns, thumb);
  }

  PickingHand withPatterns(Patterns other) {
    return new PickingHand(school, other, thumb);
  }

  PickingHand withThumb(ThumbRoute other) {
    return new PickingHand(school, patterns, other);
  }
}
