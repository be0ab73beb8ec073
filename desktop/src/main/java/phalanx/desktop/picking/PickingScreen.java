package phalanx.desktop.picking;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.ChoiceChips;
import phalanx.desktop.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.picking.PickingStyle;

/**
 * The Picking screen: what the picking hand does, and how that falls on the chords of this song.
 */
public final class PickingScreen extends VBox {

  private static final double WIDTH = 826;
  private static final double GRID_HEIGHT = 316;
  private static final double FALLS_HEIGHT = 206;

  private final Workspace workspace;
  private final PatternGrid grid;

  public PickingScreen(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    grid = new PatternGrid(workspace, WIDTH, GRID_HEIGHT, palette);
    getStyleClass().add("arrange");
    Label heading = new Label("How it falls on the chords of this song");
    heading.getStyleClass().add("form-title");
    Label hint =
        new Label(
            "A click, or arrows and Enter, puts a stroke in or takes it out. + and − cut the beats finer"
                + " or coarser. Fingers follow from the hand school, strings from the chord.");
    hint.getStyleClass().add("where");
    hint.setWrapText(true);
    hint.setMinHeight(Region.USE_PREF_SIZE);
    getChildren()
        .addAll(
            header(),
            tools(),
            grid,
            hint,
            heading,
            new FallsView(workspace, WIDTH, FALLS_HEIGHT, palette));
  }

  private HBox header() {
    Label title = new Label();
    title.setId("pattern-title");
    title.getStyleClass().add("section-name");
    Label about = new Label();
    about.getStyleClass().add("where");
    Runnable tell =
        () -> {
          PickingStyle style = workspace.song().pattern();
          title.setText(style.title().substring(0, 1).toUpperCase() + style.title().substring(1));
          about.setText(style.words());
        };
    workspace.historyProperty().addListener(o -> tell.run());
    tell.run();
    HBox header = new HBox(title, about);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  private HBox tools() {
    ChoiceChips chips = new ChoiceChips(workspace);
    MenuButton school = chips.school("hand-school");
    MenuButton thumb = chips.thumb("thumb-route");
    Label parts = new Label();
    parts.setId("grid-parts");
    Button coarser = cut("grid-coarser", "−", -1, parts);
    Button finer = cut("grid-finer", "+", 1, parts);
    parts.setText(partWords());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    HBox tools = new HBox(school, thumb, grow, parts, coarser, finer);
    tools.getStyleClass().add("chart-tools");
    return tools;
  }

  private String partWords() {
    return grid.parts() == 1 ? "whole beats" : grid.parts() + " parts a beat";
  }

  private Button cut(String id, String words, int by, Label parts) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setAccessibleText(by > 0 ? "cut beats finer" : "cut beats coarser");
    button.setOnAction(
        e -> {
          grid.cut(grid.parts() + by);
          parts.setText(partWords());
        });
    return button;
  }

  /** The grid, where keys go when the screen opens. */
  public Node grid() {
    return grid;
  }
}
