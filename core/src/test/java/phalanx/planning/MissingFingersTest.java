package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.findings.Review;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A hand that lacks a finger plans without it: nothing it presses, nothing it holds. */
class MissingFingersTest {

  static Stream<Map.Entry<String, Song>> songs() {
    return OwnSongs.all().entrySet().stream().filter(e -> e.getValue().pins().shapes().isEmpty());
  }

  @ParameterizedTest
  @MethodSource("songs")
  void noMissingFingerPressesAnything(Map.Entry<String, Song> song) {
    for (Finger missing : EnumSet.of(Finger.INDEX, Finger.LITTLE)) {
      Song without = song.getValue().withHand(song.getValue().hand().without(Set.of(missing)));
      Arrangement a = new Arranger().arrange(without);
      assertThat(a.notes())
          .extracting(n -> n.place().finger())
          .doesNotContain(Optional.of(missing));
      assertThat(a.holds()).extracting(Hold::finger).doesNotContain(missing);
      assertThat(a.slots()).noneMatch(s -> s.held().grips().containsKey(missing));
    }
  }

  /** Open chords are held with three fingers, as many players hold them anyway. */
  @Test
  void openChordsNeedNoLittleFinger() {
    Hand three = Hand.MEDIUM.without(Set.of(Finger.LITTLE));
    Arrangement a = new Arranger().arrange(TestSongs.of("C | G | Am | D").withHand(three));
    assertThat(Review.of(a).tally().hard()).isZero();
    assertThat(a.slots()).allMatch(s -> s.shape().isPresent());
  }

  /** One finger alone holds what one finger can, and what it cannot is said. */
  @Test
  void oneFingerHoldsWhatItCan() {
    Hand one = Hand.MEDIUM.without(Set.of(Finger.MIDDLE, Finger.RING, Finger.LITTLE));
    Arrangement a = new Arranger().arrange(TestSongs.of("Em | F#m").withHand(one));
    assertThat(a.slots())
        .allMatch(
            s ->
                s.held().grips().keySet().stream()
                    .allMatch(f -> f == Finger.INDEX || f == Finger.THUMB));
  }

  @Test
  void aHandHasOneFingerAtLeast() {
    Set<Finger> all = EnumSet.range(Finger.INDEX, Finger.LITTLE);
    assertThatThrownBy(() -> Hand.MEDIUM.without(all)).hasMessageContaining("one finger at least");
    assertThatThrownBy(() -> Hand.MEDIUM.without(Set.of(Finger.THUMB)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
