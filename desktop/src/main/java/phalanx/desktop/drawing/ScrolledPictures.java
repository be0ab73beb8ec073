package phalanx.desktop.drawing;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.Rectangle;

/**
 * A sheet that is cut into pictures: each is drawn once, when it comes into view or what it shows
 * has changed, and then only moves. Canvases that have left the view take the next pictures.
 */
public abstract class ScrolledPictures extends ScrolledSheet {

  private final Map<Integer, Canvas> shown = new TreeMap<>();
  private final Deque<Canvas> free = new ArrayDeque<>();
  private final Rectangle frame = new Rectangle();

  /** An empty sheet that takes the keyboard. */
  protected ScrolledPictures(String id) {
    super(id);
    setClip(frame);
  }

  /** Where the sheet is cut, whole px, from 0 to its height; none while there is none. */
  protected abstract List<Double> cuts();

  /** Draws what lies between two cuts. */
  protected abstract void paint(GraphicsContext on, double top, double width, double height);

  @Override
  protected final void show(double top, double width, double height, boolean anew) {
    frame.setWidth(getWidth());
    frame.setHeight(getHeight());
    List<Double> cuts = cuts();
    int first = 0;
    while (first + 1 < cuts.size() && cuts.get(first + 1) <= top) {
      first++;
    }
    int end = first;
    while (end + 1 < cuts.size() && cuts.get(end) < top + height) {
      end++;
    }
    release(first, end);
    for (int p = first; p < end; p++) {
      double from = cuts.get(p);
      boolean isNew = !shown.containsKey(p);
      Canvas canvas = shown.computeIfAbsent(p, k -> take());
      if (anew || isNew) {
        canvas.setWidth(width);
        canvas.setHeight(cuts.get(p + 1) - from);
        paint(canvas.getGraphicsContext2D(), from, width, canvas.getHeight());
      }
      canvas.setLayoutY(Math.round(from - top));
    }
  }

  private void release(int first, int end) {
    Iterator<Map.Entry<Integer, Canvas>> all = shown.entrySet().iterator();
    while (all.hasNext()) {
      Map.Entry<Integer, Canvas> one = all.next();
      if (one.getKey() < first || one.getKey() >= end) {
        one.getValue().setVisible(false);
        free.push(one.getValue());
        all.remove();
      }
    }
  }

  private Canvas take() {
    Canvas canvas = free.isEmpty() ? added() : free.pop();
    canvas.setVisible(true);
    return canvas;
  }

  private Canvas added() {
    Canvas canvas = new Canvas();
    canvas.setMouseTransparent(true);
    canvas.setManaged(false);
    getChildren().add(0, canvas);
    return canvas;
  }
}
