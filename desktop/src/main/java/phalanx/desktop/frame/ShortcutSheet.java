package phalanx.desktop.frame;

import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.arrange.ArrangeScreenView;
import phalanx.desktop.chart.ChartScreenView;
import phalanx.desktop.drawing.TechniqueSigns;
import phalanx.desktop.guitar.GuitarScreenView;
import phalanx.desktop.melody.MelodyScreenView;
import phalanx.desktop.picking.PickingScreenView;
import phalanx.desktop.practice.PracticeScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.shapes.ShapesScreenView;
import phalanx.desktop.share.ShareScreenView;

/** What every key does: the first page of the manual. */
final class ShortcutSheet extends VBox {

  private static final List<Shortcut> EVERYWHERE =
      List.of(
          new Shortcut("Ctrl 1 to 8", "the screens, from Chart to Share"),
          new Shortcut("Ctrl Z, Ctrl Y", "undo, redo (or Ctrl Shift Z)"),
          new Shortcut("Ctrl N, Ctrl O", "new song, open"),
          new Shortcut("Ctrl S", "save (with Shift: save as)"),
          new Shortcut("Ctrl E", "export: score, tablature, data, sound"),
          new Shortcut("Space", "play, pause (Shift: stop; Ctrl: while typing)"),
          new Shortcut("Ctrl L, Ctrl M", "loop the selection, sound"),
          new Shortcut("Tab", "next control"),
          new Shortcut("F1", "this manual"));

  private static final List<Shortcut> SIGNS =
      Stream.concat(
              TechniqueSigns.LEGEND.stream().map(l -> new Shortcut(l.sign(), l.meaning())),
              Stream.of(new Shortcut("‖ with a letter", "the string is stopped, and by what")))
          .toList();

  private record Group(String title, List<Shortcut> keys) {}

  ShortcutSheet() {
    setId("shortcuts");
    HBox columns =
        new HBox(
            grid(
                new Group("Everywhere", EVERYWHERE),
                new Group("Arrange", ArrangeScreenView.SHORTCUTS)),
            grid(
                new Group("Chart", ChartScreenView.SHORTCUTS),
                new Group("Shapes", ShapesScreenView.SHORTCUTS),
                new Group("Guitar", GuitarScreenView.SHORTCUTS),
                new Group("Share", ShareScreenView.SHORTCUTS)),
            grid(
                new Group("Picking", PickingScreenView.SHORTCUTS),
                new Group("Melody", MelodyScreenView.SHORTCUTS),
                new Group("Practice", PracticeScreenView.SHORTCUTS),
                new Group("Signs on strip and staff", SIGNS)));
    columns.getStyleClass().add("sheet-columns");
    columns.getChildren().forEach(c -> HBox.setHgrow(c, Priority.ALWAYS));
    Label caution =
        new Label(
            "Warm up before wide stretches and long barres. Stop when it hurts; pain, tingling or"
                + " numbness that lasts is for a doctor or physiotherapist.");
    caution.setWrapText(true);
    caution.getStyleClass().add("where");
    getChildren().addAll(columns, caution);
  }

  private static GridPane grid(Group... groups) {
    GridPane grid = new GridPane();
    grid.getStyleClass().add("sheet-grid");
    int row = 0;
    for (Group group : groups) {
      grid.add(label(group.title(), "sheet-heading"), 0, row++, 2, 1);
      for (Shortcut key : group.keys()) {
        Label keys = label(key.keys(), "sheet-key");
        keys.setMinWidth(Region.USE_PREF_SIZE);
        Label does = new Label(key.does());
        does.setWrapText(true);
        grid.addRow(row++, keys, does);
      }
    }
    return grid;
  }

  private static Label label(String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    return label;
  }
}
