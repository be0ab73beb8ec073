package phalanx.planning;

import java.util.HashMap;
import java.util.Map;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.picking.HeardTones;
import phalanx.picking.PatternHeard;

/** What one pattern strikes of shapes, each worked out once; for one thread. */
final class StruckShapes {

  private final HeardTones heard;
  private final Reach reach;
  private final Map<Shape, StruckShape> known = new HashMap<>();

  StruckShapes(PatternHeard heard, Reach reach) {
    this.heard = new HeardTones(heard);
    this.reach = reach;
  }

  StruckShape of(Shape shape) {
    return known.computeIfAbsent(shape, s -> StruckShape.of(s, heard, reach));
  }
}
