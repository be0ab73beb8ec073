package phalanx.desktop;

import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.StringBinding;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;
import phalanx.desktop.model.Workspace;
import phalanx.instrument.Hand;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.song.History;
import phalanx.song.Song;

/** The song's settings as chips; those with a mark open a small choice. */
final class TopBar extends HBox {

  /** Tempos to choose from, quarter notes a minute. */
  private static final List<Double> TEMPOS =
      List.of(50.0, 60.0, 70.0, 80.0, 92.0, 104.0, 116.0, 132.0, 152.0);

  private static final List<Integer> CAPOS = List.of(0, 1, 2, 3, 4, 5, 6, 7);

  private final Workspace workspace;

  TopBar(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("top-bar");
    Label title = new Label();
    title.setId("song-title");
    title.getStyleClass().add("song-title");
    title.setMinWidth(60);
    title.textProperty().bind(fact(Song::title));
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    getChildren().addAll(mark(), title, keyChip(), chip(s -> s.meter().toString()));
    getChildren().add(chip(s -> "Tuning " + s.guitar().tuning()));
    getChildren()
        .addAll(
            choice(
                "capo",
                s -> "Capo " + (s.guitar().capo() == 0 ? "none" : s.guitar().capo()),
                CAPOS,
                c -> c == 0 ? "no capo" : "fret " + c,
                (s, c) -> s.withGuitar(s.guitar().withCapo(c))),
            choice(
                "hand",
                s -> "Hand " + sizeWords(s.hand().size()),
                List.of(Hand.Size.values()),
                TopBar::sizeWords,
                (s, size) -> s.withHand(Hand.of(size))),
            choice(
                "school",
                s -> s.school().words(),
                List.of(HandSchool.values()),
                HandSchool::words,
                Song::withSchool),
            choice(
                "pattern",
                s -> s.pattern().title(),
                List.of(AlternatingThumb.values()),
                AlternatingThumb::words,
                Song::withPattern),
            choice(
                "tempo",
                s -> "♩ = %.0f".formatted(s.tempo()),
                TEMPOS,
                "%.0f"::formatted,
                Song::withTempo),
            grow,
            step("undo", "Undo", workspace::undo, h -> h.canUndo()),
            step("redo", "Redo", workspace::redo, h -> h.canRedo()));
  }

  private static String sizeWords(Hand.Size size) {
    return size.name().toLowerCase();
  }

  /** Four fingers on a string: the program's mark. */
  private static SVGPath mark() {
    SVGPath mark = new SVGPath();
    mark.setContent(
        "M2 10h3.6v13h-3.6z M7.2 5h3.6v18h-3.6z M12.4 3h3.6v20h-3.6z M17.6 6h3.6v17h-3.6z");
    mark.getStyleClass().add("mark");
    return mark;
  }

  private StringBinding fact(Function<Song, String> words) {
    return Bindings.createStringBinding(
        () -> words.apply(workspace.song()), workspace.historyProperty());
  }

  private Label keyChip() {
    return chip(s -> s.key().map(k -> "Key " + k).orElse("Key not named"));
  }

  private Label chip(Function<Song, String> words) {
    Label chip = new Label();
    chip.getStyleClass().add("chip");
    chip.textProperty().bind(fact(words));
    return chip;
  }

  /** An edit with a chosen value. */
  private interface Edit<T> {
    Song apply(Song song, T value);
  }

  private <T> MenuButton choice(
      String id,
      Function<Song, String> words,
      List<T> values,
      Function<T, String> name,
      Edit<T> edit) {
    MenuButton button = new MenuButton();
    button.setId(id);
    button.getStyleClass().add("chip-button");
    button.textProperty().bind(fact(words));
    ToggleGroup group = new ToggleGroup();
    for (T value : values) {
      RadioMenuItem item = new RadioMenuItem(name.apply(value));
      item.setToggleGroup(group);
      item.setOnAction(e -> workspace.edit(song -> edit.apply(song, value)));
      button.getItems().add(item);
    }
    button.setOnShowing(
        e -> {
          for (int i = 0; i < values.size(); i++) {
            RadioMenuItem item = (RadioMenuItem) button.getItems().get(i);
            item.setSelected(isNow(edit, values.get(i)));
          }
        });
    return button;
  }

  private <T> boolean isNow(Edit<T> edit, T value) {
    return edit.apply(workspace.song(), value).equals(workspace.song());
  }

  private Button step(String id, String words, Runnable action, Predicate<History<Song>> possible) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("tool");
    button.setOnAction(e -> action.run());
    button
        .disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> !possible.test(workspace.historyProperty().get()),
                workspace.historyProperty()));
    return button;
  }
}
