package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

class FingerSearchTest {

  private static List<Shape> fingerings(boolean thumb, int... frets) {
    ShapeMeasure measure = new ShapeMeasure(new Reach(Guitar.NYLON, Hand.MEDIUM));
    List<Shape> shapes = new ArrayList<>();
    new FingerSearch(measure, thumb)
        .search(
            frets,
            (grips, cost) -> {
              long packed = PackedShapes.pack(PackedShapes.frets(frets), frets, grips);
              shapes.add(PackedShapes.unpack(packed));
            });
    return shapes;
  }

  private static List<String> texts(boolean thumb, int... frets) {
    return fingerings(thumb, frets).stream().map(Shape::fingerText).toList();
  }

  /** What a hand cannot do, whatever is asked of it. */
  @Property(tries = 400)
  void neverBreaksTheRulesOfTheHand(
      @ForAll @Size(6) List<@IntRange(min = -1, max = 6) Integer> frets, @ForAll boolean thumb) {
    int[] wanted = frets.stream().mapToInt(f -> f).toArray();
    for (Shape shape : fingerings(thumb, wanted)) {
      for (int s = 0; s < 6; s++) {
        assertThat(shape.fret(s).orElse(-1)).isEqualTo(wanted[s]);
      }
      Map<Finger, Grip> grips = shape.grips();
      grips.forEach(
          (finger, grip) -> {
            for (int s = grip.lowString(); s <= grip.highString(); s++) {
              assertThat(wanted[s]).as("%s under %s", shape, finger).isNotZero();
              assertThat(wanted[s] == -1 || wanted[s] >= grip.fret()).isTrue();
            }
            grips.forEach(
                (other, there) -> {
                  boolean both = finger != Finger.THUMB && other.compareTo(finger) > 0;
                  assertThat(both && there.fret() < grip.fret()).as("%s", shape).isFalse();
                });
            assertThat(finger != Finger.THUMB || grip.highString() == 0).isTrue();
          });
    }
  }

  @Test
  void findsTheWaysPlayersHoldF() {
    assertThat(texts(true, 1, 3, 3, 2, 1, 1)).contains("134211", "T34211");
    assertThat(texts(false, 1, 3, 3, 2, 1, 1)).noneMatch(t -> t.startsWith("T"));
  }

  @Test
  void twoFingersOnOneFretMaySwap() {
    assertThat(texts(false, -1, 0, 2, 2, 2, 0)).contains("··123·", "··213·", "··111·");
  }

  @Test
  void noFingerLiesAcrossAnOpenString() {
    assertThat(fingerings(false, 3, 0, 0, 0, 0, 3))
        .allMatch(s -> s.grips().values().stream().noneMatch(Grip::isBarre));
  }

  @Test
  void whatFourFingersCannotHoldHasNoFingering() {
    assertThat(fingerings(false, 1, 2, 1, 4, 3, 5)).isEmpty();
    assertThat(fingerings(false, 1, -1, -1, -1, -1, 9)).isEmpty();
  }

  @Test
  void shapesAreRankedAndLimitedAsAsked() {
    RankedShapes found =
        ShapeSearch.find(ShapeQuery.of(ShapeSearchTest.chord("A"), Guitar.NYLON, Hand.MEDIUM));
    for (int i = 1; i < found.size(); i++) {
      assertThat(found.get(i).cost()).isGreaterThanOrEqualTo(found.get(i - 1).cost() - 1e-9);
    }
    List<RatedShape> some = found.candidates(40, 2);
    assertThat(some).hasSize(40);
    for (RatedShape each : some) {
      assertThat(some.stream().filter(o -> o.shape().sameFrets(each.shape())).count())
          .isLessThanOrEqualTo(2);
    }
  }
}
