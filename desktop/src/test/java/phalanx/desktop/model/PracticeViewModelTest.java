package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.performance.Performance;
import phalanx.practice.Drill;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.MatchedStroke;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeEntry;
import phalanx.practice.PracticeOrder;
import phalanx.practice.TempoLadder;
import phalanx.song.Song;

/** A day’s practice without a window, in every order of events. */
class PracticeViewModelTest {

  private static final Instant START = Instant.parse("2026-10-30T18:00:00Z");

  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
  private final PracticeViewModel model = workspace.models().practice();
  private final InMemory records = new InMemory();
  private final Hands clock = new Hands();

  /** A clock that goes on when it is told to. */
  private static final class Hands extends Clock {
    private Instant now = START;

    void goOn(Duration by) {
      now = now.plus(by);
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      throw new UnsupportedOperationException();
    }

    @Override
    public Instant instant() {
      return now;
    }
  }

  /** A log that can be slow to answer, and counts how often it is written. */
  private static final class InMemory implements PracticeRecords {
    private final List<PracticeEntry> kept = new ArrayList<>();
    private final List<Runnable> waiting = new ArrayList<>();
    private boolean slow;
    private boolean demo;
    private List<Song> others = List.of();

    @Override
    public void otherSongs(Consumer<List<Song>> answer) {
      answer.accept(others);
    }

    @Override
    public boolean isDemo() {
      return demo;
    }

    @Override
    public void read(Consumer<List<PracticeEntry>> answer) {
      Runnable answers = () -> answer.accept(List.copyOf(kept));
      if (slow) {
        waiting.add(answers);
      } else {
        answers.run();
      }
    }

    @Override
    public void addAll(List<PracticeEntry> entries) {
      kept.addAll(entries);
    }
  }

  @BeforeEach
  void opened() {
    workspace.open(Demo.song(), List.of());
    model.keepIn(records, clock);
  }

  private TempoLadder ladder() {
    return model.ladderProperty().get().orElseThrow();
  }

  private Drill drill() {
    return model.drillProperty().get().orElseThrow();
  }

  private void again(Outcome outcome, int times) {
    for (int k = 0; k < times; k++) {
      clock.goOn(Duration.ofSeconds(20));
      model.attempted(outcome);
    }
  }

  @Test
  void nothingIsPlannedBeforeSomebodyLooks() {
    assertThat(model.dayProperty().get().today().items()).isEmpty();
    model.look(true);
    assertThat(model.dayProperty().get().today().items()).isNotEmpty();
    assertThat(model.placeProperty().get()).isZero();
    assertThat(model.shownProperty().get().orElseThrow().drill()).isEqualTo(drill());
  }

  @Test
  void aLogThatAnswersAfterTheScreenIsGonePlansNothing() {
    records.slow = true;
    model.look(true);
    model.look(false);
    records.waiting.forEach(Runnable::run);
    assertThat(model.dayProperty().get().today().items()).isEmpty();
  }

  @Test
  void anAttemptIsKeptWithItsTimeAndItsLength() {
    model.look(true);
    clock.goOn(Duration.ofSeconds(48));
    model.attempted(Outcome.CLEAN);
    PracticeEntry entry = records.kept.get(0);
    assertThat(entry.at()).isEqualTo(START.plusSeconds(48));
    assertThat(entry.seconds()).isEqualTo(48);
    assertThat(entry.drill()).isEqualTo(drill().id());
    assertThat(entry.outcome()).isEqualTo(Outcome.CLEAN);
    clock.goOn(Duration.ofHours(3));
    model.attempted(Outcome.MISSED);
    assertThat(records.kept.get(1).seconds()).as("nobody plays a drill for hours").isEqualTo(600);
  }

  /** What the simulated player taps is drawn, and is nobody’s. */
  @Test
  void aSimulatedPlayersStrokesAreNotLogged() {
    model.look(true);
    model.playback().simulate();
    assertThat(model.playback().reportProperty().get().orElseThrow().matched()).isNotEmpty();
    again(Outcome.CLEAN, 3);
    assertThat(records.kept).allMatch(e -> e.thumbSpread().isEmpty());
    assertThat(model.pace().lateness().count()).isZero();
  }

  /** The same strokes count once, however many attempts are noted. */
  @Test
  void strokesSayWhatTheySayOnce() {
    model.look(true);
    Performance plan = workspace.performanceProperty().get();
    List<MatchedStroke> strokes =
        ExpectedStroke.of(plan, 0, Integer.MAX_VALUE).stream()
            .map(s -> new MatchedStroke(s, s.seconds(), s.seconds()))
            .toList();
    model.pace().add(strokes);
    int count = model.pace().lateness().count();
    assertThat(count).isPositive();
    again(Outcome.CLEAN, 3);
    assertThat(model.pace().lateness().count()).isEqualTo(count);
  }

  @Test
  void aChangedTempoMovesTheGoalOfALadderThatWasBegun() {
    model.look(true);
    model.go(1);
    again(Outcome.CLEAN, 3);
    assertThat(ladder().goal().goal()).isGreaterThan(60);
    String id = drill().id();
    workspace.edit(s -> s.withTempo(60));
    assertThat(drill().id()).isEqualTo(id);
    assertThat(ladder().goal().goal()).isLessThanOrEqualTo(60);
    assertThat(ladder().tempo()).isLessThanOrEqualTo(60);
    assertThat(ladder().attempts()).hasSize(3);
  }

  @Test
  void anotherSongHasLaddersOfItsOwn() {
    model.look(true);
    model.go(1);
    again(Outcome.CLEAN, 9);
    String id = drill().id();
    double climbed = ladder().tempo();
    workspace.open(Demo.song().withTitle("The same under another name"), List.of());
    assertThat(drill().id()).isEqualTo(model.dayProperty().get().at(0).orElseThrow().drill().id());
    model.go(1);
    assertThat(drill().id()).isEqualTo(id);
    assertThat(ladder().attempts()).isEmpty();
    assertThat(ladder().tempo()).isLessThan(climbed);
  }

  @Test
  void whatIsDoneStaysOnTheDaysPlanAndComesAgainTheNextDay() {
    model.look(true);
    model.go(1);
    String id = drill().id();
    again(Outcome.CLEAN, 3);
    List<Integer> before = List.of(model.dayProperty().get().today().items().size());
    model.look(false);
    model.look(true);
    assertThat(model.dayProperty().get().today().items()).hasSize(before.get(0));
    assertThat(model.attemptsToday(model.placeProperty().get())).isEqualTo(3);
    clock.goOn(Duration.ofDays(1));
    model.look(false);
    model.look(true);
    assertThat(model.date()).isEqualTo(LocalDate.of(2026, 10, 31));
    int place =
        model
            .dayProperty()
            .get()
            .placeOf(PracticeEntry.songKey(workspace.song()), id)
            .orElseThrow();
    assertThat(model.dayProperty().get().at(place).orElseThrow().why()).isEqualTo("due today");
    assertThat(model.attemptsToday(model.placeProperty().get())).isZero();
  }

  @Test
  void theWeeksOfADemoAreInventedOnce() {
    records.demo = true;
    model.look(true);
    int invented = records.kept.size();
    assertThat(invented).isGreaterThan(100);
    assertThat(model.diaryProperty().get().minutes().size()).isBetween(20, 38);
    assertThat(records.kept).allMatch(e -> e.at().isBefore(START));
    model.look(false);
    model.look(true);
    workspace.edit(s -> s.withTempo(80));
    assertThat(records.kept).hasSize(invented);
  }

  @Test
  void aSongOfNothingHasNothingToPractise() {
    workspace.open(Song.untitled(), List.of());
    model.look(true);
    assertThat(model.isEmpty()).isTrue();
    assertThat(model.drillProperty().get()).isEmpty();
    model.attempted(Outcome.CLEAN);
    model.playback().simulate();
    model.playback().listen();
    model.playback().toggle();
    model.go(1);
    assertThat(records.kept).isEmpty();
    assertThat(model.playback().playingProperty().get()).isFalse();
  }

  /** What is due of another song is on the day, with its own bars, tempo and log. */
  @Test
  void otherSongsComeWhenTheyAreDue() {
    Song other = Demo.song().withTitle("Another").withTempo(70);
    workspace.open(other, List.of());
    model.look(true);
    model.go(1);
    again(Outcome.CLEAN, 3);
    String theirs = drill().id();
    records.others = List.of(other);
    model.look(false);
    clock.goOn(Duration.ofDays(3));
    workspace.open(Demo.song(), List.of());
    model.look(true);
    int place =
        model.dayProperty().get().placeOf(PracticeEntry.songKey(other), theirs).orElseThrow();
    assertThat(model.dayProperty().get().at(place).orElseThrow().why()).startsWith("due");
    model.choose(place);
    assertThat(model.song().orElseThrow().title()).isEqualTo("Another");
    assertThat(ladder().goal().goal()).isLessThanOrEqualTo(70);
    assertThat(model.shownProperty().get().orElseThrow().heard().arrangement().song().title())
        .isEqualTo("Another");
    again(Outcome.CLEAN, 1);
    assertThat(records.kept.get(records.kept.size() - 1).song())
        .isEqualTo(PracticeEntry.songKey(other));
    assertThat(model.attemptsToday(place)).isEqualTo(1);
  }

  /** A relay and variations stand behind the day, and are practised as any other drill. */
  @Test
  void compoundDrillsStandBehindTheDay() {
    model.look(true);
    int before = model.dayProperty().get().today().items().size();
    model.wishes().compoundProperty().set(true);
    int after = model.dayProperty().get().today().items().size();
    assertThat(after).isGreaterThan(before);
    model.choose(after - 1);
    assertThat(drill().title()).startsWith("Variation");
    assertThat(model.shownProperty().get().orElseThrow().later()).isEmpty();
    again(Outcome.CLEAN, 1);
    assertThat(records.kept.get(records.kept.size() - 1).drill()).isEqualTo(drill().id());
    model.wishes().compoundProperty().set(false);
    assertThat(model.dayProperty().get().today().items()).hasSize(before);
    belongsTogether();
  }

  /** In whatever order things happen, what is shown belongs together and every attempt is kept. */
  @Test
  void everyOrderOfEventsLeavesOneDrillAtHand() {
    Song other = Demo.song().withTitle("Another").withTempo(120);
    for (int seed = 0; seed < 12; seed++) {
      Random chance = new Random(seed);
      workspace.open(Demo.song(), List.of());
      model.look(true);
      int attempts = records.kept.size();
      for (int step = 0; step < 40; step++) {
        switch (chance.nextInt(12)) {
          case 0 -> model.go(1);
          case 1 -> model.go(-1);
          case 2 -> model.choose(chance.nextInt(12) - 1);
          case 3 -> model.wishes().minutesProperty().set(5 + chance.nextInt(60));
          case 4 -> model.wishes().orderProperty().set(PracticeOrder.values()[chance.nextInt(2)]);
          case 5 -> workspace.edit(s -> s.withTempo(50 + chance.nextInt(120)));
          case 6 -> workspace.undo();
          case 7 -> workspace.open(chance.nextBoolean() ? other : Demo.song(), List.of());
          case 10 -> model.wishes().compoundProperty().set(chance.nextBoolean());
          case 11 -> model.wishes().interleavedProperty().set(chance.nextBoolean());
          case 8 -> {
            records.others = chance.nextBoolean() ? List.of(Demo.song(), other) : List.of();
            model.look(false);
            model.look(true);
          }
          default -> {
            attempts += model.drillProperty().get().isPresent() ? 1 : 0;
            model.attempted(Outcome.values()[chance.nextInt(3)]);
          }
        }
        clock.goOn(Duration.ofMinutes(chance.nextInt(200)));
        belongsTogether();
      }
      assertThat(records.kept).hasSize(attempts);
    }
  }

  private void belongsTogether() {
    PracticeDay day = model.dayProperty().get();
    assertThat(model.drillProperty().get())
        .isEqualTo(day.at(model.placeProperty().get()).map(d -> d.drill()));
    if (model.drillProperty().get().isPresent()) {
      assertThat(model.shownProperty().get().orElseThrow().drill()).isEqualTo(drill());
      assertThat(ladder().goal()).isEqualTo(drill().tempo());
      assertThat(ladder().tempo()).isLessThanOrEqualTo(drill().tempo().goal());
    } else {
      assertThat(model.shownProperty().get()).isEmpty();
      assertThat(model.ladderProperty().get()).isEmpty();
    }
  }
}
