package phalanx.desktop.picking;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.board.PatternFall;
import phalanx.arrangement.board.SpokenMotion;
import phalanx.desktop.drawing.ChoiceChips;
import phalanx.desktop.drawing.DensityMenu;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.PatternViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/**
 * The Picking screen: what the picking hand does, and how that falls on the chords of this song.
 */
public final class PickingScreen extends VBox {

  private static final double WIDTH = 826;

  /** What of the screen's width is its edges, px. */
  private static final double BESIDE = 30;

  private static final double GRID_HEIGHT = 352;
  private static final double FALLS_HEIGHT = 218;

  private final Workspace workspace;
  private final PatternViewModel model;
  private final PatternGrid grid;
  private final Region head = new Region();
  private final Label motion = new Label();
  private final Label refusal = new Label();

  public PickingScreen(
      Workspace workspace, OwnShelf<OwnPatterns, WrittenPattern> own, Palette palette) {
    this.workspace = workspace;
    model = workspace.models().patterns();
    grid = new PatternGrid(workspace, WIDTH, GRID_HEIGHT, palette);
    getStyleClass().add("arrange");
    setMinWidth(0);
    Label heading = new Label(Texts.of("pickingScreen.howItFallsOn"));
    heading.getStyleClass().add("form-title");
    motion.setId("motion");
    motion.getStyleClass().add("where");
    motion.setWrapText(true);
    motion.setMinHeight(Region.USE_PREF_SIZE);
    grid.fill(this, BESIDE);
    head.getStyleClass().add("playhead");
    head.setId("grid-playhead");
    head.setManaged(false);
    head.setMouseTransparent(true);
    head.setVisible(false);
    workspace.models().sound().placeProperty().addListener(o -> follow());
    FallsView falls = new FallsView(workspace, WIDTH, FALLS_HEIGHT, palette);
    falls.fill(this, BESIDE);
    refusal.setId("refusal");
    refusal.getStyleClass().add("refusal");
    refusal.textProperty().bind(model.refusalProperty());
    refusal.visibleProperty().bind(model.refusalProperty().isNotEmpty());
    refusal.managedProperty().bind(refusal.visibleProperty());
    motion.visibleProperty().bind(model.refusalProperty().isEmpty());
    motion.managedProperty().bind(motion.visibleProperty());
    model.fallsProperty().addListener(o -> say());
    say();
    getChildren()
        .addAll(
            new PatternHeader(workspace, own),
            tools(),
            new Pane(grid, head),
            new StrokeBar(grid),
            refusal,
            motion,
            heading,
            falls);
  }

  /** The line runs over the grid with what is heard, where that is the pattern shown. */
  private void follow() {
    OptionalDouble x = getScene() == null ? OptionalDouble.empty() : grid.heardX();
    head.setVisible(x.isPresent());
    x.ifPresent(at -> head.resizeRelocate(Math.round(at) - 1, 4, 2, grid.getHeight() - 8));
  }

  /** The motion of the first bars, counted. */
  private void say() {
    List<PatternFall> falls = model.fallsProperty().get();
    Meter meter = model.shownProperty().get().meter();
    motion.setText(
        falls.isEmpty()
            ? ""
            : SpokenMotion.of(falls.get(0), meter).stream()
                .map(m -> m.count() + " " + m.words())
                .collect(Collectors.joining("   ")));
  }

  private HBox tools() {
    ChoiceChips chips = new ChoiceChips(workspace);
    Label parts = new Label();
    parts.setId("grid-parts");
    parts.setMinWidth(Region.USE_PREF_SIZE);
    Button coarser = cut("grid-coarser", "−", -1);
    Button finer = cut("grid-finer", "+", 1);
    grid.onMoved(() -> parts.setText(partWords()));
    parts.setText(partWords());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    BreadthChips reach = new BreadthChips(workspace);
    // Who clicks where a pattern is played wants to go on in the grid.
    reach.addEventFilter(MouseEvent.MOUSE_CLICKED, e -> grid.requestFocus());
    HBox tools =
        new ToolRow(
            reach,
            density(),
            chips.school("hand-school"),
            chips.thumb("thumb-route"),
            softEnding(),
            grow,
            parts,
            coarser,
            finer);
    tools.getStyleClass().add("chart-tools");
    return tools;
  }

  /** How much of the pattern is played where it reaches. */
  private DensityMenu density() {
    DensityMenu menu =
        new DensityMenu(
            workspace,
            () -> List.of(model.scope()),
            () -> workspace.models().density().own(model.scope()));
    model.reachProperty().addListener(o -> menu.tell());
    return menu;
  }

  private ToggleButton softEnding() {
    ToggleButton soft = new ToggleButton(Texts.of("pickingScreen.softEnding"));
    soft.setId("soft-ending");
    soft.getStyleClass().addAll("tool", "small-tool");
    soft.setMinWidth(Region.USE_PREF_SIZE);
    soft.setAccessibleText(Texts.of("pickingScreen.brushTheLastChord"));
    workspace
        .historyProperty()
        .addListener(o -> soft.setSelected(workspace.song().patterns().softEnding()));
    soft.setSelected(workspace.song().patterns().softEnding());
    soft.setOnAction(e -> model.endSoftly(soft.isSelected()));
    return soft;
  }

  private String partWords() {
    return grid.parts() == 1
        ? Texts.of("pickingScreen.wholeBeats")
        : Texts.of("pickingScreen.aBeat", grid.parts());
  }

  private Button cut(String id, String words, int by) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setAccessibleText(
        by > 0
            ? Texts.of("pickingScreen.cutBeatsFiner")
            : Texts.of("pickingScreen.cutBeatsCoarser"));
    button.setOnAction(e -> grid.cut(grid.parts() + by));
    return button;
  }

  /** The grid, where keys go when the screen opens. */
  public Node grid() {
    return grid;
  }
}
