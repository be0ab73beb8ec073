package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;

/** Pins that cannot be kept together with the rest. */
final class BrokenPins implements Rule {

  static final String NAME = "pin";

  @Override
  public List<Found> in(Arrangement a) {
    return Found.remarked(a, NAME, Remark.Kind.PIN);
  }
}
