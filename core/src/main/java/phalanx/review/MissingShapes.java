package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;

/** Chords of which no shape can be held. */
final class MissingShapes implements Rule {

  static final String NAME = "no shape";

  @Override
  public List<Found> in(Arrangement a) {
    return Found.remarked(a, NAME, Remark.Kind.NO_SHAPE);
  }
}
