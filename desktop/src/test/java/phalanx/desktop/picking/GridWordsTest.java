package phalanx.desktop.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/** The grid in words, as assistive technology reads it. */
class GridWordsTest {

  private static final int BEAT = Meter.FOUR_FOUR.beatTicks();

  private static final WrittenPattern PATTERN =
      new WrittenPattern(
          "Mine",
          "",
          Meter.FOUR_FOUR,
          new Pattern(
              "Mine",
              4 * BEAT,
              List.of(
                  new Pattern.Step(
                      0,
                      List.of(
                          new Stroke.Pluck(Role.THUMB, Force.ACCENTED, Optional.empty()),
                          new Stroke.Pluck(Role.TUNE, Force.PLAIN, Optional.of(PickFinger.A))),
                      Optional.of(new Roll(true, 2)),
                      false),
                  new Pattern.Step(
                      BEAT / 2,
                      List.of(new Stroke.Tremolo(Role.TUNE, Force.SOFT, 3, 3)),
                      Optional.empty(),
                      false),
                  new Pattern.Step(
                      BEAT,
                      List.of(new Stroke.Knock(HitKind.PALM, Force.PLAIN)),
                      Optional.empty(),
                      false),
                  new Pattern.Step(
                      2 * BEAT,
                      List.of(new Stroke.Brush(5, 0, Touch.values()[0], Force.PLAIN)),
                      Optional.empty(),
                      true))));

  private static String words(GridLayout.Row row, int tick) {
    return GridWords.of(PATTERN, row, tick, 2);
  }

  @Test
  void aStrokeIsSaidWithItsPlaceItsFingerAndItsForce() {
    assertThat(words(GridLayout.row(Role.THUMB), 0))
        .isEqualTo("Mine, thumb, beat 1: stroke, accented, rolled upwards");
    assertThat(words(GridLayout.row(Role.TUNE), 0))
        .isEqualTo("Mine, tune, beat 1: stroke by the ring finger, rolled upwards");
    assertThat(words(GridLayout.row(Role.TUNE), BEAT / 2))
        .isEqualTo("Mine, tune, beat 1, part 2 of 2: tremolo of 3, soft");
  }

  @Test
  void hitsBrushesAndEarlyChordsAreSaidAndEmptyPlacesToo() {
    assertThat(words(GridLayout.HITS, BEAT)).isEqualTo("Mine, hits, beat 2: palm");
    assertThat(words(GridLayout.row(Role.MIDDLE), 2 * BEAT))
        .isEqualTo("Mine, middle, beat 3: brush from string 1 to 6, the next chord comes here");
    assertThat(words(GridLayout.row(Role.UPPER), 0)).isEqualTo("Mine, upper, beat 1: nothing");
  }
}
