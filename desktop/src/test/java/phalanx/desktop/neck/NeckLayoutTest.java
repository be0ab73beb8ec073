package phalanx.desktop.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Guitar;

class NeckLayoutTest {

  private static NeckLayout neck(Guitar guitar, boolean turned) {
    return new NeckLayout(guitar, 15, 112, 826, 186, turned);
  }

  /** Frets lie in the proportions of twelve equal semitones (physics of the string). */
  @Test
  void fretsShrinkByTheTwelfthRootOfTwo() {
    NeckLayout layout = neck(Guitar.STEEL, false);
    for (int fret = 2; fret <= 15; fret++) {
      double gap = layout.fretX(fret) - layout.fretX(fret - 1);
      double before = layout.fretX(fret - 1) - layout.fretX(fret - 2);
      assertThat(before / gap).isCloseTo(Math.pow(2, 1 / 12.0), within(1e-6));
    }
  }

  @Property
  void whereAFingerIsDrawnItIsTouched(
      @ForAll @IntRange(max = 5) int string,
      @ForAll @IntRange(min = 1, max = 15) int fret,
      @ForAll boolean turned,
      @ForAll @IntRange(max = 5) int capo) {
    NeckLayout layout = neck(Guitar.STEEL.withCapo(capo), turned);
    double x = layout.tipX(fret);
    assertThat(layout.fretAt(x)).isEqualTo(fret);
    assertThat(layout.stringAt(x, layout.stringY(string, x))).contains(string);
  }

  @Property
  void turnedForTheLeftHandItIsTheMirrorImage(@ForAll @IntRange(max = 15) int fret) {
    NeckLayout right = neck(Guitar.NYLON, false);
    NeckLayout left = neck(Guitar.NYLON, true);
    assertThat(left.fretX(fret)).isCloseTo(826 - right.fretX(fret), within(1e-9));
    double x = right.fretX(fret);
    assertThat(left.stringY(2, 826 - x)).isCloseTo(right.stringY(2, x), within(1e-9));
    assertThat(left.isTurned()).isTrue();
  }

  @Test
  void besideTheNutIsTheOpenString() {
    NeckLayout layout = neck(Guitar.STEEL, false);
    assertThat(layout.fretAt(layout.nut() - 8)).isZero();
    assertThat(layout.stringAt(300, 0)).isEmpty();
  }

  @Test
  void theNeckHasNoMoreFretsThanTheGuitar() {
    assertThat(neck(Guitar.STEEL.withCapo(11), false).lastFret()).isEqualTo(9);
  }
}
