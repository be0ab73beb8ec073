package phalanx.desktop.model;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.practice.Drill;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeEntry;
import phalanx.song.Song;

/** What was practised, today and before, as the log has it. */
public final class PracticeHistory {

  private PracticeRecords records = PracticeRecords.NONE;
  private Clock clock = Clock.systemDefaultZone();
  private final ReadOnlyObjectWrapper<PracticeDiary> diary =
      new ReadOnlyObjectWrapper<>(new PracticeDiary(List.of(), clock.getZone()));

  /** Keeps attempts somewhere, by a clock. */
  void keepIn(PracticeRecords where, Clock by) {
    records = where;
    clock = by;
    show(diary.get().entries());
  }

  private void show(List<PracticeEntry> entries) {
    diary.set(new PracticeDiary(entries, clock.getZone()));
  }

  void read(Runnable then) {
    records.read(
        read -> {
          show(read);
          then.run();
        });
  }

  /** Keeps attempts. */
  void add(List<PracticeEntry> more) {
    records.addAll(more);
    List<PracticeEntry> all = new ArrayList<>(diary.get().entries());
    all.addAll(more);
    show(all);
  }

  /** The player’s other songs that were ever practised. */
  void practisedSongs(Consumer<List<Song>> answer) {
    records.otherSongs(
        songs -> {
          Set<String> known =
              diary.get().entries().stream().map(PracticeEntry::song).collect(Collectors.toSet());
          answer.accept(
              songs.stream().filter(s -> known.contains(PracticeEntry.songKey(s))).toList());
        });
  }

  /** Whether nobody ever practised a demo song here: its weeks are invented then. */
  boolean isWithoutDemo(String song) {
    return records.isDemo() && diary.get().entries().stream().noneMatch(e -> e.song().equals(song));
  }

  /** The attempts at a drill that were made today. */
  long attemptsToday(String song, Drill drill) {
    LocalDate today = today();
    return diary.get().entries().stream()
        .filter(e -> e.drill().equals(drill.id()) && e.song().equals(song))
        .filter(e -> e.at().atZone(clock.getZone()).toLocalDate().equals(today))
        .count();
  }

  /** How long was practised today, minutes. */
  public int doneToday() {
    return diary.get().minutes().getOrDefault(today(), 0);
  }

  /** How many days ago the player practised last; empty where that was never, or today. */
  public OptionalLong daysAway() {
    return diary.get().minutes().keySet().stream()
        .filter(d -> !d.isAfter(today()))
        .max(Comparator.naturalOrder())
        .map(d -> OptionalLong.of(ChronoUnit.DAYS.between(d, today())))
        .filter(d -> d.getAsLong() > 0)
        .orElse(OptionalLong.empty());
  }

  LocalDate today() {
    return LocalDate.now(clock);
  }

  Clock clock() {
    return clock;
  }

  /** All attempts there ever were. */
  ReadOnlyObjectProperty<PracticeDiary> diaryProperty() {
    return diary.getReadOnlyProperty();
  }
}
