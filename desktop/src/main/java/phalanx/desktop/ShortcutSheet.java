package phalanx.desktop;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What every key does, over the window; any key or click puts it away. */
final class ShortcutSheet extends StackPane {

  private static final List<List<String>> KEYS =
      List.of(
          List.of("← →", "chord before, chord after"),
          List.of("↑ ↓", "same place in the row above, below"),
          List.of("Home, End", "start and end of the song"),
          List.of("1 to 9", "pin that card’s shape"),
          List.of("P", "pin or unpin the shape held"),
          List.of("+ − 0", "larger, smaller, usual size (or Ctrl and wheel)"),
          List.of("Ctrl Z", "undo"),
          List.of("Ctrl Y", "redo (or Ctrl Shift Z)"),
          List.of("Ctrl O", "open a chart"),
          List.of("Tab", "next control"),
          List.of("F1", "this sheet"));

  ShortcutSheet() {
    setId("shortcuts");
    getStyleClass().add("sheet-back");
    GridPane grid = new GridPane();
    grid.getStyleClass().add("sheet-grid");
    for (int row = 0; row < KEYS.size(); row++) {
      Label key = new Label(KEYS.get(row).get(0));
      key.getStyleClass().add("sheet-key");
      grid.addRow(row, key, new Label(KEYS.get(row).get(1)));
    }
    Label title = new Label("Keys");
    title.getStyleClass().add("section-name");
    Label caution =
        new Label(
            "Warm up before wide stretches and long barres. Stop when it hurts; pain, tingling or"
                + " numbness that lasts is for a doctor or physiotherapist.");
    caution.setWrapText(true);
    caution.getStyleClass().add("where");
    VBox sheet = new VBox(title, grid, caution);
    sheet.getStyleClass().add("sheet");
    sheet.setMaxSize(430, Region.USE_PREF_SIZE);
    getChildren().add(sheet);
    setAlignment(Pos.CENTER);
    setVisible(false);
    setOnMousePressed(e -> setVisible(false));
  }
}
