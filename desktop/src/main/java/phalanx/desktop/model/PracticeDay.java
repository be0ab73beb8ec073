package phalanx.desktop.model;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import phalanx.practice.Drill;
import phalanx.practice.DrillHistory;
import phalanx.practice.Today;

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
  public java.util.Optional<Today.DrillItem> at(int place) {
    return place >= 0
            && place < today.items().size()
            && today.items().get(place) instanceof Today.DrillItem drill
        ? java.util.Optional.of(drill)
        : java.util.Optional.empty();
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
}
