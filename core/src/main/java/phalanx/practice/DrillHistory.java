package phalanx.practice;

import java.time.LocalDate;
import java.util.List;

/**
 * What was done of a drill.
 *
 * @param days every day on which it was practised, in order, and whether it ended well
 * @param attempts all attempts in order
 */
public record DrillHistory(List<Day> days, List<TempoLadder.Attempt> attempts) {

  public static final DrillHistory NONE = new DrillHistory(List.of(), List.of());

  /**
   * A day on which a drill was practised.
   *
   * @param date when
   * @param good whether its last counted attempt was clean
   */
  public record Day(LocalDate date, boolean good) {}

  public DrillHistory {
    days = List.copyOf(days);
    attempts = List.copyOf(attempts);
  }

  /** The days before another; what is done on that day stays on its plan. */
  public DrillHistory before(LocalDate date) {
    return new DrillHistory(days.stream().filter(d -> d.date().isBefore(date)).toList(), attempts);
  }

  /** Whether it was ever practised. */
  public boolean isNew() {
    return days.isEmpty();
  }
}
