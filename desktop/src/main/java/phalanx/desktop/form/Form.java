package phalanx.desktop.form;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import phalanx.desktop.drawing.Wording;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Song;

/** Rows of a name and a field, each of which shows and changes one thing of the song. */
public final class Form extends GridPane {

  private final Workspace workspace;
  private final Label fault = new Label();
  private int row;

  public Form(Workspace workspace, String title) {
    this.workspace = workspace;
    getStyleClass().add("form");
    Label heading = new Label(title);
    heading.getStyleClass().add("form-title");
    add(heading, 0, row++, 2, 1);
    fault.getStyleClass().add("form-fault");
    fault.setWrapText(true);
    fault.setVisible(false);
    fault.managedProperty().bind(fault.visibleProperty());
  }

  /** Ends the form: what is wrong with a field is said here. */
  public Form done() {
    add(fault, 0, row++, 2, 1);
    return this;
  }

  private void place(String name, Node field) {
    Label label = new Label(name);
    label.getStyleClass().add("form-name");
    label.setLabelFor(field);
    label.setMinWidth(USE_PREF_SIZE);
    addRow(row++, label, field);
    GridPane.setHgrow(field, Priority.ALWAYS);
  }

  /**
   * A line of text. What cannot be read is said and the song stays as it was.
   *
   * @param read the song with the text taken over; empty if it cannot be read
   */
  public TextField text(
      String id,
      String name,
      String expected,
      Function<Song, String> show,
      BiFunction<Song, String, Optional<Song>> read) {
    TextField field = new TextField(show.apply(workspace.song()));
    field.setId(id);
    field.getStyleClass().add("form-field");
    // What is being typed stays while something else of the song changes.
    StringProperty shown = new SimpleStringProperty(field.getText());
    shown.addListener((o, before, now) -> field.setText(now));
    Runnable take =
        () -> {
          String typed = field.getText().strip();
          if (typed.equals(show.apply(workspace.song()))) {
            settle(field, Optional.empty());
            return;
          }
          Optional<Song> next = attempt(read, typed);
          settle(
              field,
              next.isPresent()
                  ? Optional.empty()
                  : Optional.of(Texts.of("form.expected", expected)));
          next.ifPresent(song -> workspace.edit(now -> song));
        };
    field.setOnAction(e -> take.run());
    field
        .focusedProperty()
        .addListener(
            (o, before, focused) -> {
              if (!focused) {
                take.run();
              }
            });
    workspace
        .historyProperty()
        .addListener(
            o -> {
              shown.set(show.apply(workspace.song()));
              if (!field.isFocused()) {
                field.setText(shown.get());
                settle(field, Optional.empty());
              }
            });
    // What was typed for one song is not for the next.
    workspace
        .openedProperty()
        .addListener(
            o -> {
              field.setText(show.apply(workspace.song()));
              settle(field, Optional.empty());
            });
    workspace.viewing().namingProperty().addListener(o -> shown.set(show.apply(workspace.song())));
    place(name, field);
    return field;
  }

  private Optional<Song> attempt(BiFunction<Song, String, Optional<Song>> read, String typed) {
    try {
      return read.apply(workspace.song(), typed);
    } catch (IllegalArgumentException e) {
      // A value outside its range: the field says what range there is.
      return Optional.empty();
    }
  }

  private void settle(TextField field, Optional<String> trouble) {
    field.getStyleClass().remove("wrong");
    trouble.ifPresent(t -> field.getStyleClass().add("wrong"));
    fault.setText(trouble.orElse(""));
    fault.setVisible(trouble.isPresent());
  }

  /** A choice among values. */
  public <T> ComboBox<T> choice(
      String id,
      String name,
      List<T> values,
      Function<T, String> words,
      Function<Song, T> show,
      BiFunction<Song, T, Song> edit) {
    return choiceOf(id, name, song -> values, words, show, edit);
  }

  /**
   * The same among values that hang on the song.
   *
   * @param values those a song can have
   */
  public <T> ComboBox<T> choiceOf(
      String id,
      String name,
      Function<Song, List<T>> values,
      Function<T, String> words,
      Function<Song, T> show,
      BiFunction<Song, T, Song> edit) {
    ComboBox<T> box = new ComboBox<>();
    box.setId(id);
    box.getStyleClass().add("form-field");
    box.setMaxWidth(Double.MAX_VALUE);
    box.setConverter(new Wording<>(words));
    Runnable tell =
        () -> {
          List<T> possible = values.apply(workspace.song());
          if (!box.getItems().equals(possible)) {
            box.getItems().setAll(possible);
          }
          box.setValue(show.apply(workspace.song()));
        };
    tell.run();
    box.setOnAction(
        e -> {
          T value = box.getValue();
          if (value == null) {
            // A key has taken the choice away; the song still has one.
            Platform.runLater(() -> box.setValue(show.apply(workspace.song())));
          } else if (!value.equals(show.apply(workspace.song()))) {
            workspace.edit(song -> edit.apply(song, value));
          }
        });
    workspace.historyProperty().addListener(o -> tell.run());
    place(name, box);
    return box;
  }

  /** A yes or no. */
  public CheckBox tick(
      String id,
      String name,
      String words,
      Function<Song, Boolean> show,
      BiFunction<Song, Boolean, Song> edit) {
    CheckBox box = box(id, name, words);
    box.setSelected(show.apply(workspace.song()));
    box.setOnAction(e -> workspace.edit(song -> edit.apply(song, box.isSelected())));
    workspace.historyProperty().addListener(o -> box.setSelected(show.apply(workspace.song())));
    return box;
  }

  /** A yes or no that is no part of the song. */
  public void tick(String id, String name, String words, BooleanProperty on) {
    box(id, name, words).selectedProperty().bindBidirectional(on);
  }

  private CheckBox box(String id, String name, String words) {
    CheckBox box = new CheckBox(words);
    box.setWrapText(true);
    box.setId(id);
    place(name, box);
    return box;
  }

  /** Any other field under a name. */
  public void field(String name, Node field) {
    place(name, field);
  }
}
