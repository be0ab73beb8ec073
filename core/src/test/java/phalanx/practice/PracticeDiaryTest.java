package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;

/** Days and weeks as the player has them. */
class PracticeDiaryTest {

  private static final ZoneId ROME = ZoneId.of("Europe/Rome");

  private static PracticeEntry at(String local, double tempo, Outcome outcome, double spread) {
    return new PracticeEntry(
        ZonedDateTime.parse(local + "[Europe/Rome]").toInstant(),
        "song",
        "drill",
        "Thumb alone",
        tempo,
        outcome,
        90,
        OptionalDouble.empty(),
        spread > 0 ? OptionalDouble.of(spread) : OptionalDouble.empty(),
        "");
  }

  @Test
  void aDayEndsAtThePlayersMidnight() {
    List<PracticeEntry> entries =
        List.of(
            at("2026-03-02T23:59:00+01:00", 60, Outcome.CLEAN, 0),
            at("2026-03-03T00:01:00+01:00", 60, Outcome.CLEAN, 0));
    assertThat(new PracticeDiary(entries, ROME).minutes())
        .isEqualTo(Map.of(LocalDate.of(2026, 3, 2), 2, LocalDate.of(2026, 3, 3), 2));
    assertThat(new PracticeDiary(entries, ZoneId.of("America/New_York")).minutes())
        .isEqualTo(Map.of(LocalDate.of(2026, 3, 2), 3));
  }

  /**
   * Summer time began on 29 March 2026 at two and ended on 25 October (EU directive 2000/84/EC).
   */
  @Test
  void daysOfTwentyThreeAndTwentyFiveHoursAreDays() {
    List<PracticeEntry> entries =
        List.of(
            at("2026-03-29T00:30:00+01:00", 60, Outcome.CLEAN, 0),
            at("2026-03-29T23:30:00+02:00", 60, Outcome.CLEAN, 0),
            at("2026-10-25T00:30:00+02:00", 60, Outcome.CLEAN, 0),
            at("2026-10-25T23:30:00+01:00", 60, Outcome.CLEAN, 0));
    PracticeDiary diary = new PracticeDiary(entries, ROME);
    assertThat(diary.minutes().keySet())
        .containsExactly(LocalDate.of(2026, 3, 29), LocalDate.of(2026, 10, 25));
    assertThat(diary.history("song", "drill").days()).hasSize(2);
  }

  @Test
  void weeksBeginOnMondayAlsoOverTheYearsEnd() {
    List<PracticeEntry> entries =
        List.of(
            at("2026-12-28T18:00:00+01:00", 60, Outcome.CLEAN, 0.02),
            at("2027-01-03T18:00:00+01:00", 60, Outcome.CLEAN, 0.01),
            at("2027-01-04T18:00:00+01:00", 60, Outcome.CLEAN, 0.008));
    Map<LocalDate, Double> weeks = new PracticeDiary(entries, ROME).thumbSpread();
    assertThat(weeks.keySet())
        .containsExactly(LocalDate.of(2026, 12, 28), LocalDate.of(2027, 1, 4));
    assertThat(weeks.get(LocalDate.of(2026, 12, 28))).isEqualTo(0.015, within(1e-9));
  }

  @Test
  void aDayIsGoodIfItEndedClean() {
    List<PracticeEntry> entries = new ArrayList<>();
    entries.add(at("2026-03-02T18:00:00+01:00", 60, Outcome.CLEAN, 0));
    entries.add(at("2026-03-02T18:05:00+01:00", 62, Outcome.MISSED, 0));
    entries.add(at("2026-03-02T18:06:00+01:00", 62, Outcome.RESTED, 0));
    entries.add(at("2026-03-03T18:00:00+01:00", 62, Outcome.CLEAN, 0));
    PracticeDiary diary = new PracticeDiary(entries, ROME);
    DrillHistory history = diary.history("song", "drill");
    assertThat(history.days())
        .containsExactly(
            new DrillHistory.Day(LocalDate.of(2026, 3, 2), false),
            new DrillHistory.Day(LocalDate.of(2026, 3, 3), true));
    assertThat(diary.tempos("song", "drill").values()).containsExactly(60.0, 62.0);
    assertThat(diary.history("song", "other").isNew()).isTrue();
  }

  @Test
  void theInventedWeeksArePlausible() {
    List<Drill> drills =
        Drills.ofSong(
            new Arranger().arrange(OwnSongs.all().get("Gravel Lane")), PracticeOrder.THUMB_FIRST);
    LocalDate today = LocalDate.of(2026, 10, 30);
    List<PracticeEntry> entries = InventedDiary.of("id", drills, today, ROME, 5);
    assertThat(entries).isEqualTo(InventedDiary.of("id", drills, today, ROME, 5));
    PracticeDiary diary = new PracticeDiary(entries, ROME);
    assertThat(diary.minutes()).hasSizeBetween(20, 38);
    assertThat(diary.minutes().values()).allMatch(m -> m >= 1 && m <= 60);
    assertThat(diary.minutes().keySet()).allMatch(d -> d.isBefore(today));
    List<Double> weeks = List.copyOf(diary.thumbSpread().values());
    assertThat(weeks.get(weeks.size() - 1)).isLessThan(weeks.get(0));
  }
}
