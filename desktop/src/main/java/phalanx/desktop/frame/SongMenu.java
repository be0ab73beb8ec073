package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import phalanx.desktop.files.DemoSongs;
import phalanx.desktop.files.Documents;
import phalanx.desktop.files.Preferences;
import phalanx.desktop.model.Appearance;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.texts.Texts;
import phalanx.text.Language;
import phalanx.theory.NoteNaming;

/** Opens and saves songs. */
public final class SongMenu extends MenuButton {

  private final Menu recent = new Menu(Texts.of("songMenu.recent"));
  private final SongController songs;

  SongMenu(SongController songs, Documents documents, Viewing viewing, Runnable manual) {
    super(Texts.of("songMenu.song"));
    this.songs = songs;
    setId("song-menu");
    setMinWidth(USE_PREF_SIZE);
    getStyleClass().add("chip-button");
    recent.setId("recent");
    getItems()
        .addAll(
            item(Texts.of("songMenu.newCtrlN"), songs::startNew),
            item(Texts.of("songMenu.openCtrlO"), songs::chooseAndOpen),
            recent,
            demo(),
            new SeparatorMenuItem(),
            item(Texts.of("songMenu.saveCtrlS"), songs::save),
            item(Texts.of("songMenu.saveAsCtrlShift"), songs::saveAs),
            item(Texts.of("songMenu.exportCtrlE"), songs::export),
            new SeparatorMenuItem(),
            names(viewing),
            themes(viewing),
            sizes(viewing),
            calm(viewing),
            languages(viewing),
            item(Texts.of("songMenu.manualAndKeysF"), manual),
            item(Texts.of("songMenu.aboutPhalanx"), () -> About.show(getScene().getWindow())));
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
    Menu menu = new Menu(Texts.of("songMenu.demoSongs"));
    for (Path file : DemoSongs.files()) {
      menu.getItems().add(item(DemoSongs.name(file), () -> songs.open(file)));
    }
    menu.setVisible(!menu.getItems().isEmpty());
    return menu;
  }

  /** How notes are called, wherever one is. */
  private static Menu names(Viewing viewing) {
    Menu menu = new Menu(Texts.of("songMenu.noteNames"));
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

  /** Light, dark, or as the system has it. */
  private static Menu themes(Viewing viewing) {
    Menu menu = new Menu(Texts.of("songMenu.colours"));
    menu.setId("themes");
    ToggleGroup group = new ToggleGroup();
    for (Appearance.Theme theme : Appearance.Theme.values()) {
      RadioMenuItem item = new RadioMenuItem(theme.words());
      item.setId("theme-" + theme.name().toLowerCase(Locale.ROOT));
      item.setToggleGroup(group);
      item.setOnAction(e -> viewing.appearanceProperty().set(now(viewing).with(theme)));
      menu.getItems().add(item);
    }
    menu.setOnShowing(
        e ->
            ((RadioMenuItem) menu.getItems().get(now(viewing).theme().ordinal()))
                .setSelected(true));
    return menu;
  }

  /** How large everything is, from the next start on. */
  private Menu sizes(Viewing viewing) {
    Menu menu = new Menu(Texts.of("songMenu.size"));
    menu.setId("sizes");
    ToggleGroup group = new ToggleGroup();
    for (int percent : Appearance.SIZES) {
      RadioMenuItem item = new RadioMenuItem(percent + " %");
      item.setId("size-" + percent);
      item.setToggleGroup(group);
      item.setOnAction(e -> afterStart(viewing, now(viewing).sized(percent)));
      menu.getItems().add(item);
    }
    menu.setOnShowing(
        e -> {
          int at = Appearance.SIZES.indexOf(now(viewing).percent());
          if (at >= 0) {
            ((RadioMenuItem) menu.getItems().get(at)).setSelected(true);
          }
        });
    return menu;
  }

  /** Less that moves, for those whom it disturbs. */
  private static CheckMenuItem calm(Viewing viewing) {
    CheckMenuItem item = new CheckMenuItem(Texts.of("songMenu.calm"));
    item.setId("calm");
    item.setSelected(now(viewing).calm());
    viewing.appearanceProperty().addListener((o, before, now) -> item.setSelected(now.calm()));
    item.setOnAction(e -> viewing.appearanceProperty().set(now(viewing).calm(item.isSelected())));
    return item;
  }

  /** In which language, from the next start on; each is named in its own. */
  private Menu languages(Viewing viewing) {
    Menu menu = new Menu(Texts.of("songMenu.language"));
    menu.setId("languages");
    ToggleGroup group = new ToggleGroup();
    List<Optional<Language>> choices =
        Stream.concat(
                Stream.of(Optional.<Language>empty()),
                Stream.of(Language.values()).map(Optional::of))
            .toList();
    for (Optional<Language> choice : choices) {
      RadioMenuItem item =
          new RadioMenuItem(
              choice.map(Language::title).orElse(Texts.of("songMenu.languageOfSystem")));
      item.setId("language-" + choice.map(Language::code).orElse("system"));
      item.setToggleGroup(group);
      item.setOnAction(e -> afterStart(viewing, now(viewing).speaking(choice)));
      menu.getItems().add(item);
    }
    menu.setOnShowing(
        e ->
            ((RadioMenuItem) menu.getItems().get(choices.indexOf(now(viewing).language())))
                .setSelected(true));
    return menu;
  }

  /** Takes what shows from the next start on, and offers that start. */
  private void afterStart(Viewing viewing, Appearance chosen) {
    if (!chosen.equals(now(viewing))) {
      viewing.appearanceProperty().set(chosen);
      songs.restart().offer();
    }
  }

  private static Appearance now(Viewing viewing) {
    return viewing.appearanceProperty().get();
  }

  private void list(Documents documents) {
    Preferences known = documents.remembered().property().get();
    List<Path> files = known.recent();
    recent.setDisable(files.isEmpty());
    recent
        .getItems()
        .setAll(
            files.stream()
                .map(
                    f ->
                        item(
                            f.getFileName() + level(known, f) + "    " + f.getParent(),
                            () -> songs.open(f)))
                .toList());
  }

  private static String level(Preferences known, Path file) {
    return Optional.ofNullable(known.levels().get(file))
        .map(l -> Texts.of("songMenu.level", l))
        .orElse("");
  }
}
