package phalanx.desktop.strip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.fretting.FretRow;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/** The strip in words, as assistive technology reads it. */
class StripWordsTest {

  private static final Song SONG =
      ChordProReader.read("{sog}\n| G | F |\n{eog}\n")
          .song()
          .withPattern(AlternatingThumb.FINGERS_BETWEEN);

  private static Arrangement held() {
    Song song =
        SONG.pin(bar(0), new FretRow(List.of(3, 2, 0, 0, 0, 3)))
            .pin(bar(1), new FretRow(List.of(1, 3, 3, 2, 1, 1)));
    return new Arranger().arrange(song);
  }

  private static SlotRef bar(int place) {
    return new SlotRef(SONG.chart().bars().get(place).id(), 0);
  }

  @Test
  void aChordIsSaidWithItsFingersAndOpenStrings() {
    Arrangement a = held();
    assertThat(StripWords.of(a, a.slots().get(0)))
        .startsWith("bar 1, beat 1, G, ")
        .contains("on string 6 fret 3", "on string 5 fret 2", "open 4 3 2")
        .endsWith("pinned");
    assertThat(StripWords.of(a, a.slots().get(1)))
        .contains("bar 2, beat 1, F", "finger 1 across strings 6 to 1 fret 1");
  }

  @Test
  void aNoteIsSaidWithItsPlaceAndItsHand() {
    Arrangement a = held();
    Note first = a.notes().get(0);
    assertThat(StripWords.of(a, first))
        .isEqualTo(
            "bar 1, beat 1, G, finger "
                + first.place().finger().orElseThrow().sign()
                + " on string 6 fret 3, thumb");
    Note between = a.notes().get(1);
    assertThat(StripWords.of(a, between)).startsWith("bar 1, after beat 1, G, ");
  }
}
