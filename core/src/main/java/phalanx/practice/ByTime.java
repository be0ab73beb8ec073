package phalanx.practice;

import java.util.List;
import java.util.function.ToDoubleFunction;

/** Things in order of time. */
final class ByTime {

  private ByTime() {}

  /** The place of the first thing from a time on, found by halving. */
  static <T> int firstFrom(List<T> things, ToDoubleFunction<T> seconds, double from) {
    int low = 0;
    int high = things.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (seconds.applyAsDouble(things.get(middle)) < from) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
