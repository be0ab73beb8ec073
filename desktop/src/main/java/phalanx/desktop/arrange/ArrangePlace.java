package phalanx.desktop.arrange;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.Place;
import phalanx.desktop.screen.Shortcut;

/** The Arrange screen. */
public final class ArrangePlace implements Place {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("← →", "chord before, after; with Shift: select several"),
          new Shortcut("↑ ↓", "same place in the row above, below"),
          new Shortcut("Home, End", "start and end of the song"),
          new Shortcut("1 to 9", "pin that card’s shape"),
          new Shortcut("P", "pin or unpin the shapes selected"),
          new Shortcut("F, Shift F", "next hard spot, the one before"),
          new Shortcut("L", "list of hard spots"),
          new Shortcut(", .", "note before, note after (or click one)"),
          new Shortcut("Page Up, Down", "pin the note to another string; Delete: let go"),
          new Shortcut("+ − 0", "larger, smaller, usual size"));

  private final Workspace workspace;
  private final ArrangeView middle;
  private final Inspector beside;

  /** Puts the screen together. */
  public ArrangePlace(Workspace workspace, ChartCursor cursor, Palette palette) {
    this.workspace = workspace;
    middle = new ArrangeView(workspace, cursor, palette);
    beside = new Inspector(workspace, palette);
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
    return middle.keyboard();
  }

  @Override
  public boolean key(KeyEvent event) {
    KeyCode code = event.getCode();
    if (code == KeyCode.P) {
      workspace.togglePin();
    } else if (code == KeyCode.F) {
      workspace.findings().step(event.isShiftDown() ? -1 : 1);
    } else if (code == KeyCode.L) {
      middle.toggleFindings();
    } else if (code.isDigitKey() && code != KeyCode.DIGIT0) {
      beside.pinCard(Integer.parseInt(code.getChar()));
    } else {
      return false;
    }
    return true;
  }
}
