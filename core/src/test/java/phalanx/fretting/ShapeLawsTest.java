package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.testing.Draws;

/** A shape is one number; here it is held against the six stops it was made of. */
class ShapeLawsTest {

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);

  /** Any stops, each finger at one fret; most of them no hand would hold. */
  private static List<Stop> stops(Draws draws) {
    Map<Finger, Integer> frets = new TreeMap<>();
    List<Stop> stops = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int kind = draws.nextInt(4);
      Finger finger = draws.of(List.of(Finger.values()));
      int fret = frets.computeIfAbsent(finger, f -> 1 + draws.nextInt(19));
      stops.add(
          kind == 0
              ? new Stop.Silent()
              : kind == 1 ? new Stop.Open() : new Stop.Pressed(fret, finger));
    }
    return stops;
  }

  private static Set<Integer> strings(Draws draws) {
    Set<Integer> strings = new HashSet<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (draws.nextBoolean()) {
        strings.add(s);
      }
    }
    return strings;
  }

  @Property
  void saysOfEachStringWhatItWasMadeOf(@ForAll Draws draws) {
    List<Stop> stops = stops(draws);
    Shape shape = new Shape(stops);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      Stop stop = stops.get(s);
      boolean pressed = stop instanceof Stop.Pressed;
      assertThat(shape.isPressed(s)).isEqualTo(pressed);
      assertThat(shape.isOpen(s)).isEqualTo(stop instanceof Stop.Open);
      assertThat(shape.sounds(s)).isEqualTo(!(stop instanceof Stop.Silent));
      if (stop instanceof Stop.Pressed p) {
        assertThat(shape.fret(s)).isEqualTo(OptionalInt.of(p.fret()));
        assertThat(shape.finger(s)).contains(p.finger());
      } else {
        assertThat(shape.finger(s)).isEmpty();
        assertThat(shape.fretAt(s)).isEqualTo(stop instanceof Stop.Open ? 0 : Shape.SILENT);
      }
    }
    assertThat(new Shape(stops)).isEqualTo(shape).hasSameHashCodeAs(shape);
    assertThat(shape.isSilent()).isEqualTo(stops.stream().allMatch(Stop.Silent.class::isInstance));
  }

  @Property
  void isAnotherWhereAStopIs(@ForAll Draws draws) {
    List<Stop> stops = stops(draws);
    List<Stop> others = stops(draws);
    assertThat(new Shape(stops).equals(new Shape(others))).isEqualTo(stops.equals(others));
  }

  @Property
  void letsStringsGoAndFingersLift(@ForAll Draws draws) {
    List<Stop> stops = stops(draws);
    Shape shape = new Shape(stops);
    Set<Integer> strings = strings(draws);
    List<Stop> left = new ArrayList<>(stops);
    strings.forEach(s -> left.set(s, new Stop.Silent()));
    assertThat(shape.without(strings)).isEqualTo(new Shape(left));

    Finger finger = draws.of(List.of(Finger.values()));
    List<Stop> lifted = new ArrayList<>(stops);
    lifted.replaceAll(
        s -> s instanceof Stop.Pressed p && p.finger() == finger ? new Stop.Silent() : s);
    assertThat(shape.lifting(Set.of(finger))).isEqualTo(new Shape(lifted));

    int bits = strings.stream().mapToInt(s -> 1 << s).sum();
    Set<Finger> off = new HashSet<>(shape.grips().keySet());
    strings.forEach(s -> shape.finger(s).ifPresent(off::remove));
    assertThat(shape.fingersOff(bits)).isEqualTo(off);
  }

  @Property
  void oneFingerHasOneFret(@ForAll Draws draws) {
    Shape shape = new Shape(stops(draws));
    int string = draws.nextInt(Tuning.STRINGS);
    Stop.Pressed stop = new Stop.Pressed(1 + draws.nextInt(19), draws.of(List.of(Finger.values())));
    boolean elsewhere =
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> s != string && shape.finger(s).filter(f -> f == stop.finger()).isPresent())
            .anyMatch(s -> shape.fretAt(s) != stop.fret());
    if (elsewhere) {
      assertThatThrownBy(() -> shape.with(string, stop))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("on two frets");
    } else {
      assertThat(shape.with(string, stop).finger(string)).contains(stop.finger());
    }
  }

  @Test
  void refusesAFretBeyondAnyNeck() {
    List<Stop> stops = new ArrayList<>(Collections.nCopies(Tuning.STRINGS, new Stop.Open()));
    stops.set(2, new Stop.Pressed(126, Finger.INDEX));
    assertThat(new Shape(stops).fretAt(2)).isEqualTo(126);
    stops.set(2, new Stop.Pressed(127, Finger.INDEX));
    assertThatThrownBy(() -> new Shape(stops))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("127");
  }

  /** What stretched fingers cost, summed plainly over every two of them. */
  @Property
  void stretchesAreThoseBetweenEveryTwoFingers(@ForAll Draws draws) {
    Shape shape = new Shape(stops(draws));
    double most = 0;
    double widest = 0;
    for (Finger a : shape.grips().keySet()) {
      for (Finger b : shape.grips().keySet()) {
        if (a != Finger.THUMB && a.compareTo(b) < 0) {
          double way = REACH.distance(shape.grips().get(a), shape.grips().get(b));
          double comfortable = Hand.MEDIUM.comfortable(a, b);
          double limit = Hand.MEDIUM.limit(a, b);
          double share = Math.max(0, way - comfortable) / (limit - comfortable);
          most += way <= limit ? share * share : 0;
          widest = Math.max(widest, way / limit);
        }
      }
    }
    ShapeStretches stretches = ShapeStretches.of(shape, REACH);
    assertThat(Hand.MEDIUM.stretches()).as("this hand goes to its limit").isFalse();
    assertThat(stretches.most()).isCloseTo(most * CostTerm.STRETCH.weight(), within(1e-9));
    double found = stretches.foundWeight(Set.of());
    assertThat(found == CostTerm.CANNOT_BE_DONE.weight()).isEqualTo(widest > 1);
    assertThat(stretches.foundWeight(shape.grips().keySet())).isZero();
  }
}
