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
import phalanx.desktop.texts.Texts;
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
          new Shortcut("← →", Texts.of("arrangeScreenView.chordBeforeAfterWith")),
          new Shortcut("↑ ↓", Texts.of("arrangeScreenView.samePlaceInThe")),
          new Shortcut(
              Texts.of("arrangeScreenView.homeEnd"), Texts.of("arrangeScreenView.startAndEndOf")),
          new Shortcut(
              Texts.of("arrangeScreenView.doubleClick"),
              Texts.of("arrangeScreenView.playFromThatChord")),
          new Shortcut(
              Texts.of("arrangeScreenView.to"), Texts.of("arrangeScreenView.pinThatCardS")),
          new Shortcut("P", Texts.of("arrangeScreenView.pinOrUnpinThe")),
          new Shortcut(
              Texts.of("arrangeScreenView.fShiftF"), Texts.of("arrangeScreenView.nextHardSpotThe")),
          new Shortcut("L", Texts.of("arrangeScreenView.listOfHardSpots")),
          new Shortcut(", .", Texts.of("arrangeScreenView.noteBeforeNoteAfter")),
          new Shortcut(
              Texts.of("arrangeScreenView.pageUpDown"), Texts.of("arrangeScreenView.pinTheNoteTo")),
          new Shortcut("D", Texts.of("arrangeScreenView.moreLessInThe")),
          new Shortcut("[ ]", Texts.of("arrangeScreenView.theBarsSelectedOne")),
          new Shortcut("W", Texts.of("arrangeScreenView.waysToBeginWhole")),
          new Shortcut("B", Texts.of("arrangeScreenView.fillsMajorOrBluesy")),
          new Shortcut("H", Texts.of("arrangeScreenView.lanesOfTheFretting")),
          new Shortcut("+ − 0", Texts.of("arrangeScreenView.largerSmallerUsualSize")));

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
                new SideTabs.Tab(
                    "part-chord", Texts.of("arrangeScreenView.chord"), () -> inspector),
                new SideTabs.Tab(
                    "part-fills",
                    Texts.of("arrangeScreenView.fills"),
                    () -> new FillPanel(workspace, fills, palette)),
                new SideTabs.Tab(
                    "part-drafts",
                    Texts.of("arrangeScreenView.drafts"),
                    () -> new DraftPanel(workspace, manners, palette)))));
    BooleanBinding begins = workspace.models().drafts().undecidedProperty();
    beside()
        .tab(DRAFTS)
        .textProperty()
        .bind(
            Bindings.when(begins)
                .then(Texts.of("arrangeScreenView.waysToBegin"))
                .otherwise(Texts.of("arrangeScreenView.drafts")));
    this.workspace = workspace;
    this.inspector = inspector;
  }

  @Override
  public Node keyboard() {
    return middle().keyboard();
  }

  @Override
  public boolean zoom(int step) {
    middle().zoom(step);
    return true;
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
