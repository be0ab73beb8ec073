package phalanx.practice;

import java.util.List;

/**
 * How steady strokes were.
 *
 * @param count how many there were
 * @param mean how late they were on the whole, s; less than 0 early
 * @param spread their standard deviation (of a sample), s
 * @param drift by how much the tempo rose from the first to the last, quarter notes a minute
 */
public record Steadiness(int count, double mean, double spread, double drift) {

  /**
   * The steadiness of some strokes.
   *
   * @param late how late each was, s
   */
  public static Steadiness of(List<Double> late, double drift) {
    int n = late.size();
    double mean = late.stream().mapToDouble(d -> d).average().orElse(0);
    double squares = late.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
    return new Steadiness(n, mean, n > 1 ? Math.sqrt(squares / (n - 1)) : 0, drift);
  }
}
