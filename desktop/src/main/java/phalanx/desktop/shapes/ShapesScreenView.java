package phalanx.desktop.shapes;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.texts.Texts;

/** The Shapes screen. */
public final class ShapesScreenView extends ScreenView<ShapesView, WhyPanel> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("shapesScreenView.pageUpDown"),
              Texts.of("shapesScreenView.chordBeforeAfter")),
          new Shortcut(
              Texts.of("shapesScreenView.arrowsEnter"), Texts.of("shapesScreenView.tryAPlaceOn")),
          new Shortcut(
              Texts.of("shapesScreenView.toP"), Texts.of("shapesScreenView.pinThatCardThe")),
          new Shortcut("H", Texts.of("shapesScreenView.hearTheShapeOn")));

  private final Workspace workspace;

  /** Puts the screen together. */
  public ShapesScreenView(Workspace workspace, ShapeTrialModel trials, Palette palette) {
    super(new ShapesView(workspace, trials, palette), new WhyPanel(workspace));
    this.workspace = workspace;
    middle().setFocusTraversable(true);
  }

  @Override
  public Node keyboard() {
    return middle();
  }

  @Override
  public boolean key(KeyEvent event) {
    KeyCode code = event.getCode();
    boolean onScreen = event.getTarget() == middle();
    if (code == KeyCode.H) {
      middle().hear();
    } else if (code == KeyCode.P) {
      workspace.pins().toggle();
    } else if (digit(code) > 0) {
      middle().pinCard(digit(code));
    } else if (code == KeyCode.PAGE_DOWN || onScreen && code == KeyCode.RIGHT) {
      workspace.chord().select(workspace.chord().placeProperty().get() + 1);
    } else if (code == KeyCode.PAGE_UP || onScreen && code == KeyCode.LEFT) {
      workspace.chord().select(workspace.chord().placeProperty().get() - 1);
    } else {
      return false;
    }
    return true;
  }
}
