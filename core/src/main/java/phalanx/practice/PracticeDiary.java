package phalanx.practice;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the log says over days and weeks. A day is the player’s own: midnight where they are, also
 * when clocks are changed.
 *
 * @param entries by time
 * @param zone where the player is
 */
public record PracticeDiary(List<PracticeEntry> entries, ZoneId zone) {

  public PracticeDiary {
    entries = List.copyOf(entries);
  }

  private LocalDate day(PracticeEntry entry) {
    return entry.at().atZone(zone).toLocalDate();
  }

  /** Minutes practised on each day, rounded up; days without are not there. */
  public Map<LocalDate, Integer> minutes() {
    Map<LocalDate, Double> seconds = new TreeMap<>();
    entries.forEach(e -> seconds.merge(day(e), e.seconds(), Double::sum));
    Map<LocalDate, Integer> minutes = new TreeMap<>();
    seconds.forEach((d, s) -> minutes.put(d, (int) Math.ceil(s / 60)));
    return minutes;
  }

  /** What was done of a drill of a song. */
  public DrillHistory history(String song, String drill) {
    TreeMap<LocalDate, Boolean> good = new TreeMap<>();
    List<TempoLadder.Attempt> attempts = new ArrayList<>();
    for (PracticeEntry entry : entries) {
      if (entry.song().equals(song) && entry.drill().equals(drill)) {
        attempts.add(new TempoLadder.Attempt(entry.tempo(), entry.outcome()));
        if (entry.outcome() != Outcome.RESTED) {
          good.put(day(entry), entry.outcome() == Outcome.CLEAN);
        }
      }
    }
    List<DrillHistory.Day> days = new ArrayList<>();
    good.forEach((d, clean) -> days.add(new DrillHistory.Day(d, clean)));
    return new DrillHistory(days, attempts);
  }

  /** The fastest clean tempo of a drill on each day it was practised. */
  public Map<LocalDate, Double> tempos(String song, String drill) {
    Map<LocalDate, Double> tempos = new TreeMap<>();
    for (PracticeEntry entry : entries) {
      if (entry.song().equals(song)
          && entry.drill().equals(drill)
          && entry.outcome() == Outcome.CLEAN) {
        tempos.merge(day(entry), entry.tempo(), Math::max);
      }
    }
    return tempos;
  }

  /**
   * The thumb’s spread in each week, s, as the mean of what was measured; weeks by their Monday.
   */
  public Map<LocalDate, Double> thumbSpread() {
    Map<LocalDate, List<Double>> weeks = new TreeMap<>();
    for (PracticeEntry entry : entries) {
      if (entry.thumbSpread().isPresent()) {
        LocalDate day = day(entry);
        LocalDate monday = day.minusDays(day.getDayOfWeek().getValue() - 1L);
        weeks
            .computeIfAbsent(monday, w -> new ArrayList<>())
            .add(entry.thumbSpread().getAsDouble());
      }
    }
    Map<LocalDate, Double> spread = new TreeMap<>();
    weeks.forEach((w, all) -> spread.put(w, all.stream().mapToDouble(d -> d).average().orElse(0)));
    return spread;
  }
}
