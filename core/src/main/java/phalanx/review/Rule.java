package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;

/** One thing that may be wrong with an arrangement. */
interface Rule {

  /** Every place where it is. */
  List<Found> in(Arrangement arrangement);
}
