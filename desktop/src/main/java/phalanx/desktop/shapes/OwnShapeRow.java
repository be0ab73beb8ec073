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
import phalanx.desktop.texts.Texts;
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
  private final Button pinTrial = Controls.tool("pin-trial", Texts.of("ownShapeRow.pinTheseFrets"));
  private final Button backFromTrial = Controls.tool("stop-trial", Texts.of("ownShapeRow.back"));

  OwnShapeRow(Workspace workspace, ShapeTrialModel trials) {
    this.workspace = workspace;
    this.trials = trials;
    Label name = new Label(Texts.of("ownShapeRow.ownShape"));
    name.getStyleClass().add("row-name");
    frets.setId("own-frets");
    frets.getStyleClass().add("form-field");
    frets.setPrefColumnCount(9);
    frets.setPromptText("x32010");
    frets.setOnAction(
        e -> {
          if (!trials.type(frets.getText())) {
            verdict.setText(Texts.of("ownShapeRow.expectedSixFretsFrom"));
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
    pinTrial.setTooltip(new Tooltip(Texts.of("ownShapeRow.pinsTheFretsThe")));
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
    verdict.setText(trial.map(this::verdict).orElse(Texts.of("ownShapeRow.clickStringsAndFrets")));
  }

  private String verdict(ShapeTrial trial) {
    List<String> words = new ArrayList<>();
    String names =
        trial.names().stream()
            .limit(NAMES)
            .map(this::name)
            .collect(Collectors.joining(Texts.of("ownShapeRow.or")));
    words.add(names.isEmpty() ? Texts.of("ownShapeRow.noChordHasJust") : names);
    trial.trouble().ifPresent(words::add);
    trial.fingerings().stream()
        .findFirst()
        .ifPresent(
            r -> {
              words.add(Texts.of("ownShapeRow.fingers", r.shape().fingerText()));
              Reach reach =
                  workspace.arrangementProperty().get().plan().problem().changes().reach();
              StretchRule.of(r.shape(), reach)
                  .ifPresent(f -> words.add(Texts.of("ownShapeRow.warmUpFirstStop", f.words())));
            });
    return String.join(" · ", words);
  }

  private String name(ChordName name) {
    String chord = workspace.viewing().namingProperty().get().name(name.chord());
    return name.rootless() ? Texts.of("ownShapeRow.withoutRoot", chord) : chord;
  }
}
