package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import phalanx.engraving.Mark;
import phalanx.fretting.Shape;

/** Pictures of shapes side by side, in as many rows as they need. */
final class ShapeRows {

  private ShapeRows() {}

  static List<Block> of(Map<Shape, String> shapes, double width, boolean leftHanded) {
    List<Block> rows = new ArrayList<>();
    List<Mark> row = new ArrayList<>();
    int column = 0;
    int perRow = Math.max(1, (int) (width / ShapeDiagram.WIDTH));
    for (Map.Entry<Shape, String> shape : shapes.entrySet()) {
      if (column == perRow) {
        rows.add(new Block(row, ShapeDiagram.HEIGHT, 6, false));
        row = new ArrayList<>();
        column = 0;
      }
      double x = column++ * ShapeDiagram.WIDTH;
      for (Mark mark : ShapeDiagram.of(shape.getKey(), shape.getValue(), leftHanded)) {
        row.add(mark.placed(x, 0, 1));
      }
    }
    if (!row.isEmpty()) {
      rows.add(new Block(row, ShapeDiagram.HEIGHT, 6, false));
    }
    return rows;
  }
}
