package phalanx.desktop.arrange;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import phalanx.arrangement.board.ChordParts;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** Whether the selected chord is held in one shape throughout, or in several. */
final class PartsMenu extends MenuButton {

  private final Workspace workspace;

  PartsMenu(Workspace workspace) {
    this.workspace = workspace;
    setId("parts");
    getStyleClass().add("chip-button");
    setMinWidth(USE_PREF_SIZE);
    setTooltip(new Tooltip(Texts.of("partsMenu.oneChordMayBe")));
    workspace.arrangementProperty().addListener(o -> tell());
    workspace.chord().placeProperty().addListener(o -> tell());
    tell();
  }

  private void tell() {
    Optional<ChordParts> parts = workspace.pins().parts();
    setVisible(parts.isPresent());
    setManaged(parts.isPresent());
    parts.ifPresent(this::show);
  }

  private void show(ChordParts parts) {
    int count = parts.parts().size();
    setText(count == 1 ? Texts.of("partsMenu.inOneShape") : Texts.of("partsMenu.inShapes", count));
    List<MenuItem> items =
        parts.beats().stream()
            .map(
                beat ->
                    item(
                        Texts.of("partsMenu.anotherShapeFrom", beat.word()),
                        "part-" + beat.word(),
                        () -> workspace.pins().beginPart(beat)))
            .toList();
    getItems().setAll(items);
    if (count > 1) {
      getItems()
          .add(
              item(
                  Texts.of("partsMenu.thisShapeForThe"),
                  "part-whole",
                  () -> workspace.pins().holdWhole()));
    }
    setDisable(getItems().isEmpty() || parts.parts().get(parts.here()).shape().isEmpty());
  }

  private static MenuItem item(String words, String id, Runnable does) {
    MenuItem item = new MenuItem(words);
    item.setId(id);
    item.setOnAction(e -> does.run());
    return item;
  }
}
