package phalanx.advice;

import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Reach;
import phalanx.review.Review;
import phalanx.review.Tally;
import phalanx.song.Song;

/**
 * How hard a song is when it is played one way.
 *
 * @param way the way
 * @param song the song played so
 * @param costPerBar what the plan costs for each bar as played
 * @param hardestSpan the widest stretch of two fingers in a shape, mm; 0 where nothing is held
 * @param tally how many spots are hard
 * @param ceiling tempo up to which the hands hold, quarter notes a minute; empty without a limit
 * @param openStrings strings that ring open in a shape, on average
 * @param sameSound whether it still sounds in its key
 */
public record Advised(
    Way way,
    Song song,
    double costPerBar,
    double hardestSpan,
    Tally tally,
    Optional<Double> ceiling,
    double openStrings,
    boolean sameSound)
    implements Ranked {

  static Advised of(Way way, Song before, Arrangement a) {
    Review review = Review.of(a);
    Reach reach = a.plan().problem().changes().reach();
    double span =
        a.slots().stream()
            .flatMap(s -> s.shape().flatMap(reach::widestSpan).stream())
            .mapToDouble(Reach.Span::millimetres)
            .max()
            .orElse(0);
    return new Advised(
        way,
        a.song(),
        a.plan().cost() / Math.max(1, a.timeline().bars().size()),
        span,
        review.tally(),
        review.ceiling().song(),
        a.slots().stream().mapToInt(Advised::open).average().orElse(0),
        way.soundsAs(before));
  }

  private static int open(Slot slot) {
    return slot.shape()
        .map(s -> (int) s.soundingStrings().stream().filter(n -> s.finger(n).isEmpty()).count())
        .orElse(0);
  }
}
