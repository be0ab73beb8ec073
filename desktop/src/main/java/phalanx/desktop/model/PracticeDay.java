package phalanx.desktop.model;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.practice.Drill;
import phalanx.practice.DrillHistory;
import phalanx.practice.Drills;
import phalanx.practice.Passage;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Today;
import phalanx.practice.WarmUp;

/**
 * What there is to practise today.
 *
 * @param drills all of the song’s, in the order they are taught
 * @param histories what was done of each, by what it is known by
 * @param today what is practised today, in order
 */
public record PracticeDay(List<Drill> drills, Map<String, DrillHistory> histories, Today today) {

  /** Nothing. */
  public static final PracticeDay NOTHING =
      new PracticeDay(List.of(), Map.of(), new Today(List.of()));

  public PracticeDay {
    drills = List.copyOf(drills);
    histories = Map.copyOf(histories);
  }

  /** The drill at a place of the day; breaks have none. */
  public Optional<Today.DrillItem> at(int place) {
    return place >= 0
            && place < today.items().size()
            && today.items().get(place) instanceof Today.DrillItem drill
        ? Optional.of(drill)
        : Optional.empty();
  }

  /** The place of the drill behind another, or before it. */
  public OptionalInt beside(int place, int step) {
    for (int p = place + step; p >= 0 && p < today.items().size(); p += step) {
      if (at(p).isPresent()) {
        return OptionalInt.of(p);
      }
    }
    return OptionalInt.empty();
  }

  /**
   * A day’s practice of a song; what is done on the day stays on its plan.
   *
   * @param song what the song is known by in the log
   * @param bars only those, where the player chose some
   */
  static PracticeDay of(
      Arrangement plan,
      PracticeDiary diary,
      String song,
      int minutes,
      PracticeOrder order,
      Optional<LoopBars> bars,
      LocalDate date) {
    List<Drill> drills =
        bars.flatMap(b -> Passage.between(plan, b.first(), b.last()))
            .map(p -> Drills.of(plan, List.of(p), order))
            .orElseGet(() -> Drills.ofSong(plan, order));
    Map<String, DrillHistory> histories = new HashMap<>();
    drills.forEach(d -> histories.put(d.id(), before(diary.history(song, d.id()), date)));
    Today today =
        Today.of(
            List.of(
                new Today.Practised(
                    WarmUp.of(plan),
                    drills,
                    drills.stream().map(d -> histories.get(d.id())).toList())),
            minutes,
            date);
    return new PracticeDay(drills, histories, today);
  }

  private static DrillHistory before(DrillHistory history, LocalDate date) {
    return new DrillHistory(
        history.days().stream().filter(d -> d.date().isBefore(date)).toList(), history.attempts());
  }

  /** The place of a drill by what it is known by; empty where it is not on the day’s plan. */
  OptionalInt placeOf(String id) {
    return IntStream.range(0, today.items().size())
        .filter(p -> at(p).filter(d -> d.drill().id().equals(id)).isPresent())
        .findFirst();
  }
}
