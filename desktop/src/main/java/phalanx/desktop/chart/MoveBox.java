package phalanx.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.control.ComboBox;
import phalanx.chart.Transposition;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.theory.Key;

/** The keys the whole song can be moved to. */
final class MoveBox extends ComboBox<String> {

  private final Workspace workspace;

  /** While its choices change nothing is chosen by the player. */
  private boolean filling;

  /** While the song is moved the box still tells of the choice: its choices must stay. */
  private boolean moving;

  MoveBox(Workspace workspace) {
    this.workspace = workspace;
    setId("move-to");
    setPromptText(Texts.of("moveBox.anotherKey"));
    getStyleClass().add("form-field");
    setMaxWidth(Double.MAX_VALUE);
    setOnAction(e -> move(getSelectionModel().getSelectedIndex()));
    workspace.historyProperty().addListener(o -> follow());
    workspace.viewing().namingProperty().addListener(o -> follow());
    fill();
  }

  private void move(int chosen) {
    if (chosen >= 0 && !filling) {
      moving = true;
      workspace.resettle(s -> Transposition.bySemitones(s, chosen + 1));
      moving = false;
    }
  }

  private void follow() {
    if (moving) {
      Platform.runLater(this::fill);
    } else {
      fill();
    }
  }

  private void fill() {
    filling = true;
    List<String> words = new ArrayList<>();
    List<Key> keys = Transposition.keys(workspace.song());
    for (int up = 1; up < keys.size(); up++) {
      String name = keys.get(up).text(workspace.viewing().namingProperty().get());
      words.add(Texts.of("moveBox.upDown", name, up, 12 - up));
    }
    getItems().setAll(words);
    setValue(null);
    filling = false;
  }
}
