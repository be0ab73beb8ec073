package phalanx.desktop.neck;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;

/** The neck in words, as assistive technology reads it. */
class NeckWordsTest {

  private static final Guitar GUITAR = Demo.song().guitar().withCapo(0);

  private static Shape first() {
    return Demo.arrangement().slots().get(0).shape().orElseThrow();
  }

  @Test
  void aShapeIsSaidFingerByFingerWithWhatRingsAndWhatIsSilent() {
    assertThat(NeckWords.of(first()))
        .startsWith("neck: finger ")
        .contains("on string 6 fret 3", "open 4 3 2");
    assertThat(NeckWords.of(Shape.NOTHING)).isEqualTo("neck: silent 6 5 4 3 2 1");
  }

  /** E2 is MIDI note 40, the fifth fret of it A2, 45 (Standard MIDI File numbers; from memory). */
  @Test
  void aPlaceIsSaidWithItsNoteAndTheFingerOnIt() {
    assertThat(NeckWords.at(GUITAR, Shape.NOTHING, 0, 5)).isEqualTo("string 6 fret 5, A2");
    assertThat(NeckWords.at(GUITAR, Shape.NOTHING, 5, 0)).isEqualTo("string 1 open, E4");
    assertThat(NeckWords.at(GUITAR, Shape.NOTHING, 4, 2)).isEqualTo("string 2 fret 2, C♯4");
    assertThat(NeckWords.at(GUITAR, first(), 0, 3))
        .startsWith("string 6 fret 3, G2, held by finger ");
  }
}
