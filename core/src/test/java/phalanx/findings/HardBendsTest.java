package phalanx.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.instrument.Guitar;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;

/** A bend wants room and helpers: common practice, no source. */
class HardBendsTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Song song(String tune) {
    return TestSongs.singing(TestSongs.of("Em"), tune).withPattern(AlternatingThumb.THUMB_ALONE);
  }

  private static List<Found> bends(Song song) {
    return Review.of(ARRANGER.arrange(song)).findings().stream()
        .filter(f -> f.finding().rule().equals(HardBends.NAME))
        .toList();
  }

  @Test
  void nearTheNutIsSaidAndInTheMiddleOfTheNeckIsNot() {
    assertThat(bends(song("f4@1(b1) . . .")))
        .singleElement()
        .satisfies(f -> assertThat(f.finding().message()).contains("stiff so near the nut"));
    assertThat(bends(song("b4@1(b1) . . .")))
        .noneMatch(f -> f.finding().message().contains("stiff"));
    // Over an open chord the ring finger goes down to g and has two behind it.
    assertThat(bends(song("g4@1(b1) . . .")))
        .noneMatch(f -> f.finding().message().contains("free"));
    assertThat(bends(song("b4@1 . . ."))).isEmpty();
  }

  @Test
  void nylonGivesWayLittle() {
    Song nylon = song("b4@1(b1) . . .").withGuitar(Guitar.NYLON);
    assertThat(bends(nylon))
        .singleElement()
        .satisfies(f -> assertThat(f.finding().message()).contains("nylon"));
    assertThat(bends(song("b4@1(b1/2) . . .").withGuitar(Guitar.NYLON)))
        .noneMatch(f -> f.finding().message().contains("nylon"));
  }

  @Test
  void notBendingIsAWayOut() {
    Arrangement a = ARRANGER.arrange(song("f4@1(b1) . . ."));
    Found found = bends(a.song()).get(0);
    List<Suggestion> ways = Suggestions.of(ARRANGER, a, found);
    assertThat(ways).extracting(Suggestion::words).contains("do not bend this note");
    ways.forEach(w -> assertThat(bends(w.edit().apply(a.song()))).isEmpty());
  }
}
