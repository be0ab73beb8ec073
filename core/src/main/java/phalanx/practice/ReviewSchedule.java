package phalanx.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * When a drill is due again, in expanding intervals: Leitner’s boxes (S. Leitner, “So lernt man
 * lernen”, 1972), here of 1, 2, 4, 8, 16 and 32 days. A good day moves a drill a box on, another
 * one a box back. What was due and was not done waits; it does not fall back.
 */
public final class ReviewSchedule {

  private static final List<Integer> DAYS = List.of(1, 2, 4, 8, 16, 32);

  private ReviewSchedule() {}

  /** The box a drill is in, from 0; -1 before it was ever practised. */
  static int box(DrillHistory history) {
    int box = -1;
    LocalDate last = null;
    for (DrillHistory.Day day : history.days()) {
      if (day.date().equals(last)) {
        continue;
      }
      box = day.good() ? Math.min(DAYS.size() - 1, box + 1) : Math.max(0, box - 1);
      last = day.date();
    }
    return box;
  }

  /** When it is due; empty for one that was never practised. */
  public static Optional<LocalDate> due(DrillHistory history) {
    return history.isNew()
        ? Optional.empty()
        : Optional.of(history.days().get(history.days().size() - 1).date().plusDays(days(history)));
  }

  /** How long it rests after its last day. */
  static int days(DrillHistory history) {
    return DAYS.get(Math.max(0, box(history)));
  }

  /** Whether it is due on a day or before. */
  public static boolean isDue(DrillHistory history, LocalDate on) {
    return due(history).filter(d -> !d.isAfter(on)).isPresent();
  }
}
