package phalanx.desktop.drawing;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.HBox;

/**
 * A row of tools that goes on in a second row where there is no room for it, so that nothing is cut
 * off in a small window. What only fills the room between tools is left out then.
 */
public class ToolRow extends HBox {

  /** Space between two rows, px. */
  private static final double ROW_GAP = 5;

  public ToolRow(Node... tools) {
    super(tools);
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  private boolean fits(double width) {
    return width < 0 || super.computeMinWidth(-1) <= width;
  }

  @Override
  protected double computeMinWidth(double height) {
    Insets in = getInsets();
    double widest = getManagedChildren().stream().mapToDouble(n -> n.minWidth(-1)).max().orElse(0);
    return in.getLeft() + widest + in.getRight();
  }

  @Override
  protected double computePrefHeight(double width) {
    return fits(width) ? super.computePrefHeight(width) : wrapped(width);
  }

  @Override
  protected double computeMinHeight(double width) {
    return fits(width) ? super.computeMinHeight(width) : wrapped(width);
  }

  private double wrapped(double width) {
    Insets in = getInsets();
    double height = in.getTop() + in.getBottom() - ROW_GAP;
    for (List<Node> row : rows(width)) {
      height += height(row) + ROW_GAP;
    }
    return height;
  }

  private static double height(List<Node> row) {
    return row.stream().mapToDouble(n -> n.prefHeight(-1)).max().orElse(0);
  }

  private double width(Node node, double room) {
    return Math.min(room, Math.max(node.minWidth(-1), node.prefWidth(-1)));
  }

  private List<List<Node>> rows(double width) {
    double room = width - getInsets().getLeft() - getInsets().getRight();
    List<List<Node>> rows = new ArrayList<>();
    List<Node> row = new ArrayList<>();
    double used = 0;
    for (Node node : getManagedChildren()) {
      double wanted = width(node, room);
      if (wanted == 0) {
        continue;
      }
      if (!row.isEmpty() && used + getSpacing() + wanted > room) {
        rows.add(row);
        row = new ArrayList<>();
        used = 0;
      }
      used += (row.isEmpty() ? 0 : getSpacing()) + wanted;
      row.add(node);
    }
    if (!row.isEmpty()) {
      rows.add(row);
    }
    return rows;
  }

  @Override
  protected void layoutChildren() {
    if (fits(getWidth())) {
      super.layoutChildren();
      return;
    }
    Insets in = getInsets();
    double room = getWidth() - in.getLeft() - in.getRight();
    double y = in.getTop();
    for (List<Node> row : rows(getWidth())) {
      double x = in.getLeft();
      double height = height(row);
      for (Node node : row) {
        double wide = width(node, room);
        double high = node.prefHeight(wide);
        node.resizeRelocate(x, y + (height - high) / 2, wide, high);
        x += wide + getSpacing();
      }
      y += height + ROW_GAP;
    }
  }
}
