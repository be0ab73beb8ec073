package phalanx.practice;

import java.util.ArrayList;
import java.util.List;

/**
 * Strokes that are expected together: a stroke alone, a pinch, a block.
 *
 * @param seconds when, from the beginning of what is played
 * @param strokes one or more
 */
record Moment(double seconds, List<ExpectedStroke> strokes) {

  Moment {
    strokes = List.copyOf(strokes);
  }

  /** The moments of strokes that are in order of time. */
  static List<Moment> of(List<ExpectedStroke> expected) {
    List<Moment> moments = new ArrayList<>();
    List<ExpectedStroke> here = new ArrayList<>();
    for (ExpectedStroke stroke : expected) {
      if (!here.isEmpty() && stroke.seconds() - here.get(0).seconds() > ExpectedStroke.TOGETHER) {
        moments.add(new Moment(here.get(0).seconds(), here));
        here.clear();
      }
      here.add(stroke);
    }
    if (!here.isEmpty()) {
      moments.add(new Moment(here.get(0).seconds(), here));
    }
    return moments;
  }

  /** When each is. */
  static double[] seconds(List<Moment> moments) {
    return moments.stream().mapToDouble(Moment::seconds).toArray();
  }

  /** Which are the first of their bars: where a player may begin again. */
  static boolean[] entries(List<Moment> moments) {
    boolean[] entries = new boolean[moments.size()];
    for (int m = 0; m < entries.length; m++) {
      entries[m] = m == 0 || moments.get(m).bar() != moments.get(m - 1).bar();
    }
    return entries;
  }

  int bar() {
    return strokes.get(0).bar();
  }
}
