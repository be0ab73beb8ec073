package phalanx.advice;

import java.util.Collections;
import java.util.PriorityQueue;

/** The lowest of many costs; safe for use by several threads. */
final class Best {

  private final int many;
  private final PriorityQueue<Double> lowest = new PriorityQueue<>(Collections.reverseOrder());

  /** For so many, one or more. */
  Best(int many) {
    this.many = many;
  }

  synchronized void add(double cost) {
    lowest.add(cost);
    if (lowest.size() > many) {
      lowest.remove();
    }
  }

  /** What a cost must not exceed to be among them; infinite until there are so many. */
  synchronized double limit() {
    return lowest.size() < many ? Double.POSITIVE_INFINITY : lowest.element();
  }
}
