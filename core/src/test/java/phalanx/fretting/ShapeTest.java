package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;

class ShapeTest {

  private static final Shape F =
      Shape.of(new int[] {1, 3, 3, 2, 1, 1}, new int[] {1, 3, 4, 2, 1, 1});

  @Test
  void isWrittenAsPlayersWriteIt() {
    assertThat(F).hasToString("133211 134211");
    Shape high = Shape.of(new int[] {-1, -1, 10, 9, 10, 0}, new int[] {0, 0, 2, 1, 3, 0});
    assertThat(high.fretText()).isEqualTo("x x 10 9 10 0");
    assertThat(StringSign.of(0) + StringSign.of(5)).isEqualTo("⑥①");
  }

  @Test
  void knowsItsGripsAndItsNotes() {
    assertThat(F.grips()).containsEntry(Finger.INDEX, new Grip(1, 0, 5)).hasSize(4);
    assertThat(F.midi(Guitar.STEEL)).containsExactly(41, 48, 53, 57, 60, 65);
    assertThat(Shape.NOTHING.soundingStrings()).isEmpty();
  }

  @Test
  void aStringIsLetGoOrHeldAnew() {
    assertThat(F.without(List.of(0, 5)).fretText()).isEqualTo("x3321x");
    assertThat(F.without(List.of(3)).with(3, new Stop.Open()).fretText()).isEqualTo("133011");
    assertThat(F.with(3, new Stop.Pressed(2, Finger.MIDDLE))).isEqualTo(F);
    assertThatThrownBy(() -> F.with(3, new Stop.Pressed(3, Finger.INDEX)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void refusesAFingerInTwoPlaces() {
    assertThatThrownBy(() -> Shape.of(new int[] {1, 2, 0, 0, 0, 0}, new int[] {1, 1, 0, 0, 0, 0}))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("finger 1 on two frets");
    assertThatThrownBy(() -> new Shape(List.of())).isInstanceOf(IllegalArgumentException.class);
  }

  /** Relay, guide and jump as players speak of them (common practice, no source). */
  @Test
  void tellsWhatEachFingerDoesInAChange() {
    Shape em = Shape.of(new int[] {0, 2, 2, 0, 0, 0}, new int[] {0, 2, 3, 0, 0, 0});
    Shape am = Shape.of(new int[] {-1, 0, 2, 2, 1, 0}, new int[] {0, 0, 2, 3, 1, 0});
    Shape e = Shape.of(new int[] {0, 2, 2, 1, 0, 0}, new int[] {0, 2, 3, 1, 0, 0});
    Shape fUp = Shape.of(new int[] {3, 5, 5, 4, 3, 3}, new int[] {1, 3, 4, 2, 1, 1});
    ChangeCosts changes = new ChangeCosts(new Reach(Guitar.STEEL, Hand.MEDIUM));
    assertThat(changes.moves(em, e))
        .extracting(ChangeCosts.FingerMove::motion)
        .containsExactly(Motion.LANDS, Motion.STAYS, Motion.STAYS);
    assertThat(changes.moves(e, am))
        .extracting(ChangeCosts.FingerMove::motion)
        .containsExactly(Motion.MOVES, Motion.MOVES, Motion.MOVES);
    assertThat(changes.moves(F, fUp))
        .extracting(ChangeCosts.FingerMove::motion)
        .containsOnly(Motion.SLIDES);
    assertThat(changes.moves(am, em))
        .extracting(ChangeCosts.FingerMove::words)
        .contains("finger 1 lifts");
  }

  @Test
  void aBarreThatGrowsOnItsFretRolls() {
    Shape small = Shape.of(new int[] {-1, -1, 3, 2, 1, 1}, new int[] {0, 0, 3, 2, 1, 1});
    ChangeCosts changes = new ChangeCosts(new Reach(Guitar.STEEL, Hand.MEDIUM));
    assertThat(changes.moves(small, F).get(0).motion()).isEqualTo(Motion.ROLLS);
  }
}
