package phalanx.desktop.model;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.practice.Drill;
import phalanx.practice.DrillHistory;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeEntry;
import phalanx.practice.ReviewSchedule;
import phalanx.practice.Today;
import phalanx.practice.WarmUp;

/**
 * A song with what there is to practise in it.
 *
 * @param plan its arrangement
 * @param drills in the order they are taught
 * @param histories what was done of each before today, in the same order
 */
public record PracticeSong(Arrangement plan, List<Drill> drills, List<DrillHistory> histories) {

  public PracticeSong {
    drills = List.copyOf(drills);
    histories = List.copyOf(histories);
  }

  /** A song as the log has it on a day. */
  static PracticeSong of(
      Arrangement plan, List<Drill> drills, PracticeDiary diary, LocalDate date) {
    String key = PracticeEntry.songKey(plan.song());
    return new PracticeSong(
        plan, drills, drills.stream().map(d -> diary.history(key, d.id()).before(date)).toList());
  }

  /** What it is known by in the log. */
  public String key() {
    return PracticeEntry.songKey(plan.song());
  }

  /** What the player calls it. */
  public String title() {
    return plan.song().title();
  }

  Today.Practised practised() {
    return new Today.Practised(warmUp(), drills, histories);
  }

  private Optional<Drill> warmUp() {
    return WarmUp.of(plan);
  }

  /** A drill that comes again. */
  public record Due(PracticeSong song, Drill drill, LocalDate date) {}

  /** When each drill comes again that was practised. */
  public List<Due> due() {
    List<Due> due = new ArrayList<>();
    for (int d = 0; d < drills.size(); d++) {
      Drill drill = drills.get(d);
      ReviewSchedule.due(histories.get(d)).ifPresent(on -> due.add(new Due(this, drill, on)));
    }
    return due;
  }
}
