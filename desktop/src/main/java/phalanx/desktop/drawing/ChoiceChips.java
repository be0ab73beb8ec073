package phalanx.desktop.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Region;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;
import phalanx.song.Song;

/** Chips that show one setting of the song and open its choices. */
public final class ChoiceChips {

  private final Workspace workspace;

  public ChoiceChips(Workspace workspace) {
    this.workspace = workspace;
  }

  /** An edit with a chosen value. */
  public interface Edit<T> {
    Song apply(Song song, T value);
  }

  /** The hand school. */
  public MenuButton school(String id) {
    return of(
        id,
        s -> s.school().words(),
        List.of(HandSchool.values()),
        HandSchool::words,
        Song::withSchool);
  }

  /** The thumb's way over the bass strings. */
  public MenuButton thumb(String id) {
    return of(
        id,
        s -> Texts.of("choiceChips.thumb", s.thumb().words()),
        List.of(ThumbRoute.values()),
        ThumbRoute::words,
        Song::withThumb);
  }

  /** A chip for one setting, whose choices are gathered when it opens. */
  public <T> MenuButton of(
      String id,
      Function<Song, String> words,
      List<T> values,
      Function<T, String> name,
      Edit<T> edit) {
    return of(id, words, () -> values, name, edit);
  }

  /** A chip whose choices depend on the song. */
  public <T> MenuButton of(
      String id,
      Function<Song, String> words,
      Supplier<List<T>> choices,
      Function<T, String> name,
      Edit<T> edit) {
    MenuButton button = new MenuButton();
    button.setId(id);
    button.getStyleClass().add("chip-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> words.apply(workspace.song()), workspace.historyProperty()));
    button.setOnShowing(e -> fill(button, choices.get(), name, edit));
    return button;
  }

  private <T> void fill(MenuButton button, List<T> values, Function<T, String> name, Edit<T> edit) {
    ToggleGroup group = new ToggleGroup();
    List<MenuItem> items = new ArrayList<>();
    for (T value : values) {
      RadioMenuItem item = new RadioMenuItem(name.apply(value));
      item.setToggleGroup(group);
      item.setSelected(isNow(edit, value));
      item.setOnAction(e -> workspace.edit(song -> edit.apply(song, value)));
      items.add(item);
    }
    button.getItems().setAll(items);
  }

  private <T> boolean isNow(Edit<T> edit, T value) {
    return edit.apply(workspace.song(), value).equals(workspace.song());
  }
}
