package phalanx.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import java.util.List;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/** Shapes as JSON has them, in answers, plans and song files alike. */
public final class ShapeJson {

  private ShapeJson() {}

  /** Frets, low to high, x for a string that does not sound. */
  public static void frets(ArrayNode array, List<Integer> frets) {
    for (int fret : frets) {
      if (fret == Shape.SILENT) {
        array.add("x");
      } else {
        array.add(fret);
      }
    }
  }

  /** The fingers of a shape, low to high, empty for none. */
  public static void fingers(ArrayNode array, Shape shape) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      array.add(shape.finger(s).map(Finger::sign).orElse(""));
    }
  }
}
