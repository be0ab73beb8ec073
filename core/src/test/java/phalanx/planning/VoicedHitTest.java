package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.picking.PickFinger;
import phalanx.picking.Stroke;

/** What a hit leaves of itself where a tune rings on (common practice, no source). */
class VoicedHitTest {

  private static Optional<VoicedHit> beside(HitKind kind, Set<Integer> ringing) {
    return VoicedHit.beside(new Stroke.Knock(kind, Force.PLAIN), ringing::contains);
  }

  @ParameterizedTest
  @EnumSource(HitKind.class)
  void isWholeWhereNothingRingsOn(HitKind kind) {
    VoicedHit hit = beside(kind, Set.of()).orElseThrow();
    assertThat(hit.fingers()).isEqualTo(kind.fingers());
    assertThat(hit.damped()).isEqualTo(kind.damped());
    assertThat(hit.isSparing()).isFalse();
    assertThat(hit.besideTheTune()).isEqualTo(kind.besideTheTune());
  }

  /** Index over ③, middle over ②, ring over ①. */
  @ParameterizedTest
  @CsvSource({"3,I", "4,M", "5,A"})
  void theFingerAboveTheTuneStaysUp(int string, PickFinger finger) {
    VoicedHit hit = beside(HitKind.CLICK, Set.of(string)).orElseThrow();
    assertThat(hit.fingers()).hasSize(2).doesNotContain(finger);
    assertThat(hit.damped()).hasSize(2).doesNotContain(string);
    assertThat(hit.isSparing()).isTrue();
    assertThat(hit.besideTheTune()).isEmpty();
  }

  @Test
  void oneFingerIsNoClickAndAHandLaidDownStopsEverything() {
    assertThat(beside(HitKind.CLICK, Set.of(4, 5))).isEmpty();
    assertThat(beside(HitKind.HEEL_MUTE, Set.of(5))).isEmpty();
    assertThat(beside(HitKind.THUMB_SLAP, Set.of(1))).isEmpty();
    assertThat(beside(HitKind.THUMB_SLAP, Set.of(5))).isPresent();
  }

  /** What is made on the top stops no string. */
  @ParameterizedTest
  @EnumSource(names = {"PALM", "NAIL_TAP", "FINGERTIP_TAP"})
  void whatIsMadeOnTheTopLetsAllStringsRing(HitKind kind) {
    Set<Integer> all = Set.copyOf(IntStream.range(0, 6).boxed().toList());
    assertThat(beside(kind, all).orElseThrow().fingers()).isEqualTo(kind.fingers());
  }
}
