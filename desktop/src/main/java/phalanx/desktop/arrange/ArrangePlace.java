package phalanx.desktop.arrange;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.Place;
import phalanx.desktop.screen.Shortcut;

/** The Arrange screen. */
public final class ArrangePlace extends Place<ArrangeView, Inspector> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut("← →", "chord before, after; with Shift: select several"),
          new Shortcut("↑ ↓", "same place in the row above, below"),
          new Shortcut("Home, End", "start and end of the song"),
          new Shortcut("double click", "play from that chord; drag: loop bars"),
          new Shortcut("1 to 9", "pin that card’s shape"),
          new Shortcut("P", "pin or unpin the shapes selected"),
          new Shortcut("F, Shift F", "next hard spot, the one before"),
          new Shortcut("L", "list of hard spots"),
          new Shortcut(", .", "note before, note after (or click one)"),
          new Shortcut("Page Up, Down", "pin the note to another string; Delete: let go"),
          new Shortcut("+ − 0", "larger, smaller, usual size"));

  private final Workspace workspace;

  /** Puts the screen together. */
  public ArrangePlace(Workspace workspace, ChartCursor cursor, Palette palette) {
    super(new ArrangeView(workspace, cursor, palette), new Inspector(workspace, palette));
    this.workspace = workspace;
  }

  @Override
  public Node keyboard() {
    return middle().keyboard();
  }

  @Override
  public boolean key(KeyEvent event) {
    KeyCode code = event.getCode();
    if (code == KeyCode.P) {
      workspace.pins().toggle();
    } else if (code == KeyCode.F) {
      workspace.desks().findings().step(event.isShiftDown() ? -1 : 1);
    } else if (code == KeyCode.L) {
      middle().toggleFindings();
    } else if (digit(code) > 0) {
      beside().pinCard(digit(code));
    } else {
      return false;
    }
    return true;
  }
}
