package phalanx.desktop.picking;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import phalanx.desktop.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.picking.PatternEdits;
import phalanx.picking.Role;
import phalanx.picking.WrittenPattern;

/** The grid of the song's pattern: a click or Enter puts a stroke in or takes it out. */
final class PatternGrid extends Canvas {

  static final int MOST_PARTS = 8;

  private final Workspace workspace;
  private final GridPainter painter;
  private GridLayout layout;
  private int parts = 2;
  private int row;
  private int column;

  PatternGrid(Workspace workspace, double width, double height, Palette palette) {
    super(width, height);
    this.workspace = workspace;
    painter = new GridPainter(getGraphicsContext2D(), palette);
    setId("pattern-grid");
    setFocusTraversable(true);
    workspace.historyProperty().addListener(o -> repaint());
    workspace.fallsProperty().addListener(o -> repaint());
    focusedProperty().addListener(o -> repaint());
    setOnMousePressed(this::press);
    setOnKeyPressed(this::key);
    repaint();
  }

  private WrittenPattern pattern() {
    return PatternEdits.written(workspace.song().pattern(), workspace.song().meter());
  }

  /** Cuts every beat into so many parts to choose from; strokes elsewhere stay. */
  void cut(int wanted) {
    parts = Math.max(1, Math.min(MOST_PARTS, wanted));
    column = 0;
    repaint();
  }

  int parts() {
    return parts;
  }

  private void repaint() {
    WrittenPattern pattern = pattern();
    layout = new GridLayout(pattern.meter(), pattern.pattern().lengthTicks(), parts, getWidth());
    List<Integer> ticks = layout.ticks();
    column = Math.min(column, ticks.size() - 1);
    painter.paint(
        new GridPainter.Picture(
            pattern.meter(),
            pattern.pattern(),
            workspace.fallsProperty().get().stream().findFirst(),
            GridLayout.ROWS.get(row),
            ticks.get(column),
            isFocused()),
        layout,
        getWidth(),
        getHeight());
    setAccessibleText(
        "%s, %s".formatted(pattern.title(), GridLayout.ROWS.get(row).name().toLowerCase()));
  }

  private void toggle(Role role, int tick) {
    WrittenPattern next = PatternEdits.toggle(pattern(), role, tick);
    workspace.edit(song -> song.withPattern(next));
  }

  private void press(MouseEvent event) {
    requestFocus();
    Optional<Role> role = layout.roleAt(event.getY());
    Optional<Integer> tick = layout.tickAt(event.getX());
    if (role.isPresent() && tick.isPresent()) {
      row = GridLayout.ROWS.indexOf(role.get());
      column = layout.ticks().indexOf(tick.get());
      toggle(role.get(), tick.get());
    }
  }

  private void key(KeyEvent event) {
    switch (event.getCode()) {
      case LEFT -> column = Math.max(0, column - 1);
      case RIGHT -> column = Math.min(layout.ticks().size() - 1, column + 1);
      case UP -> row = Math.max(0, row - 1);
      case DOWN -> row = Math.min(GridLayout.ROWS.size() - 1, row + 1);
      case HOME -> column = 0;
      case END -> column = layout.ticks().size() - 1;
      case ENTER, SPACE -> toggle(GridLayout.ROWS.get(row), layout.ticks().get(column));
      case PLUS, ADD, EQUALS -> cut(parts + 1);
      case MINUS, SUBTRACT -> cut(parts - 1);
      default -> {
        return;
      }
    }
    event.consume();
    repaint();
  }
}
