package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HitTest {

  /**
   * Part of the percussion key map of General MIDI System Level 1 (MIDI Manufacturers Association,
   * 1991; from memory).
   */
  private static final Map<Integer, String> GENERAL_MIDI =
      Map.of(
          36, "Bass Drum 1",
          37, "Side Stick",
          38, "Acoustic Snare",
          42, "Closed Hi Hat",
          76, "Hi Wood Block",
          77, "Low Wood Block");

  @ParameterizedTest
  @CsvSource({
    "CLICK,Side Stick",
    "PALM,Bass Drum 1",
    "NAIL_TAP,Hi Wood Block",
    "FINGERTIP_TAP,Low Wood Block",
    "THUMB_SLAP,Acoustic Snare",
    "HEEL_MUTE,Closed Hi Hat"
  })
  void soundsAsThatInstrumentOfGeneralMidi(HitKind hit, String instrument) {
    assertThat(GENERAL_MIDI).containsEntry(hit.percussionKey(), instrument);
  }

  @ParameterizedTest
  @EnumSource(HitKind.class)
  void itsWordIsReadBack(HitKind hit) {
    assertThat(HitKind.written(hit.written())).contains(hit);
  }

  /** The thumb may pluck while the fingers click; a slap takes the thumb (common practice). */
  @Test
  void aHitTakesItsFingersAndNoOthers() {
    Pattern.Step click =
        Pattern.Step.of(0, Role.THUMB)
            .joined(
                new Pattern.Step(
                    0,
                    List.of(new Stroke.Knock(HitKind.CLICK, Force.PLAIN)),
                    Optional.empty(),
                    false));
    assertThat(PatternRules.trouble(click)).isEmpty();
    Pattern.Step slap =
        click.withStrokes(
            List.of(
                Stroke.Pluck.of(Role.THUMB), new Stroke.Knock(HitKind.THUMB_SLAP, Force.PLAIN)));
    assertThat(PatternRules.trouble(slap)).contains("the thumb cannot do two things at once");
    assertThat(HitKind.CLICK.damps(5)).isTrue();
    assertThat(HitKind.CLICK.damps(0)).isFalse();
    assertThat(HitKind.PALM.damps(0)).isFalse();
  }
}
