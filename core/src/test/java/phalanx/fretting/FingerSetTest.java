package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.instrument.Finger;

/** Held against {@link EnumSet}, over all thirty-two sets. */
class FingerSetTest {

  static IntStream all() {
    return IntStream.range(0, 1 << Finger.values().length);
  }

  private static EnumSet<Finger> fingers(int bits) {
    EnumSet<Finger> set = EnumSet.noneOf(Finger.class);
    for (Finger finger : Finger.values()) {
      if ((bits >> finger.ordinal() & 1) > 0) {
        set.add(finger);
      }
    }
    return set;
  }

  @ParameterizedTest
  @MethodSource("all")
  void isASetLikeAnyOther(int bits) {
    EnumSet<Finger> expected = fingers(bits);
    FingerSet set = FingerSet.ofBits(bits);
    assertThat(new ArrayList<>(set)).isEqualTo(new ArrayList<>(expected));
    assertThat(set).isEqualTo(expected).hasSameHashCodeAs(expected);
    assertThat(expected).isEqualTo(set);
    assertThat(set.bits()).isEqualTo(bits);
    for (Finger finger : Finger.values()) {
      assertThat(set.contains(finger)).isEqualTo(expected.contains(finger));
      EnumSet<Finger> fewer = EnumSet.copyOf(expected);
      fewer.remove(finger);
      assertThat(set.without(finger)).isEqualTo(fewer);
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void isTheSameObjectHoweverItIsMade(int bits) {
    FingerSet set = FingerSet.ofBits(bits);
    assertThat(FingerSet.of(fingers(bits))).isSameAs(set);
    assertThat(FingerSet.of(new HashSet<>(fingers(bits)))).isSameAs(set);
    assertThat(FingerSet.of(set)).isSameAs(set);
  }

  @Test
  void cannotBeChangedAndEnds() {
    Set<Finger> set = FingerSet.of(Set.of(Finger.RING));
    assertThatThrownBy(() -> set.add(Finger.INDEX))
        .isInstanceOf(UnsupportedOperationException.class);
    assertThatThrownBy(set::clear).isInstanceOf(UnsupportedOperationException.class);
    assertThatThrownBy(() -> FingerSet.NONE.iterator().next())
        .isInstanceOf(NoSuchElementException.class);
    assertThat(set.contains("3")).isFalse();
    assertThat(List.copyOf(set)).containsExactly(Finger.RING);
  }
}
