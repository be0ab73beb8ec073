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
import phalanx.desktop.texts.Texts;

/** What every key does: the first page of the manual. */
final class ShortcutSheet extends VBox {

  private static final List<Shortcut> EVERYWHERE =
      List.of(
          new Shortcut(
              Texts.of("shortcutSheet.ctrlTo"), Texts.of("shortcutSheet.theScreensFromChart")),
          new Shortcut(
              Texts.of("shortcutSheet.ctrlZCtrlY"), Texts.of("shortcutSheet.undoRedoOrCtrl")),
          new Shortcut(Texts.of("shortcutSheet.ctrlNCtrlO"), Texts.of("shortcutSheet.newSongOpen")),
          new Shortcut(
              Texts.of("shortcutSheet.ctrlS"), Texts.of("shortcutSheet.saveWithShiftSave")),
          new Shortcut(
              Texts.of("shortcutSheet.ctrlE"), Texts.of("shortcutSheet.exportScoreTablatureData")),
          new Shortcut(
              Texts.of("shortcutSheet.space"), Texts.of("shortcutSheet.playPauseShiftStop")),
          new Shortcut(
              Texts.of("shortcutSheet.ctrlLCtrlM"),
              Texts.of("shortcutSheet.loopTheSelectionSound")),
          new Shortcut("Tab", Texts.of("shortcutSheet.nextControl")),
          new Shortcut("F1", Texts.of("shortcutSheet.thisManual")));

  private static final List<Shortcut> SIGNS =
      Stream.concat(
              TechniqueSigns.LEGEND.stream().map(l -> new Shortcut(l.sign(), l.meaning())),
              Stream.of(
                  new Shortcut(
                      Texts.of("shortcutSheet.withALetter"),
                      Texts.of("shortcutSheet.theStringIsStopped"))))
          .toList();

  private record Group(String title, List<Shortcut> keys) {}

  ShortcutSheet() {
    setId("shortcuts");
    HBox columns =
        new HBox(
            grid(
                new Group(Texts.of("shortcutSheet.everywhere"), EVERYWHERE),
                new Group(Texts.of("shortcutSheet.arrange"), ArrangeScreenView.SHORTCUTS)),
            grid(
                new Group(Texts.of("shortcutSheet.chart"), ChartScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.shapes"), ShapesScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.guitar"), GuitarScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.share"), ShareScreenView.SHORTCUTS)),
            grid(
                new Group(Texts.of("shortcutSheet.picking"), PickingScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.melody"), MelodyScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.practice"), PracticeScreenView.SHORTCUTS),
                new Group(Texts.of("shortcutSheet.signsOnStripAnd"), SIGNS)));
    columns.getStyleClass().add("sheet-columns");
    columns.getChildren().forEach(c -> HBox.setHgrow(c, Priority.ALWAYS));
    Label caution = new Label(Texts.of("shortcutSheet.warmUpBeforeWide"));
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
