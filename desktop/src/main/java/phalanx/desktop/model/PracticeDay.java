package phalanx.desktop.model;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.practice.CompoundDrill;
import phalanx.practice.Drill;
import phalanx.practice.Drills;
import phalanx.practice.Passage;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Today;
import phalanx.song.Song;

/**
 * What there is to practise today.
 *
 * @param songs the open one first, then the others
 * @param today what is practised today, in order
 */
public record PracticeDay(List<PracticeSong> songs, Today today) {

  /** Nothing. */
  public static final PracticeDay NOTHING = new PracticeDay(List.of(), new Today(List.of()));

  public PracticeDay {
    songs = List.copyOf(songs);
  }

  /**
   * How a day is to be.
   *
   * @param minutes how much time there is
   * @param order which hand comes first
   * @param bars only those of the open song, where the player chose some
   * @param interleaved whether what is alike is kept apart
   * @param compound whether a relay of the shapes and variations of the pattern are there too
   */
  record Wishes(
      int minutes,
      PracticeOrder order,
      Optional<LoopBars> bars,
      boolean interleaved,
      boolean compound) {}

  /** The drill at a place of the day; breaks have none. */
  public Optional<Today.DrillItem> at(int place) {
    return place >= 0
            && place < today.items().size()
            && today.items().get(place) instanceof Today.DrillItem drill
        ? Optional.of(drill)
        : Optional.empty();
  }

  /** The song of the drill at a place. */
  public Optional<PracticeSong> songAt(int place) {
    return at(place).map(d -> songs.get(d.song()));
  }

  /** The drills of the open song, in the order they are taught. */
  public List<Drill> drills() {
    return songs.isEmpty() ? List.of() : songs.get(0).drills();
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
   * A day’s practice; what is done on the day stays on its plan.
   *
   * @param plan of the open song
   * @param others plans of songs that were practised before
   * @param planner plans the small songs of compound drills
   */
  static PracticeDay of(
      Arrangement plan,
      List<Arrangement> others,
      PracticeDiary diary,
      Wishes wishes,
      LocalDate date,
      Function<Song, Arrangement> planner) {
    List<PracticeSong> songs = new ArrayList<>();
    songs.add(PracticeSong.of(plan, drills(plan, wishes), diary, date));
    for (Arrangement other : others) {
      songs.add(PracticeSong.of(other, Drills.ofSong(other, wishes.order()), diary, date));
    }
    Today today =
        Today.of(
            songs.stream().map(PracticeSong::practised).toList(),
            wishes.minutes(),
            date,
            wishes.interleaved());
    return new PracticeDay(songs, wishes.compound() ? today.and(compound(plan, planner)) : today);
  }

  private static List<Drill> drills(Arrangement plan, Wishes wishes) {
    return wishes
        .bars()
        .flatMap(b -> Passage.between(plan, b.first(), b.last()))
        .map(p -> Drills.of(plan, List.of(p), wishes.order()))
        .orElseGet(() -> Drills.ofSong(plan, wishes.order()));
  }

  private static List<Today.DrillItem> compound(
      Arrangement plan, Function<Song, Arrangement> planner) {
    return CompoundDrill.of(plan).stream()
        .map(c -> c.drill(planner.apply(c.song())))
        .map(d -> new Today.DrillItem(0, d, d.minutes(), d.why()))
        .toList();
  }

  /** The place of a drill by what it is known by; empty where it is not on the day’s plan. */
  OptionalInt placeOf(String song, String id) {
    return IntStream.range(0, today.items().size())
        .filter(
            p ->
                at(p).filter(d -> d.drill().id().equals(id)).isPresent()
                    && songAt(p).filter(s -> s.key().equals(song)).isPresent())
        .findFirst();
  }
}
