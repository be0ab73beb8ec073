package phalanx.melody;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import phalanx.theory.Meter;

class BarTuneTest {

  private static final BarTune THREE =
      TuneReader.read("g4 . b d", Meter.FOUR_FOUR, TuneReader.MIDDLE).tune();

  @Test
  void oneNoteIsChangedOrLeftOutAndTheOthersStay() {
    BarTune shorter = THREE.withNote(0, n -> n.lasting(2520));
    assertThat(shorter.notes().get(0).endTick()).isEqualTo(2520);
    assertThat(shorter.notes().subList(1, 3)).isEqualTo(THREE.notes().subList(1, 3));
    assertThat(THREE.withoutNote(0).notes()).isEqualTo(THREE.notes().subList(1, 3));
    assertThat(THREE.withNote(1, n -> n.lasting(1)).withoutNote(1)).isEqualTo(THREE);
  }

  @Test
  void aNoteCannotRunIntoTheNext() {
    assertThatThrownBy(() -> THREE.withNote(0, n -> n.lasting(10081)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
