package phalanx.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.theory.Meter;

/**
 * Tries what a bar of a song may become: plans the song anew and says what is hard in the bar that
 * was not before. Not for several threads at once.
 */
final class BarTrial {

  private final Arranger arranger;
  private final Song song;
  private final SlotRef at;
  private final Meter meter;
  private final int end;
  private final Set<Integer> bars;
  private Optional<Before> before = Optional.empty();

  /** The song as it stands: its plan, and what is hard in the bars. */
  private record Before(Arrangement arrangement, List<Found> hard) {}

  /**
   * For a bar of a song.
   *
   * @param at where its last chord is written
   * @param bars the bars in which nothing may become hard
   */
  BarTrial(Arranger arranger, Song song, SlotRef at, Set<Integer> bars) {
    this(arranger, song, at, bars, Timeline.of(song).lengthOf(at.bar()));
  }

  /**
   * For a chord that ends before its bar does.
   *
   * @param end where in the bar; that of the bar where nothing is said
   */
  BarTrial(Arranger arranger, Song song, SlotRef at, Set<Integer> bars, OptionalInt end) {
    this.bars = Set.copyOf(bars);
    this.arranger = arranger;
    this.song = song;
    this.at = at;
    meter = song.chart().meters(song.meter()).get(at.bar());
    this.end = end.orElse(meter.barTicks());
  }

  /**
   * The same with some bars and those around alone, in a moment.
   *
   * @param kept the bars, its own among them
   */
  BarTrial inShort(Set<Integer> kept) {
    return new BarTrial(arranger, Excerpt.around(song, kept), at, bars, OptionalInt.of(end));
  }

  Song song() {
    return song;
  }

  SlotRef at() {
    return at;
  }

  /** The metre of the bar. */
  Meter meter() {
    return meter;
  }

  /** Where in the bar the chord ends. */
  int end() {
    return end;
  }

  /** How long the chord lasts in the bar. */
  int room() {
    return end - at.tick();
  }

  /**
   * Plans the song with another bar.
   *
   * @param beats how much of the bar's end is new, quarters
   */
  FittedRun of(Song changed, int beats) {
    List<Found> known = before().hard();
    Arrangement a = arranger.arrange(changed);
    List<Found> hard = new ArrayList<>(hard(Review.of(a)));
    hard.removeIf(f -> known.stream().anyMatch(b -> b.finding().equals(f.finding())));
    Reach reach = a.plan().problem().changes().reach();
    double span =
        a.slots().stream()
            .filter(s -> s.played().ref().bar() == at.bar())
            .flatMap(s -> reach.widestSpan(s.asked()).stream())
            .mapToDouble(Reach.Span::millimetres)
            .max()
            .orElse(0);
    int tick =
        a.slots().stream()
            .map(Slot::played)
            .filter(s -> s.ref().equals(at))
            .mapToInt(s -> s.tick())
            .findFirst()
            .orElseThrow();
    int end = a.timeline().barAt(tick).startTick() + end();
    return new FittedRun(a.song(), a, tick, end, beats, hard, span);
  }

  private Before before() {
    if (before.isEmpty()) {
      Arrangement a = arranger.arrange(song);
      before = Optional.of(new Before(a, hard(Review.of(a))));
    }
    return before.get();
  }

  /** What the hand holds over the chord as the song stands. */
  Shape held() {
    return before().arrangement().slots().stream()
        .filter(s -> s.played().ref().equals(at))
        .findFirst()
        .map(Slot::held)
        .orElse(Shape.NOTHING);
  }

  private List<Found> hard(Review review) {
    return review.findings().stream()
        .filter(f -> f.finding().grade().isHard())
        .filter(f -> f.places().stream().anyMatch(p -> bars.contains(p.ref().bar())))
        .toList();
  }
}
