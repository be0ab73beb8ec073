package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.planning.Arranger;
import phalanx.song.TestSongs;

class SlotBoardTest {

  /** A card names the fingering that is best for the song, as the plan itself does. */
  @Test
  void noCardIsHarderThanThePlansOwnFingeringOfTheSameFrets() {
    Arrangement a = new Arranger().arrange(TestSongs.of("G | Cadd9 | G | D"));
    for (int slot = 0; slot < a.slots().size(); slot++) {
      List<ShapeChoice> cards = SlotBoard.of(a, slot, ShapeFilter.ALL, 60).choices();
      List<ShapeChoice> planned = ShapeChoice.of(a, slot, 20);
      assertThat(cards).isNotEmpty();
      for (ShapeChoice card : cards) {
        planned.stream()
            .filter(p -> p.shape().sameFrets(card.shape()))
            .forEach(
                p ->
                    assertThat(card.extraCost())
                        .as(card.shape().fretText())
                        .isLessThanOrEqualTo(p.extraCost() + 1e-9));
      }
    }
  }
}
