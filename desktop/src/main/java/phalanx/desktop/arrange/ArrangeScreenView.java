package phalanx.desktop.arrange;

import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.fills.FillPanel;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.screen.SideTabs;
import phalanx.draft.Manner;
import phalanx.embellishment.Fill;
import phalanx.formats.fills.OwnFills;
import phalanx.formats.manners.OwnManners;

/** The Arrange screen. */
public final class ArrangeScreenView extends ScreenView<ArrangeView, SideTabs> {

  /** The place of the drafts beside the screen. */
  private static final int DRAFTS = 2;

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
          new Shortcut("D", "more, less in the bars selected: density"),
          new Shortcut("[ ]", "the bars selected one step easier, fuller"),
          new Shortcut("W", "ways to begin: whole arrangements to choose from"),
          new Shortcut("B", "fills: major or bluesy"),
          new Shortcut("H", "lanes of the fretting fingers folded, open"),
          new Shortcut("+ − 0", "larger, smaller, usual size"));

  private final Workspace workspace;

  private final Inspector inspector;

  /**
   * Puts the screen together.
   *
   * @param fills the player's own fills
   * @param manners the player's own manners of arranging
   */
  public ArrangeScreenView(
      Workspace workspace,
      ChartCursor cursor,
      OwnShelf<OwnFills, Fill> fills,
      OwnShelf<OwnManners, Manner> manners,
      Palette palette) {
    this(workspace, cursor, fills, manners, palette, new Inspector(workspace, palette));
  }

  private ArrangeScreenView(
      Workspace workspace,
      ChartCursor cursor,
      OwnShelf<OwnFills, Fill> fills,
      OwnShelf<OwnManners, Manner> manners,
      Palette palette,
      Inspector inspector) {
    super(
        new ArrangeView(workspace, cursor, palette),
        new SideTabs(
            "arrange-side",
            List.of(
                new SideTabs.Tab("part-chord", "Chord", () -> inspector),
                new SideTabs.Tab(
                    "part-fills", "Fills", () -> new FillPanel(workspace, fills, palette)),
                new SideTabs.Tab(
                    "part-drafts", "Drafts", () -> new DraftPanel(workspace, manners, palette)))));
    BooleanBinding begins = workspace.models().drafts().undecidedProperty();
    beside()
        .tab(DRAFTS)
        .textProperty()
        .bind(Bindings.when(begins).then("Ways to begin").otherwise("Drafts"));
    this.workspace = workspace;
    this.inspector = inspector;
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
      workspace.models().findings().step(event.isShiftDown() ? -1 : 1);
    } else if (code == KeyCode.L) {
      middle().toggleFindings();
    } else if (digit(code) > 0) {
      inspector.pinCard(digit(code));
    } else if (code == KeyCode.D) {
      workspace.models().density().next();
    } else if (code == KeyCode.OPEN_BRACKET || code == KeyCode.CLOSE_BRACKET) {
      workspace.models().levelSteps().step(code == KeyCode.OPEN_BRACKET);
    } else if (code == KeyCode.H) {
      middle().fold();
    } else if (code == KeyCode.W) {
      beside().openProperty().set(DRAFTS);
      workspace.models().drafts().searchByKey();
    } else if (code == KeyCode.B) {
      workspace.models().fills().switchColour();
    } else {
      return false;
    }
    return true;
  }
}
