package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;

/** The schedule and the day, against tables worked out by hand. */
class TodayTest {

  private static final LocalDate START = LocalDate.of(2026, 3, 2);
  private static final Arrangement LANE = new Arranger().arrange(OwnSongs.all().get("Gravel Lane"));
  private static final List<Drill> DRILLS = Drills.ofSong(LANE, PracticeOrder.THUMB_FIRST);
  private static final Optional<Drill> WARM_UP = WarmUp.of(LANE);

  /** g a good day, b another one, each on the day the drill is due. */
  @ParameterizedTest
  @CsvSource({
    "g, 1",
    "gg, 2",
    "ggg, 4",
    "gggg, 8",
    "ggggg, 16",
    "gggggg, 32",
    "ggggggg, 32",
    "b, 1",
    "gb, 1",
    "ggb, 1",
    "gggb, 2",
    "gggbg, 4",
    "bbg, 2"
  })
  void intervalsGrowByLeitnersBoxes(String days, int interval) {
    DrillHistory history = history(days);
    LocalDate last = history.days().get(history.days().size() - 1).date();
    assertThat(ReviewSchedule.due(history)).contains(last.plusDays(interval));
    assertThat(ReviewSchedule.isDue(history, last.plusDays(interval - 1))).isFalse();
    assertThat(ReviewSchedule.isDue(history, last.plusDays(interval + 100))).isTrue();
  }

  private static DrillHistory history(String row) {
    DrillHistory history = DrillHistory.NONE;
    LocalDate date = START;
    List<DrillHistory.Day> days = new ArrayList<>();
    for (char c : row.toCharArray()) {
      days.add(new DrillHistory.Day(date, c == 'g'));
      history = new DrillHistory(days, List.of(new TempoLadder.Attempt(60, Outcome.CLEAN)));
      date = ReviewSchedule.due(history).orElseThrow();
    }
    return history;
  }

  private static List<Today.DrillItem> drills(Today today) {
    return today.items().stream()
        .filter(Today.DrillItem.class::isInstance)
        .map(Today.DrillItem.class::cast)
        .toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 5, 10, 15, 25, 40, 60, 120, 600})
  void aDayHoldsNoMoreThanThereIsTimeFor(int minutes) {
    Today today = Today.of(List.of(Today.Practised.anew(WARM_UP, DRILLS)), minutes, START);
    assertThat(today.minutes()).isLessThanOrEqualTo(minutes);
    List<Today.DrillItem> items = drills(today);
    assertThat(items.stream().map(i -> i.drill().id())).doesNotHaveDuplicates();
    assertThat(items.get(0).drill().title()).startsWith("Warm up");
    int running = 0;
    for (Today.Item item : today.items()) {
      running = item instanceof Today.Break ? 0 : running + item.minutes();
      assertThat(running <= 25 || item.minutes() > 25).as("a break every 25 minutes").isTrue();
    }
    if (minutes >= 15) {
      assertThat(items.get(items.size() - 1).drill().kind()).isEqualTo(DrillKind.SONG);
    }
  }

  @Test
  void withTimeEnoughEverythingIsThereInTheOrderItIsTaught() {
    Today today = Today.of(List.of(Today.Practised.anew(Optional.empty(), DRILLS)), 600, START);
    assertThat(drills(today)).extracting(Today.DrillItem::drill).isEqualTo(DRILLS);
  }

  /** Forty drills that were due long ago: the day is no longer for that, and something is new. */
  @Test
  void missedDaysNeverPileUp() {
    List<DrillHistory> histories = new ArrayList<>();
    for (int d = 0; d < DRILLS.size(); d++) {
      boolean done = d < DRILLS.size() / 2;
      histories.add(done ? history("gg") : DrillHistory.NONE);
    }
    LocalDate late = START.plusDays(200);
    Today today = Today.of(List.of(new Today.Practised(WARM_UP, DRILLS, histories)), 25, late);
    assertThat(today.minutes()).isLessThanOrEqualTo(25);
    assertThat(drills(today).stream().map(Today.DrillItem::why))
        .anyMatch(w -> w.matches("due \\d+ days ago"));
    Drill next = DRILLS.get(DRILLS.size() / 2);
    assertThat(drills(today)).extracting(Today.DrillItem::drill).contains(next);
  }

  @Test
  void whatIsLeastSettledComesFirst() {
    List<DrillHistory> histories = new ArrayList<>();
    for (int d = 0; d < DRILLS.size(); d++) {
      histories.add(history(d == 3 ? "gb" : "ggggg"));
    }
    Today today =
        Today.of(
            List.of(new Today.Practised(Optional.empty(), DRILLS, histories)),
            10,
            START.plusDays(300));
    assertThat(drills(today).get(0).drill()).isEqualTo(DRILLS.get(3));
  }

  /** Two songs take turns; within each its own order stays. */
  @Test
  void interleavedSongsTakeTurns() {
    Arrangement other = new Arranger().arrange(OwnSongs.all().values().iterator().next());
    List<Drill> others = Drills.ofSong(other, PracticeOrder.THUMB_FIRST);
    List<DrillHistory> due = DRILLS.stream().map(d -> history("g")).toList();
    List<DrillHistory> othersDue = others.stream().map(d -> history("g")).toList();
    List<Today.Practised> songs =
        List.of(
            new Today.Practised(Optional.empty(), DRILLS, due),
            new Today.Practised(Optional.empty(), others, othersDue));
    LocalDate later = START.plusDays(40);
    List<Today.DrillItem> plain = drills(Today.of(songs, 150, later));
    List<Today.DrillItem> mixed = drills(Today.of(songs, 150, later, true));
    assertThat(mixed).containsExactlyInAnyOrderElementsOf(plain);
    for (int song = 0; song < 2; song++) {
      int s = song;
      assertThat(mixed.stream().filter(i -> i.song() == s))
          .containsExactlyElementsOf(plain.stream().filter(i -> i.song() == s).toList());
    }
    assertThat(turns(mixed)).isGreaterThan(turns(plain));
  }

  private static long turns(List<Today.DrillItem> items) {
    long turns = 0;
    for (int i = 1; i < items.size(); i++) {
      turns += items.get(i).song() != items.get(i - 1).song() ? 1 : 0;
    }
    return turns;
  }
}
