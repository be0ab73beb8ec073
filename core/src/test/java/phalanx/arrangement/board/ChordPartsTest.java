package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.fretting.Shape;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A chord held in several shapes, by the player's own choice. */
class ChordPartsTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final Song SONG = TestSongs.of("Am | Dm . E7 .");

  private static ChordParts parts(Song song, int slot) {
    return ChordParts.of(ARRANGER.arrange(song), slot);
  }

  @Test
  void everyBeatOfAChordButItsFirstMayBeginAPart() {
    assertThat(parts(SONG, 0).beats().stream().map(ChordParts.Beat::word))
        .containsExactly("2", "3", "4");
    assertThat(parts(SONG, 1).beats().stream().map(ChordParts.Beat::word)).containsExactly("2");
    assertThat(parts(SONG, 2).beats().stream().map(ChordParts.Beat::word)).containsExactly("4");
  }

  @Test
  void aPartBegunIsHeldAsBeforeUntilItIsChanged() {
    ChordParts whole = parts(SONG, 0);
    Song begun = whole.beginning(SONG, whole.beats().get(1));
    Arrangement a = ARRANGER.arrange(begun);
    assertThat(a.slots().get(1).held()).isEqualTo(whole.parts().get(0).held());
    assertThat(ChordParts.of(a, 1).fromBeat()).contains("3");
    assertThat(ChordParts.of(a, 0).fromBeat()).isEmpty();
    assertThat(ChordParts.of(a, 1).beats().stream().map(ChordParts.Beat::word))
        .containsExactly("2", "4");
  }

  /**
   * Pinning one part leaves the others as they are held; one shape for all takes every pin away.
   */
  @Test
  void theOtherPartsStayAsTheyAre() {
    ChordParts whole = parts(SONG, 0);
    Song begun = whole.beginning(SONG, whole.beats().get(1));
    Shape other = ShapeChoice.of(ARRANGER.arrange(begun), 1, 5).get(3).shape();
    Song changed = parts(begun, 1).pinned(begun, other);
    Arrangement a = ARRANGER.arrange(changed);
    assertThat(List.of(a.slots().get(0).held(), a.slots().get(1).held()))
        .isEqualTo(List.of(whole.parts().get(0).held(), other));
    Song one = ChordParts.of(a, 1).whole(changed);
    Arrangement joined = ARRANGER.arrange(one);
    assertThat(joined.slots()).hasSize(3);
    assertThat(joined.slots().get(0).held()).isEqualTo(other);
    assertThat(one.pins().shapes()).hasSize(1);
  }
}
