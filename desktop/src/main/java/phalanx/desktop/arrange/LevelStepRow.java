package phalanx.desktop.arrange;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.LevelStepViewModel;
import phalanx.desktop.model.Workspace;

/** The selected bars easier or fuller, and what the last step did. */
final class LevelStepRow extends VBox {

  private static final double GAP = 6;

  LevelStepRow(Workspace workspace) {
    super(GAP);
    LevelStepViewModel model = workspace.models().levelSteps();
    Button easier = Controls.smallTool("easier", "Easier [", () -> model.step(true));
    easier.setTooltip(new Tooltip("one step easier in the bars selected · ["));
    Button fuller = Controls.smallTool("fuller", "Fuller ]", () -> model.step(false));
    fuller.setTooltip(new Tooltip("one step fuller in the bars selected · ]"));
    easier.disableProperty().bind(model.searchingProperty());
    fuller.disableProperty().bind(model.searchingProperty());
    Label words = Controls.wrapped("", "where");
    words.setId("step-words");
    words.textProperty().bind(model.wordsProperty());
    words.managedProperty().bind(words.textProperty().isNotEmpty());
    getChildren().addAll(new HBox(GAP, easier, fuller), words);
  }
}
