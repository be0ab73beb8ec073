package phalanx.desktop.picking;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.WholeScroll;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.texts.Texts;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;

/** The Picking screen. */
public final class PickingScreenView extends ScreenView<WholeScroll, ShelfPanel> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("pickingScreenView.arrows"), Texts.of("pickingScreenView.rowAndTime")),
          new Shortcut(
              Texts.of("pickingScreenView.enterO"), Texts.of("pickingScreenView.putAStrokeIn")),
          new Shortcut("p i m a c", Texts.of("pickingScreenView.aStrokeByThis")),
          new Shortcut("! (", Texts.of("pickingScreenView.accentedSoft")),
          new Shortcut("=", Texts.of("pickingScreenView.theStringStopsHere")),
          new Shortcut("~", Texts.of("pickingScreenView.tremoloOfThree")),
          new Shortcut("/ \\", Texts.of("pickingScreenView.rollUpwardsDownwardsQuicker")),
          new Shortcut(
              Texts.of("pickingScreenView.shift"), Texts.of("pickingScreenView.brushDownUpAll")),
          new Shortcut("n", Texts.of("pickingScreenView.theBrushByNails")),
          new Shortcut("u, s, t", Texts.of("pickingScreenView.palmMuteSlapTouched")),
          new Shortcut(
              Texts.of("pickingScreenView.shiftU"), Texts.of("pickingScreenView.palmMuteAllOf")),
          new Shortcut("x", Texts.of("pickingScreenView.hitClickPalmNail")),
          new Shortcut(">", Texts.of("pickingScreenView.theNextChordComes")),
          new Shortcut(
              Texts.of("pickingScreenView.delete"), Texts.of("pickingScreenView.takeOutWhatIs")),
          new Shortcut("+ −", Texts.of("pickingScreenView.cutTheBeatsFiner")),
          new Shortcut(
              Texts.of("pickingScreenView.pageUpDown"), Texts.of("pickingScreenView.otherBarsOfA")),
          new Shortcut("h", Texts.of("pickingScreenView.hearItOnThe")));

  private final Workspace workspace;
  private final PickingScreen screen;

  /** Puts the screen together. */
  public PickingScreenView(
      Workspace workspace, OwnShelf<OwnPatterns, WrittenPattern> shelf, Palette palette) {
    this(
        workspace,
        new PickingScreen(workspace, shelf, palette),
        new ShelfPanel(workspace, shelf, palette));
  }

  private PickingScreenView(Workspace workspace, PickingScreen screen, ShelfPanel shelf) {
    super(new WholeScroll(screen), shelf);
    this.workspace = workspace;
    this.screen = screen;
    middle().setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
  }

  @Override
  public Node keyboard() {
    return screen.grid();
  }

  @Override
  public boolean key(KeyEvent event) {
    boolean hears = event.getCode() == KeyCode.H;
    if (hears) {
      workspace.models().patterns().hear();
    }
    return hears;
  }

  @Override
  public void shown() {
    workspace.models().patterns().look(true);
  }

  @Override
  public void hidden() {
    workspace.models().patterns().look(false);
  }
}
