package phalanx.desktop.shapes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.fretting.FretRow;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.fretting.StretchRule;
import phalanx.theory.ChordName;

/** Frets of the player's own: typed or clicked, named, judged, pinned. */
final class OwnShapeRow extends ToolRow {

  private static final int NAMES = 4;

  private final Workspace workspace;
  private final ShapeTrialModel trials;
  private final TextField frets = new TextField();
  private final Label verdict = ShapesView.label("trial-verdict", "where");
  private final Button pinTrial = Controls.tool("pin-trial", "Pin these frets");
  private final Button backFromTrial = Controls.tool("stop-trial", "Back");

  OwnShapeRow(Workspace workspace, ShapeTrialModel trials) {
    this.workspace = workspace;
    this.trials = trials;
    Label name = new Label("Own shape");
    name.getStyleClass().add("row-name");
    frets.setId("own-frets");
    frets.getStyleClass().add("form-field");
    frets.setPrefColumnCount(9);
    frets.setPromptText("x32010");
    frets.setOnAction(
        e -> {
          if (!trials.type(frets.getText())) {
            verdict.setText("expected six frets from ⑥ to ①, x for a string that is silent");
          }
        });
    verdict.setWrapText(true);
    verdict.setMinWidth(0);
    verdict.setMinHeight(USE_PREF_SIZE);
    HBox.setHgrow(verdict, Priority.ALWAYS);
    verdict.setMaxWidth(Double.MAX_VALUE);
    pinTrial.setOnAction(
        e ->
            trials
                .trialProperty()
                .get()
                .filter(t -> t.frets().stream().anyMatch(f -> f != Shape.SILENT))
                .map(t -> new FretRow(t.frets()))
                .ifPresent(workspace.pins()::pin));
    pinTrial.setTooltip(
        new Tooltip("Pins the frets; the plan chooses the fingers by what comes before and after"));
    backFromTrial.setOnAction(e -> trials.stop());
    getChildren().addAll(name, frets, verdict, pinTrial, backFromTrial);
    getStyleClass().add("trial-row");
    trials.trialProperty().addListener(o -> show());
    workspace.arrangementProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  private void show() {
    Optional<ShapeTrial> trial = trials.trialProperty().get();
    pinTrial.setVisible(trial.isPresent());
    pinTrial.setManaged(trial.isPresent());
    backFromTrial.setVisible(trial.isPresent());
    backFromTrial.setManaged(trial.isPresent());
    pinTrial.setDisable(trial.map(t -> t.fingerings().isEmpty()).orElse(true));
    if (!frets.isFocused() || trial.isPresent()) {
      frets.setText(FretRow.text(trials.now()));
    }
    verdict.setText(
        trial
            .map(this::verdict)
            .orElse("click strings and frets on the neck, or type: it is named and judged"));
  }

  private String verdict(ShapeTrial trial) {
    List<String> words = new ArrayList<>();
    String names =
        trial.names().stream().limit(NAMES).map(this::name).collect(Collectors.joining(", or "));
    words.add(names.isEmpty() ? "no chord has just these notes" : names);
    trial.trouble().ifPresent(words::add);
    trial.fingerings().stream()
        .findFirst()
        .ifPresent(
            r -> {
              words.add("fingers " + r.shape().fingerText());
              Reach reach =
                  workspace.arrangementProperty().get().plan().problem().changes().reach();
              StretchRule.of(r.shape(), reach)
                  .ifPresent(f -> words.add(f.words() + ": warm up first, stop on strain"));
            });
    return String.join(" · ", words);
  }

  private String name(ChordName name) {
    String chord = workspace.viewing().namingProperty().get().name(name.chord());
    return name.rootless() ? chord + " without root" : chord;
  }
}
