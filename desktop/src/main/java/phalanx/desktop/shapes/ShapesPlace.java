package phalanx.desktop.shapes;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.Place;
import phalanx.desktop.screen.Shortcut;

/** The Shapes screen. */
public final class ShapesPlace implements Place {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("Page Up, Down", "chord before, after"),
          new Shortcut("arrows, Enter", "try a place on the neck"),
          new Shortcut("1 to 9, P", "pin that card, the shape held"));

  private final Workspace workspace;
  private final ShapesView middle;
  private final WhyPanel beside;

  /** Puts the screen together. */
  public ShapesPlace(Workspace workspace, ShapeTrialModel trials, Palette palette) {
    this.workspace = workspace;
    middle = new ShapesView(workspace, trials, palette);
    middle.setFocusTraversable(true);
    beside = new WhyPanel(workspace);
  }

  @Override
  public Region middle() {
    return middle;
  }

  @Override
  public Node beside() {
    return beside;
  }

  @Override
  public Node keyboard() {
    return middle;
  }

  @Override
  public boolean key(KeyEvent event) {
    KeyCode code = event.getCode();
    boolean onScreen = event.getTarget() == middle;
    if (code == KeyCode.P) {
      workspace.togglePin();
    } else if (code.isDigitKey() && code != KeyCode.DIGIT0) {
      middle.pinCard(Integer.parseInt(code.getChar()));
    } else if (code == KeyCode.PAGE_DOWN || onScreen && code == KeyCode.RIGHT) {
      workspace.select(workspace.selectedProperty().get() + 1);
    } else if (code == KeyCode.PAGE_UP || onScreen && code == KeyCode.LEFT) {
      workspace.select(workspace.selectedProperty().get() - 1);
    } else {
      return false;
    }
    return true;
  }
}
