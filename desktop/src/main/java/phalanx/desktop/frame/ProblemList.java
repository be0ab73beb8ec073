package phalanx.desktop.frame;

import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** What of a file could not be read, each with its place; gone when all of it could. */
final class ProblemList extends HBox {

  private static final int MOST_SHOWN = 5;

  ProblemList(Workspace workspace) {
    getStyleClass().add("problems");
    Label label = new Label();
    label.setId("problems");
    label.setWrapText(true);
    label.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(label, Priority.ALWAYS);
    label
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> {
                  int more = workspace.problems().size() - MOST_SHOWN;
                  String words =
                      String.join("\n", workspace.problems().stream().limit(MOST_SHOWN).toList());
                  return more > 0 ? Texts.of("problemList.andMore", words, more) : words;
                },
                workspace.problems()));
    label.setMinHeight(Region.USE_PREF_SIZE);
    Button close = new Button(Texts.of("problemList.putAway"));
    close.setId("problems-away");
    close.getStyleClass().add("tool");
    close.setMinWidth(USE_PREF_SIZE);
    close.setOnAction(e -> workspace.problems().clear());
    getChildren().addAll(label, close);
    setAlignment(Pos.CENTER_LEFT);
    visibleProperty().bind(Bindings.isNotEmpty(workspace.problems()));
    label.visibleProperty().bind(visibleProperty());
    managedProperty().bind(visibleProperty());
  }
}
