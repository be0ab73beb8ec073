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
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;

/** The Picking screen. */
public final class PickingScreenView extends ScreenView<WholeScroll, ShelfPanel> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("arrows", "row and time"),
          new Shortcut("Enter, o", "put a stroke in, take it out"),
          new Shortcut("p i m a c", "a stroke by this finger"),
          new Shortcut("! (", "accented, soft"),
          new Shortcut("=", "the string stops here"),
          new Shortcut("~", "tremolo of three"),
          new Shortcut("/ \\", "roll upwards, downwards: quicker, slower"),
          new Shortcut("Shift ↑ ↓", "brush down, up: all strings, fewer"),
          new Shortcut("n", "the brush by nails or thumb"),
          new Shortcut("u, s, t", "palm mute, slap, touched 12 above"),
          new Shortcut("Shift+U", "palm mute all of the thumb, or none of it"),
          new Shortcut("x", "hit: click, palm, nail, tip, slap, heel"),
          new Shortcut(">", "the next chord comes here"),
          new Shortcut("Delete", "take out what is there"),
          new Shortcut("+ −", "cut the beats finer, coarser"),
          new Shortcut("Page Up, Down", "other bars of a long pattern"),
          new Shortcut("h", "hear it on the chord"));

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
