package phalanx.desktop.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.PatternWords;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.PatternViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.formats.patterns.PatternShelf;
import phalanx.picking.PickingStyle;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/** Beside the grid: the patterns to choose from, and what the hand says of the one in use. */
public final class ShelfPanel extends VBox {

  private static final double WIDTH = 320;
  private static final double PICTURE_WIDTH = 124;
  private static final double PICTURE_HEIGHT = 36;
  private static final double CARD_HEIGHT = 52;

  private final PatternViewModel model;
  private final OwnShelf<OwnPatterns, WrittenPattern> own;
  private final Palette palette;
  private final VBox shelf = new VBox();
  private final ScrollPane scroll = new ScrollPane(shelf);
  private Optional<PickingStyle> revealed = Optional.empty();

  public ShelfPanel(
      Workspace workspace, OwnShelf<OwnPatterns, WrittenPattern> own, Palette palette) {
    this.model = workspace.models().patterns();
    this.own = own;
    this.palette = palette;
    setId("shelf");
    getStyleClass().add("inspector");
    shelf.getStyleClass().add("cards");
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(scroll, new HandSays(workspace));
    model.shownProperty().addListener(o -> show());
    own.property().addListener(o -> show());
    show();
  }

  private void show() {
    Meter meter = model.shownProperty().get().meter();
    PickingStyle now = model.chosen();
    List<Node> cards = new ArrayList<>();
    List<WrittenPattern> mine =
        own.property().get().patterns().stream().filter(p -> p.meter().equals(meter)).toList();
    List<PickingStyle> shipped = PatternShelf.in(meter);
    if (!shipped.contains(now) && !mine.contains(now)) {
      cards.add(heading(Texts.of("shelfPanel.ofThisSong")));
      cards.add(card(now, meter, "pattern-here", false));
    }
    if (!mine.isEmpty()) {
      cards.add(heading(Texts.of("shelfPanel.myPatterns")));
      for (int m = 0; m < mine.size(); m++) {
        cards.add(card(mine.get(m), meter, "mine-" + (m + 1), true));
      }
    }
    cards.add(heading(Texts.of("shelfPanel.patterns")));
    for (int s = 0; s < shipped.size(); s++) {
      cards.add(card(shipped.get(s), meter, "pattern-" + (s + 1), false));
    }
    shelf.getChildren().setAll(cards);
    if (!revealed.equals(Optional.of(now))) {
      revealed = Optional.of(now);
      Platform.runLater(this::reveal);
    }
  }

  /** Scrolls to the pattern in use, once it has a place. */
  private void reveal() {
    shelf.applyCss();
    scroll.applyCss();
    scroll.layout();
    Node chosen = shelf.lookup(".chosen");
    double room = shelf.getHeight() - scroll.getViewportBounds().getHeight();
    if (chosen != null && room > 0) {
      double top = chosen.getBoundsInParent().getMinY() - CARD_HEIGHT;
      scroll.setVvalue(Math.max(0, Math.min(1, top / room)));
    }
  }

  private static Label heading(String words) {
    Label heading = new Label(words);
    heading.getStyleClass().add("form-title");
    return heading;
  }

  private Node card(PickingStyle style, Meter meter, String id, boolean removable) {
    Label title = new Label(PatternWords.title(style));
    title.getStyleClass().add("card-fingers");
    title.setWrapText(true);
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    title.setMinWidth(70);
    HBox row =
        new HBox(
            title,
            new PatternPicture(style.in(meter), meter, PICTURE_WIDTH, PICTURE_HEIGHT, palette));
    row.getStyleClass().add("card-row");
    Button button = new Button();
    button.setGraphic(row);
    button.setId(id);
    button.getStyleClass().add("card");
    if (style.equals(model.chosen())) {
      button.getStyleClass().add("chosen");
    }
    button.setMaxWidth(Double.MAX_VALUE);
    button.setMinHeight(USE_PREF_SIZE);
    button.setPrefHeight(CARD_HEIGHT);
    button.setAccessibleText(PatternWords.name(style) + ": " + PatternWords.about(style));
    button.setOnAction(e -> model.choose(style));
    return removable ? withRemoval(button, style.title(), id) : button;
  }

  private HBox withRemoval(Button card, String title, String id) {
    Button away = new Button("×");
    away.setId(id + "-remove");
    away.getStyleClass().addAll("tool", "small-tool");
    away.setAccessibleText(Texts.of("shelfPanel.takeFromMyShelf", title));
    away.setOnAction(e -> own.remove(title));
    HBox row = new HBox(4, card, away);
    row.getStyleClass().add("chart-tools");
    HBox.setHgrow(card, Priority.ALWAYS);
    return row;
  }
}
