package phalanx.engraving.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;

/** Chord books for left-handed players mirror their pictures (common practice, no source). */
class ShapeDiagramTest {

  /** F as a barre of finger 1, 2 on string ③, 3 and 4 on ⑤ and ④. */
  private static final Shape F =
      new Shape(
          List.of(
              new Stop.Pressed(1, Finger.INDEX),
              new Stop.Pressed(3, Finger.RING),
              new Stop.Pressed(3, Finger.LITTLE),
              new Stop.Pressed(2, Finger.MIDDLE),
              new Stop.Pressed(1, Finger.INDEX),
              new Stop.Pressed(1, Finger.INDEX)));

  private static List<Double> fingers(boolean leftHanded, String sign) {
    return marks(leftHanded)
        .filter(m -> m.role() == Role.FINGER && m instanceof Mark.Text t && t.text().equals(sign))
        .map(m -> ((Mark.Text) m).x())
        .sorted()
        .toList();
  }

  private static Stream<Mark> marks(boolean leftHanded) {
    return ShapeDiagram.of(F, "F", leftHanded).stream();
  }

  @Test
  void theLowStringIsOnTheLeftOrForALeftHandedPlayerOnTheRight() {
    double ring = fingers(false, "3").get(0);
    double middle = fingers(false, "2").get(0);
    assertThat(ring).isLessThan(middle);
    assertThat(fingers(true, "3").get(0)).isGreaterThan(fingers(true, "2").get(0));
  }

  @Test
  void itIsTheSamePictureMirroredBarreAndAll() {
    List<Double> right = fingers(false, "1");
    List<Double> left = fingers(true, "1");
    double sum = right.get(0) + left.get(left.size() - 1);
    for (int n = 0; n < right.size(); n++) {
      assertThat(right.get(n) + left.get(left.size() - 1 - n)).isEqualTo(sum);
    }
    assertThat(bar(false)).isEqualTo(bar(true));
    assertThat(marks(true).count()).isEqualTo(marks(false).count());
  }

  /** The barre of six strings lies across all, whichever way. */
  private static Mark bar(boolean leftHanded) {
    return marks(leftHanded).filter(Mark.Bar.class::isInstance).findFirst().orElseThrow();
  }
}
