package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** Octave, key and capo for a tune that has just come in (common practice, no source). */
class TuneSettingTest {

  private static final Song FLAT =
      TestSongs.singing(
              TestSongs.of("Ab | Db | Eb7 | Ab"),
              "c4 . eb4 .",
              "db4 . ab3 .",
              "bb3 c4 db4 bb3",
              "ab3 . . .")
          .withKey(Key.parse("Ab"));

  private static int highestFret(Song song) {
    return new Arranger()
        .arrange(song).notes().stream().mapToInt(n -> n.fret()).max().orElseThrow();
  }

  /** G shapes with the capo on 1 are what every player takes for A flat. */
  @Test
  void aFlatKeyIsOfferedInOpenShapesThatSoundTheSame() {
    List<TuneSetting> settings = TuneSetting.better(FLAT, () -> false);
    assertThat(settings)
        .anySatisfy(
            s -> {
              assertThat(s.words(FLAT)).isEqualTo("All in G with the capo on 1");
              assertThat(s.effect()).startsWith("sounds as now");
              assertThat(s.of(FLAT).guitar().capo()).isEqualTo(1);
              assertThat(s.of(FLAT).key()).isEqualTo(Key.parse("G"));
            });
    for (TuneSetting setting : settings) {
      assertThat(setting.then().costPerBar()).isLessThan(setting.now().costPerBar());
      assertThat(setting.then().tally().hard()).isLessThanOrEqualTo(setting.now().tally().hard());
    }
  }

  @Test
  void aTuneSungHighIsOfferedAnOctaveLowerFirst() {
    Song high =
        TestSongs.singing(TestSongs.of("G | C | D7 | G"), "b4 . d5 .", "c5 . g4 .", "a4 . . .")
            .withKey(Key.parse("G"));
    TuneSetting first = TuneSetting.better(high, () -> false).get(0);
    assertThat(first.words(high)).isEqualTo("The whole tune an octave lower");
    assertThat(highestFret(high)).isGreaterThan(9);
    assertThat(highestFret(first.of(high))).isLessThan(6);
  }

  @Test
  void whatLiesWellIsLeftAlone() {
    Song easy =
        TestSongs.singing(TestSongs.of("G | C | D7 | G"), "b3 . d4 .", "c4 . g3 .", "a3 . . .")
            .withKey(Key.parse("G"));
    assertThat(TuneSetting.better(easy, () -> false)).isEmpty();
    assertThat(TuneSetting.better(TestSongs.of("Ab | Db"), () -> false)).isEmpty();
  }

  @Test
  void aCancelledComparisonOffersNothing() {
    assertThat(TuneSetting.better(FLAT, () -> true)).isEmpty();
  }
}
