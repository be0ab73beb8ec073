package phalanx.desktop.picking;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.CanvasWidth;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.PatternViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.picking.WrittenPattern;

/** The grid of the pattern: mouse and keys put strokes in, change them and take them out. */
final class PatternGrid extends Canvas {

  static final int MOST_PARTS = 8;

  /** Bars that are seen at once; longer patterns turn over. */
  private static final int BARS_SHOWN = 2;

  private final Workspace workspace;
  private final PatternViewModel model;
  private final GridPainter painter;
  private final StrokeTools tools;
  private GridLayout layout;
  private Runnable moved = () -> {};
  private int parts = 2;
  private int row;
  private int tick;

  PatternGrid(Workspace workspace, double width, double height, Palette palette) {
    super(width, height);
    this.workspace = workspace;
    model = workspace.models().patterns();
    tools = new StrokeTools(model);
    painter = new GridPainter(getGraphicsContext2D(), palette);
    setId("pattern-grid");
    setFocusTraversable(true);
    model.shownProperty().addListener(o -> repaint());
    model.fallsProperty().addListener(o -> repaint());
    focusedProperty().addListener(o -> repaint());
    setOnMousePressed(this::press);
    setOnKeyPressed(this::key);
    setOnKeyTyped(this::typed);
    repaint();
  }

  /** Takes the width of what it lies in. */
  void fill(Region room, double beside) {
    CanvasWidth.follow(this, room, beside, this::repaint);
  }

  private WrittenPattern pattern() {
    return model.shownProperty().get();
  }

  /** Runs when the cursor or the pattern changed. */
  void onMoved(Runnable run) {
    moved = run;
  }

  /** Cuts every beat into so many parts to choose from; strokes elsewhere stay. */
  void cut(int wanted) {
    parts = Math.max(1, Math.min(MOST_PARTS, wanted));
    repaint();
  }

  int parts() {
    return parts;
  }

  /** The row the keyboard is on. */
  GridLayout.Row row() {
    return GridLayout.ROWS.get(row);
  }

  /** The time the keyboard is on. */
  int tick() {
    return tick;
  }

  /** Does what a sign stands for where the cursor is. */
  void apply(String sign) {
    tools.type(sign, row(), tick);
    requestFocus();
  }

  /** Brushes where the cursor is. */
  void brush(boolean down) {
    tools.brush(down, tick);
    requestFocus();
  }

  /** Where across the grid the song is heard; empty where it is heard elsewhere, or not. */
  OptionalDouble heardX() {
    OptionalInt at = model.heard();
    return at.isPresent() && layout.shows(at.getAsInt())
        ? OptionalDouble.of(layout.x(at.getAsInt()))
        : OptionalDouble.empty();
  }

  private void repaint() {
    WrittenPattern pattern = pattern();
    int bar = pattern.meter().barTicks();
    int last = pattern.bars() - 1;
    int first = Math.min(tick / bar, last) / BARS_SHOWN * BARS_SHOWN;
    int bars = Math.min(BARS_SHOWN, pattern.bars() - first);
    layout = new GridLayout(pattern.meter(), first * bar, bars * bar, parts, getWidth());
    List<Integer> ticks = layout.ticks();
    // The cursor keeps its time as far as the grid has it.
    int wanted = tick;
    tick = ticks.stream().filter(t -> t <= wanted).reduce((a, b) -> b).orElse(ticks.get(0));
    painter.paint(
        new GridPainter.Picture(
            pattern,
            parts,
            model.fallsProperty().get().stream().findFirst(),
            workspace.song().tempo(),
            row(),
            tick,
            isFocused()),
        layout,
        getWidth(),
        getHeight());
    setAccessibleText(GridWords.of(pattern, row(), tick, parts));
    moved.run();
  }

  private void press(MouseEvent event) {
    requestFocus();
    Optional<GridLayout.Row> at = layout.rowAt(event.getY());
    Optional<Integer> time = layout.tickAt(event.getX());
    if (at.isPresent() && time.isPresent()) {
      row = GridLayout.ROWS.indexOf(at.get());
      tick = time.get();
      if (event.isPrimaryButtonDown()) {
        tools.put(at.get(), tick);
      }
      repaint();
    }
  }

  private void key(KeyEvent event) {
    switch (event.getCode()) {
      case LEFT -> step(-1);
      case RIGHT -> step(1);
      case UP -> vertical(event, -1);
      case DOWN -> vertical(event, 1);
      case HOME -> tick = 0;
      case END -> {
        tick = pattern().pattern().lengthTicks() - 1;
        repaint();
        tick = layout.ticks().get(layout.ticks().size() - 1);
      }
      case PAGE_DOWN -> page(1);
      case PAGE_UP -> page(-1);
      case ENTER -> tools.put(row(), tick);
      case DELETE, BACK_SPACE -> tools.clear(row(), tick);
      default -> {
        return;
      }
    }
    event.consume();
    repaint();
  }

  private void vertical(KeyEvent event, int by) {
    if (event.isShiftDown()) {
      // The picture has the treble on top, so an arrow up is the hand's brush down.
      tools.brush(by < 0, tick);
    } else {
      row = Math.max(0, Math.min(GridLayout.ROWS.size() - 1, row + by));
    }
  }

  private void step(int by) {
    List<Integer> ticks = layout.ticks();
    int next = ticks.indexOf(tick) + by;
    if (next >= 0 && next < ticks.size()) {
      tick = ticks.get(next);
    } else if (next < 0 && layout.from() > 0) {
      tick = layout.from() - 1;
    } else if (next > 0 && layout.to() < pattern().pattern().lengthTicks()) {
      tick = layout.to();
    }
  }

  private void page(int by) {
    int shown = BARS_SHOWN * pattern().meter().barTicks();
    int next = layout.from() + by * shown;
    if (next >= 0 && next < pattern().pattern().lengthTicks()) {
      tick = next;
    }
  }

  private void typed(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    switch (event.getCharacter()) {
      case "+" -> cut(parts + 1);
      case "-" -> cut(parts - 1);
      default -> {
        if (!tools.type(event.getCharacter(), row(), tick)) {
          return;
        }
      }
    }
    event.consume();
    repaint();
  }
}
