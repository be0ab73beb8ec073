package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.fretting.RatedShape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.ThumbRoute;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

class ThirdBassTest {

  private static Arrangement held(String chord, String frets) {
    List<Integer> numbers = frets.chars().mapToObj(c -> c == 'x' ? -1 : c - '0').toList();
    RatedShape shape =
        ShapeSearch.find(
                ShapeQuery.of(TestSongs.chord(chord), Guitar.STEEL, Hand.MEDIUM)
                    .withBass(Optional.empty()))
            .fingering(numbers)
            .orElseThrow();
    Song song =
        TestSongs.of(chord)
            .withThumb(ThumbRoute.THREE_VOICES)
            .withPattern(AlternatingThumb.THUMB_ALONE)
            .pin(new SlotRef(1, 0), shape.shape());
    return new Arranger().arrange(song);
  }

  private static String places(Arrangement a) {
    return a.notes().stream()
        .map(n -> StringSign.number(n.string()) + ":" + n.fret())
        .collect(Collectors.joining(" "));
  }

  /** Routes of three voices in open position (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "C,x32010,5:3 4:2 6:3 4:2",
    "B7,x21202,5:2 4:1 6:2 4:1",
    "G,320003,6:3 4:0 5:2 4:0",
    "Am,x02210,5:0 4:2 6:0 4:2",
    "A,x02220,5:0 4:2 6:0 4:2",
    "E,022100,6:0 4:2 5:2 4:2",
    "D/F#,200232,6:2 4:0 5:0 4:0"
  })
  void theThumbGoesOverThreeStrings(String chord, String frets, String route) {
    assertThat(places(held(chord, frets))).isEqualTo(route);
  }

  @Test
  void theRootsFingerGoesOverAndComesBack() {
    Arrangement a = held("B7", "x21202");
    Note root = a.notesFrom(0, 1).get(0);
    Note fifth = a.notesFrom(10080, 10081).get(0);
    assertThat(fifth.fretFinger()).isEqualTo(root.fretFinger());
    assertThat(root.tick() + root.lengthTicks()).isEqualTo(10080);
    List<Hold> holds =
        a.holds().stream().filter(h -> h.finger() == root.fretFinger().orElseThrow()).toList();
    assertThat(holds).extracting(Hold::lowString).containsExactly(1, 0);
    assertThat(holds.get(0).toTick()).isEqualTo(10080);
  }
}
