package phalanx.desktop.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.PatternFall;
import phalanx.arrangement.PatternFall.Work;
import phalanx.desktop.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.formats.patterns.PatternShelf;
import phalanx.picking.PickFinger;
import phalanx.picking.PickingStyle;
import phalanx.theory.Meter;

/** Beside the grid: the patterns to choose from, and what the hand says of the one in use. */
public final class ShelfPanel extends VBox {

  private static final double WIDTH = 320;
  private static final double PICTURE_WIDTH = 112;
  private static final double PICTURE_HEIGHT = 36;
  private static final double CARD_HEIGHT = 54;

  private final Workspace workspace;
  private final Palette palette;
  private final VBox shelf = new VBox();
  private final Label says = new Label();

  public ShelfPanel(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    this.palette = palette;
    setId("shelf");
    getStyleClass().add("inspector");
    setMinWidth(WIDTH);
    setMaxWidth(WIDTH);
    Label heading = new Label("Patterns");
    heading.getStyleClass().add("form-title");
    shelf.getStyleClass().add("cards");
    ScrollPane scroll = new ScrollPane(shelf);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    says.setId("hand-says");
    says.getStyleClass().add("hand-says");
    says.setWrapText(true);
    says.setMaxWidth(Double.MAX_VALUE);
    says.setMinHeight(USE_PREF_SIZE);
    getChildren().addAll(heading, scroll, says);
    workspace.historyProperty().addListener(o -> show());
    workspace.fallsProperty().addListener(o -> say());
    show();
  }

  private void show() {
    Meter meter = workspace.song().meter();
    List<Node> cards = new ArrayList<>();
    PickingStyle now = workspace.song().pattern();
    List<PickingStyle> styles = new ArrayList<>(PatternShelf.in(meter));
    if (!styles.contains(now)) {
      styles.add(0, now);
    }
    for (PickingStyle style : styles) {
      cards.add(card(style, meter, cards.size() + 1));
    }
    shelf.getChildren().setAll(cards);
  }

  private Button card(PickingStyle style, Meter meter, int number) {
    Label title =
        new Label(style.title().substring(0, 1).toUpperCase() + style.title().substring(1));
    title.getStyleClass().add("card-fingers");
    title.setWrapText(true);
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    title.setPrefWidth(WIDTH - PICTURE_WIDTH - 84);
    title.setMinWidth(USE_PREF_SIZE);
    HBox row =
        new HBox(
            title,
            grow,
            new PatternPicture(style.in(meter), meter, PICTURE_WIDTH, PICTURE_HEIGHT, palette));
    row.getStyleClass().add("card-row");
    Button button = new Button();
    button.setGraphic(row);
    button.setId("pattern-" + number);
    button.getStyleClass().add("card");
    if (style.equals(workspace.song().pattern())) {
      button.getStyleClass().add("chosen");
    }
    button.setMaxWidth(Double.MAX_VALUE);
    button.setMinHeight(USE_PREF_SIZE);
    button.setPrefHeight(CARD_HEIGHT);
    button.setAccessibleText(style.title() + ": " + style.words());
    button.setOnAction(e -> workspace.edit(song -> song.withPattern(style)));
    return button;
  }

  private void say() {
    List<PatternFall> falls = workspace.fallsProperty().get();
    says.setVisible(!falls.isEmpty());
    if (falls.isEmpty()) {
      return;
    }
    PatternFall fall = falls.get(0);
    Map<PickFinger, Work> work = fall.work(workspace.song().tempo());
    String strokes =
        work.entrySet().stream()
            .map(e -> e.getKey().letter() + " " + e.getValue().strokes())
            .collect(Collectors.joining(" · "));
    String quickest =
        work.entrySet().stream()
            .min(
                (a, b) ->
                    Double.compare(a.getValue().quickestMillis(), b.getValue().quickestMillis()))
            .map(
                e ->
                    "quickest repeat: %s after %.0f ms at ♩ = %.0f"
                        .formatted(
                            e.getKey().letter(),
                            e.getValue().quickestMillis(),
                            workspace.song().tempo()))
            .orElse("");
    says.setText("What the hand says\nstrokes: " + strokes + "\n" + quickest);
  }
}
