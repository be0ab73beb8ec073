package phalanx.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.melody.TuneReader;
import phalanx.planning.Arranger;
import phalanx.planning.OldTunesTest;
import phalanx.planning.OldTunesTest.Old;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;
import phalanx.theory.Meter;

/** Tunes typed in the octave in which they are sung, an octave above the guitar's frame. */
class TuneAwayTest {

  private static List<Found> away(Arrangement a) {
    return Review.of(a).findings().stream()
        .filter(f -> f.finding().rule().equals(TuneAway.NAME))
        .toList();
  }

  static List<Old> tunes() {
    return OldTunesTest.tunes();
  }

  /**
   * An octave above the first frets is found as one thing, and where the hand is better off below
   * that is offered.
   */
  @ParameterizedTest
  @MethodSource("tunes")
  void whatIsTypedHighIsFoundOnceAndComesDownWithOneClick(Old old) {
    Arranger arranger = new Arranger();
    Song typed = OldTunesTest.song(old);
    Song high = typed.withTune(typed.tune().octaves(1));
    Arrangement planned = arranger.arrange(high);
    Found found = away(planned).get(0);
    assertThat(away(planned)).hasSize(1);
    assertThat(found.bars()).containsExactly(1);
    assertThat(found.finding().grade()).isEqualTo(Grade.NOTE);
    Song low = high.withTune(high.tune().octaves(TuneOctave.best(high)));
    assertThat(TuneOctave.best(low)).isZero();
    assertThat(arranger.arrange(low).plan().cost()).isLessThan(0.7 * planned.plan().cost());
    List<Suggestion> ways = Suggestions.of(arranger, planned, found);
    assertThat(ways).hasSize(1);
    ways.forEach(w -> assertThat(w.edit().apply(high)).isEqualTo(low));
  }

  /** Tunes in C from c' on lie in the first position; common practice, no source. */
  @ParameterizedTest
  @MethodSource("tunes")
  void aTuneInTheFirstPositionIsLeftThere(Old old) {
    Arrangement a = new Arranger().arrange(OldTunesTest.song(old));
    assertThat(away(a).isEmpty()).isEqualTo(old.key().equals("C") || old.name().startsWith("Au"));
  }

  @Test
  void aTuneAmongTheThumbsStringsComesUp() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("e2 f g a", Meter.FOUR_FOUR).tune());
    Arrangement a = new Arranger().arrange(TestSongs.of("C").withTune(tune));
    assertThat(away(a))
        .singleElement()
        .satisfies(f -> assertThat(f.finding().message()).contains("strings of the thumb"));
  }

  @Test
  void aHighPhraseInATuneAtHandIsLeftAlone() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("c4 e g c5 b4 a g b5", Meter.FOUR_FOUR).tune());
    assertThat(away(new Arranger().arrange(TestSongs.of("C").withTune(tune)))).isEmpty();
  }
}
