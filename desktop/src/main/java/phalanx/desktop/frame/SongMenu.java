package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import phalanx.desktop.files.DemoSongs;
import phalanx.desktop.files.Documents;
import phalanx.desktop.model.Viewing;
import phalanx.theory.NoteNaming;

/** Opens and saves songs. */
public final class SongMenu extends MenuButton {

  private final Menu recent = new Menu("Recent");
  private final SongController songs;

  SongMenu(SongController songs, Documents documents, Viewing viewing) {
    super("Song");
    this.songs = songs;
    setId("song-menu");
    setMinWidth(USE_PREF_SIZE);
    getStyleClass().add("chip-button");
    recent.setId("recent");
    getItems()
        .addAll(
            item("New    Ctrl N", songs::startNew),
            item("Open …    Ctrl O", songs::chooseAndOpen),
            recent,
            demo(),
            new SeparatorMenuItem(),
            item("Save    Ctrl S", songs::save),
            item("Save as …    Ctrl Shift S", songs::saveAs),
            item("Export …    Ctrl E", songs::export),
            new SeparatorMenuItem(),
            names(viewing));
    documents.remembered().property().addListener(o -> list(documents));
    list(documents);
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }

  /** The demo songs, where the start script says they lie. */
  private Menu demo() {
    Menu menu = new Menu("Demo songs");
    for (Path file : DemoSongs.files()) {
      menu.getItems().add(item(DemoSongs.name(file), () -> songs.open(file)));
    }
    menu.setVisible(!menu.getItems().isEmpty());
    return menu;
  }

  /** How notes are called, wherever one is. */
  private static Menu names(Viewing viewing) {
    Menu menu = new Menu("Note names");
    ToggleGroup group = new ToggleGroup();
    for (NoteNaming naming : NoteNaming.values()) {
      RadioMenuItem item = new RadioMenuItem(naming.words());
      item.setToggleGroup(group);
      item.setOnAction(e -> viewing.namingProperty().set(naming));
      menu.getItems().add(item);
    }
    menu.setOnShowing(
        e -> {
          int now = viewing.namingProperty().get().ordinal();
          ((RadioMenuItem) menu.getItems().get(now)).setSelected(true);
        });
    return menu;
  }

  private void list(Documents documents) {
    List<Path> files = documents.remembered().property().get().recent();
    recent.setDisable(files.isEmpty());
    recent
        .getItems()
        .setAll(
            files.stream()
                .map(f -> item(f.getFileName() + "    " + f.getParent(), () -> songs.open(f)))
                .toList());
  }
}
