package phalanx.desktop;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What every key does, over the window; any key or click puts it away. */
final class ShortcutSheet extends StackPane {

  private static final List<List<String>> EVERYWHERE =
      List.of(
          List.of("Everywhere"),
          List.of("Ctrl 1 to 5", "the screens, from Chart to Arrange"),
          List.of("Ctrl Z, Ctrl Y", "undo, redo (or Ctrl Shift Z)"),
          List.of("Ctrl N, Ctrl O", "new song, open"),
          List.of("Ctrl S", "save (with Shift: save as)"),
          List.of("Tab", "next control"),
          List.of("F1", "this sheet"),
          List.of("Arrange"),
          List.of("← →", "chord before, after; with Shift: select several"),
          List.of("↑ ↓", "same place in the row above, below"),
          List.of("Home, End", "start and end of the song"),
          List.of("1 to 9", "pin that card’s shape"),
          List.of("P", "pin or unpin the shapes selected"),
          List.of("F, Shift F", "next hard spot, the one before"),
          List.of("L", "list of hard spots"),
          List.of(", .", "note before, note after (or click one)"),
          List.of("Page Up, Down", "pin the note to another string; Delete: let go"),
          List.of("+ − 0", "larger, smaller, usual size"));

  private static final List<List<String>> CHART =
      List.of(
          List.of("Chart"),
          List.of("a letter", "type the bar anew"),
          List.of("Enter, F2", "correct the bar"),
          List.of("| while typing", "keep it, on to the next bar"),
          List.of("=5 . . D7 .", "as bar 5, but D7 on beat 3"),
          List.of("3/4 G", "another metre from here"),
          List.of("|", "new bar behind"),
          List.of("[ ]", "repeat from here, to here"),
          List.of("1 2", "first, second ending"),
          List.of("Shift and arrows", "select bars"),
          List.of("Ctrl C, X, V", "copy, cut, paste bars"),
          List.of("Alt ← →", "move bars"),
          List.of("Delete", "take bars out"),
          List.of("Ctrl Enter", "start or name a section"),
          List.of("Ctrl Backspace", "join with the section before"),
          List.of("Ctrl D", "section like this one"),
          List.of("Shapes"),
          List.of("Page Up, Down", "chord before, after"),
          List.of("arrows, Enter", "try a place on the neck"),
          List.of("1 to 9, P", "pin that card, the shape held"));

  private static final List<List<String>> PICKING =
      List.of(
          List.of("Picking"),
          List.of("arrows", "row and time"),
          List.of("Enter, o", "put a stroke in, take it out"),
          List.of("p i m a c", "a stroke by this finger"),
          List.of("! (", "accented, soft"),
          List.of("=", "the string stops here"),
          List.of("~", "tremolo of three"),
          List.of("/ \\", "roll upwards, downwards: quicker, slower"),
          List.of("Shift ↑ ↓", "brush down, up: all strings, fewer"),
          List.of("n", "the brush by nails or thumb"),
          List.of("x", "hit: click, palm, nail, tip, slap, heel"),
          List.of(">", "the next chord comes here"),
          List.of("Delete", "take out what is there"),
          List.of("+ −", "cut the beats finer, coarser"),
          List.of("Page Up, Down", "other bars of a long pattern"),
          List.of("Melody"),
          List.of("Enter, ↓", "keep the bar, on to the next"),
          List.of("↑", "the bar before"),
          List.of("Esc", "the bar as it was"));

  ShortcutSheet() {
    setId("shortcuts");
    getStyleClass().add("sheet-back");
    HBox columns = new HBox(grid(EVERYWHERE), grid(CHART), grid(PICKING));
    columns.getStyleClass().add("sheet-columns");
    Label title = new Label("Keys");
    title.getStyleClass().add("section-name");
    Label caution =
        new Label(
            "Warm up before wide stretches and long barres. Stop when it hurts; pain, tingling or"
                + " numbness that lasts is for a doctor or physiotherapist.");
    caution.setWrapText(true);
    caution.getStyleClass().add("where");
    VBox sheet = new VBox(title, columns, caution);
    sheet.getStyleClass().add("sheet");
    sheet.setMaxSize(1180, Region.USE_PREF_SIZE);
    getChildren().add(sheet);
    setAlignment(Pos.CENTER);
    setVisible(false);
    setOnMousePressed(e -> setVisible(false));
  }

  private static GridPane grid(List<List<String>> keys) {
    GridPane grid = new GridPane();
    grid.getStyleClass().add("sheet-grid");
    for (int row = 0; row < keys.size(); row++) {
      Label key = new Label(keys.get(row).get(0));
      boolean heading = keys.get(row).size() == 1;
      key.getStyleClass().add(heading ? "sheet-heading" : "sheet-key");
      if (heading) {
        grid.add(key, 0, row, 2, 1);
      } else {
        grid.addRow(row, key, new Label(keys.get(row).get(1)));
      }
    }
    return grid;
  }
}
