package phalanx.desktop.fills;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.advice.FittedRun;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.WalkViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.PairWalk;

/** Two strings that walk to the next chord: tried, heard, put in. */
final class WalkRow extends VBox {

  private final Workspace workspace;
  private final WalkViewModel model;
  private final Label target = Controls.styled("", "row-word");
  private final Label says = Controls.wrapped("", "where");
  private final Button hear;
  private final Button put;
  private final VBox open;

  WalkRow(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().walks();
    says.setId("walk-says");
    hear = Controls.smallTool("hear-walk", Texts.of("walkRow.hear"), model::hear);
    put = Controls.smallTool("put-walk", Texts.of("walkRow.putIntoThisBar"), model::put);
    HBox tools = new ToolRow();
    tools.setSpacing(6);
    tools.getChildren().addAll(hear, put);
    open = new VBox(says, tools);
    open.getStyleClass().add("chosen-way");
    HBox row = new ToolRow();
    row.setSpacing(3);
    target.setMinWidth(USE_PREF_SIZE);
    row.getChildren().add(target);
    for (PairWalk kind : PairWalk.values()) {
      row.getChildren().add(choice(kind));
    }
    row.getChildren().add(further(Texts.of("walkRow.down"), "walk-down", model.downProperty()));
    row.getChildren()
        .add(further(Texts.of("walkRow.eighths"), "walk-eighths", model.eighthsProperty()));
    getChildren().addAll(row, open);
    model.answerProperty().addListener(o -> show());
    model.kindProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> show());
    workspace.arrangementProperty().addListener(o -> show());
    // Nobody waits for a walk that is not on the screen any more.
    sceneProperty()
        .addListener(
            o -> {
              if (getScene() == null) {
                model.kindProperty().set(Optional.empty());
              }
            });
    show();
  }

  private ToggleButton choice(PairWalk kind) {
    ToggleButton one = new ToggleButton(words(kind));
    one.setId("walk-" + kind.words());
    one.getStyleClass().addAll("tool", "small-tool", "string-tool");
    one.setMinWidth(USE_PREF_SIZE);
    one.setAccessibleText(Texts.of("walkRow.walkToTheNext", words(kind)));
    one.setOnAction(
        e -> model.kindProperty().set(one.isSelected() ? Optional.of(kind) : Optional.empty()));
    model
        .kindProperty()
        .addListener(o -> one.setSelected(model.kindProperty().get().equals(Optional.of(kind))));
    return one;
  }

  private static String words(PairWalk kind) {
    return switch (kind) {
      case THIRDS -> Texts.of("walkRow.thirds");
      case SIXTHS -> Texts.of("walkRow.sixths");
      case TENTHS -> Texts.of("walkRow.tenths");
    };
  }

  private static ToggleButton further(String words, String id, BooleanProperty chosen) {
    ToggleButton one = new ToggleButton(words);
    one.setId(id);
    one.getStyleClass().addAll("tool", "small-tool", "string-tool");
    one.setMinWidth(USE_PREF_SIZE);
    one.setAccessibleText(Texts.of("walkRow.walk", words));
    one.selectedProperty().bindBidirectional(chosen);
    return one;
  }

  private void show() {
    target.setText(
        model
            .target()
            .map(
                c -> Texts.of("walkRow.walkTo", workspace.viewing().namingProperty().get().name(c)))
            .orElse(Texts.of("walkRow.walkNoChordFollows")));
    open.setVisible(model.kindProperty().get().isPresent());
    open.setManaged(open.isVisible());
    WalkViewModel.Answer answer = model.answerProperty().get();
    says.setText(
        !answer.known()
            ? Texts.of("walkRow.tryingItInThis")
            : answer.run().map(WalkRow::words).orElse(Texts.of("walkRow.noTwoStringsLead")));
    hear.setDisable(answer.run().isEmpty());
    put.setDisable(answer.run().isEmpty());
  }

  private static String words(FittedRun run) {
    String hard =
        run.hard().stream()
            .findFirst()
            .map(f -> Texts.of("walkRow.but", f.finding().message()))
            .orElse(Texts.of("walkRow.nothingIsHard"));
    return run.allPlaces(" · ") + "\n" + hard;
  }
}
