package phalanx.melody;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
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

  private static Optional<Want> sounding(BarTune tune, int tick) {
    return tune.notes().stream()
        .filter(n -> n.tick() <= tick && tick < n.endTick())
        .map(n -> n.wants().get(0))
        .findFirst();
  }

  /**
   * Tick by tick: inside the new note it sounds, before it nothing changes, after it no new sound.
   */
  @Property
  void aNotePutInTakesThePlaceOfWhatBeginsWhileItSounds(
      @ForAll @IntRange(max = 7) int eighth, @ForAll @IntRange(min = 1, max = 8) int length) {
    BarTune tune = TuneReader.read("[. c4] [. d] [e .] f", Meter.FOUR_FOUR).tune();
    Want want = new Want.Place(5, 12);
    int from = eighth * 2520;
    TuneNote note = new TuneNote(from, length * 2520, List.of(want), Optional.empty(), List.of());
    BarTune placed = tune.placing(note);
    for (int tick = 0; tick < 20160; tick += 1260) {
      Optional<Want> now = sounding(placed, tick);
      if (tick >= from && tick < note.endTick()) {
        assertThat(now).contains(want);
      } else if (tick < from) {
        assertThat(now).isEqualTo(sounding(tune, tick));
      } else {
        assertThat(now).isIn(Optional.empty(), sounding(tune, tick));
      }
    }
    assertThat(placed.heldTicks()).isEqualTo(Math.min(tune.heldTicks(), from));
    BarTune silent = tune.silencing(from, note.endTick());
    assertThat(silent.placing(note)).isEqualTo(placed);
    assertThat(sounding(silent, from)).isEmpty();
  }

  @Test
  void twoNotesSoundTogetherOnce() {
    Want want = new Want.Place(5, 12);
    BarTune two = THREE.withNote(0, n -> n.with(want).with(want));
    assertThat(two.notes().get(0).wants()).hasSize(2).endsWith(want);
  }

  @Test
  void aNoteCannotRunIntoTheNext() {
    assertThatThrownBy(() -> THREE.withNote(0, n -> n.lasting(10081)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
