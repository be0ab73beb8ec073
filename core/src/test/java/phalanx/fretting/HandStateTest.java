package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.testing.Draws;

/** What the planner packs into words says the same as the stances it was made of. */
class HandStateTest {

  private static final ChangeCosts CHANGES = new ChangeCosts(new Reach(Guitar.STEEL, Hand.MEDIUM));

  private static final List<Shape> SHAPES =
      List.of(
          Shape.of(new int[] {-1, 3, 2, 0, 1, 0}, new int[] {0, 3, 2, 0, 1, 0}),
          Shape.of(new int[] {3, 2, 0, 0, 0, 3}, new int[] {2, 1, 0, 0, 0, 3}),
          Shape.of(new int[] {1, 3, 3, 2, 1, 1}, new int[] {1, 3, 4, 2, 1, 1}),
          Shape.of(new int[] {0, 2, 2, 0, 0, 0}, new int[] {0, 2, 3, 0, 0, 0}),
          Shape.of(new int[] {2, -1, 0, 2, 3, -1}, new int[] {5, 0, 0, 1, 2, 0}));

  private static Stance stance(Draws draws) {
    Optional<Finger> finger =
        draws.nextBoolean() ? Optional.empty() : Optional.of(draws.of(List.of(Finger.values())));
    int fret = finger.isPresent() ? 1 + draws.nextInt(20) : 0;
    Optional<Stance.Voice> voice =
        draws.nextInt(4) == 0 ? Optional.empty() : Stance.Voice.at(draws.nextInt(6), fret, finger);
    return new Stance(
        draws.of(SHAPES),
        Set.of(),
        voice,
        draws.nextBoolean(),
        draws.of(List.of(Stance.Legato.values())),
        draws.nextBoolean() ? OptionalInt.empty() : OptionalInt.of(40 + draws.nextInt(20)));
  }

  @Property
  void knowsWhereEachFingerIs(@ForAll Draws draws) {
    Stance stance = stance(draws);
    HandState state = CHANGES.state(stance);
    for (Finger finger : Finger.values()) {
      Grip grip = stance.shape().grips().get(finger);
      int code = FingerCode.of(finger);
      assertThat(state.fret(code)).isEqualTo(grip == null ? 0 : grip.fret());
      if (grip != null) {
        assertThat(state.low(code)).isEqualTo(grip.lowString());
        assertThat(state.high(code)).isEqualTo(grip.highString());
      }
    }
  }

  @Property
  void aNoteSoundsOnAndIsSlurredAsTheStancesSay(@ForAll Draws draws) {
    Stance from = stance(draws);
    Stance to = stance(draws);
    HandState before = CHANGES.state(from);
    HandState after = CHANGES.state(to);
    assertThat(before.cutsOff(after))
        .isEqualTo(from.soundsOn() && !from.voice().equals(to.voice()));
    boolean plucked = to.legato() == Stance.Legato.PLUCKED || to.voice().isEmpty();
    boolean made =
        from.voice().isPresent()
            && to.voice().isPresent()
            && from.voice().get().leadsTo(to.voice().get(), to.legato());
    assertThat(before.losesSlur(after)).isEqualTo(!plucked && !made);
    int way =
        from.bass().isPresent() && to.bass().isPresent()
            ? Math.abs(from.bass().getAsInt() - to.bass().getAsInt())
            : 0;
    assertThat(before.bassWay(after)).isEqualTo(way);
  }

  @Property
  void aPlaceIsOneObject(@ForAll Draws draws) {
    Optional<Stance.Voice> place = stance(draws).voice();
    place.ifPresent(
        p -> {
          assertThat(Stance.Voice.at(p.string(), p.fret(), p.finger())).isSameAs(place);
          assertThat(p).isEqualTo(new Stance.Voice(p.string(), p.fret(), p.finger()));
        });
  }

  /** A change costs no less than what rules it out in the planner. */
  @Property
  void whatAChangeCostsAtLeastItCosts(@ForAll Draws draws) {
    HandState from = CHANGES.state(stance(draws));
    HandState to = CHANGES.state(stance(draws));
    assertThat(CHANGES.atLeast(from, to)).isLessThanOrEqualTo(CHANGES.unhurried(from, to));
  }
}
