package phalanx.desktop.arrange;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.LevelStepViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** The selected bars easier or fuller, and what the last step did. */
final class LevelStepRow extends VBox {

  private static final double GAP = 6;

  LevelStepRow(Workspace workspace) {
    super(GAP);
    LevelStepViewModel model = workspace.models().levelSteps();
    Button easier =
        Controls.smallTool("easier", Texts.of("levelStepRow.easier"), () -> model.step(true));
    easier.setTooltip(new Tooltip(Texts.of("levelStepRow.oneStepEasierIn")));
    Button fuller =
        Controls.smallTool("fuller", Texts.of("levelStepRow.fuller"), () -> model.step(false));
    fuller.setTooltip(new Tooltip(Texts.of("levelStepRow.oneStepFullerIn")));
    easier.disableProperty().bind(model.searchingProperty());
    fuller.disableProperty().bind(model.searchingProperty());
    Label words = Controls.wrapped("", "where");
    words.setId("step-words");
    words.textProperty().bind(model.wordsProperty());
    words.managedProperty().bind(words.textProperty().isNotEmpty());
    getChildren().addAll(new HBox(GAP, easier, fuller), words);
  }
}
