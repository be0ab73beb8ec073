package phalanx.suggestion;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.planning.Arranger;
import phalanx.song.DrawnSongs;
import phalanx.song.FindingRef;
import phalanx.song.OwnSongs;
import phalanx.song.Pins;
import phalanx.song.Song;
import phalanx.testing.Draws;

/**
 * The plan takes its own ways out: no finding is left that another shape, another finger or a
 * damped string clears, at little cost and with nothing new.
 */
class OwnWaysOutTest {

  /** Cost up to which a way out is the plan's to take. */
  private static final double LITTLE = 3;

  private static boolean isHard(Found found) {
    return found.finding().grade().isHard();
  }

  /** A shape, another finger or a damped string, with nothing new and at little cost. */
  private static boolean isOwn(Suggestion way) {
    boolean kind =
        way.shape().isPresent()
            || way.words().startsWith("damp")
            || way.words().startsWith("finger");
    return kind && way.fresh().isEmpty() && way.extraCost() <= LITTLE;
  }

  private static List<String> missed(Song song) {
    Arranger arranger = new Arranger();
    Arrangement a = arranger.arrange(song);
    List<String> missed = new ArrayList<>();
    for (Found found : Review.of(a).findings()) {
      if (isHard(found)) {
        Suggestions.of(arranger, a, found).stream()
            .filter(OwnWaysOutTest::isOwn)
            .map(w -> found.where() + ": " + found.finding().message() + " → " + w.words())
            .forEach(missed::add);
      }
    }
    return missed;
  }

  /** None was written to be easy or hard, and a player finds nothing hard in any. */
  @Test
  void nothingIsHardInTwelveSongs() {
    OwnSongs.all()
        .forEach(
            (name, song) -> {
              Arrangement a = new Arranger().arrange(song);
              assertThat(Review.of(a).findings().stream().filter(OwnWaysOutTest::isHard))
                  .as(name)
                  .isEmpty();
            });
  }

  @Property(tries = 30)
  void noFindingIsLeftThatAWayOutOfThePlansOwnKindClears(@ForAll Draws draws) {
    assertThat(missed(DrawnSongs.withTune(draws))).isEmpty();
  }

  /** What the player leaves as it is stays as it is: the plan does not change by it. */
  @Property(tries = 20)
  void acceptingAFindingChangesNoPlan(@ForAll Draws draws) {
    Song song = DrawnSongs.withTune(draws);
    Arrangement before = new Arranger().arrange(song);
    Pins pins = song.pins();
    for (Found found : Review.of(before).findings()) {
      for (FindingRef ref : found.refs()) {
        pins = pins.accepting(ref, "");
      }
    }
    Arrangement after = new Arranger().arrange(song.withPins(pins));
    assertThat(after.notes()).isEqualTo(before.notes());
    assertThat(after.plan().shapes()).isEqualTo(before.plan().shapes());
  }
}
