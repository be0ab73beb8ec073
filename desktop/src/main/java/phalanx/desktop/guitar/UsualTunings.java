package phalanx.desktop.guitar;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;

/** Tunings to lay on the bench: usual ones, and one of the player's own. */
final class UsualTunings extends VBox {

  private static final double CARD = 176;

  private final Workspace workspace;
  private final GuitarBench bench;
  private final FlowPane cards = new FlowPane();

  UsualTunings(Workspace workspace) {
    this.workspace = workspace;
    bench = workspace.models().bench();
    getStyleClass().add("bench-part");
    Label title = new Label(Texts.of("usualTunings.tunings"));
    title.getStyleClass().add("form-title");
    cards.getStyleClass().add("card-flow");
    cards.setPrefWrapLength(2 * CARD + 8);
    getChildren().addAll(title, own(), cards);
    bench.sheetProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  private VBox own() {
    TextField field = new TextField();
    field.setId("own-tuning");
    field.getStyleClass().add("form-field");
    field.setPromptText(Texts.of("usualTunings.yourOwnSixNotes"));
    Label fault = new Label();
    fault.setId("own-tuning-fault");
    fault.getStyleClass().add("form-fault");
    fault.managedProperty().bind(fault.visibleProperty());
    fault.setVisible(false);
    field.setOnAction(
        e -> {
          var typed = Tuning.parse(field.getText(), workspace.viewing().namingProperty().get());
          typed.ifPresent(bench.tuningProperty()::set);
          fault.setVisible(typed.isEmpty());
          fault.setText(Texts.of("usualTunings.sixNotesEachWithin"));
        });
    return new VBox(3, field, fault);
  }

  private void show() {
    cards.getChildren().clear();
    Tuning here = bench.sheetProperty().get().guitar().tuning();
    for (UsualTuning usual : UsualTuning.values()) {
      cards.getChildren().add(card(usual, usual.tuning().equals(here)));
    }
  }

  private Button card(UsualTuning usual, boolean chosen) {
    Label name = new Label(usual.words());
    name.getStyleClass().add("card-fingers");
    int changes = bench.changes(usual.tuning());
    String moved =
        changes == 0
            ? Texts.of("usualTunings.asNow")
            : changes == 1
                ? Texts.of("usualTunings.moves")
                : Texts.of("usualTunings.move", changes);
    String called = GuitarScreen.words(usual.tuning(), workspace.viewing().namingProperty().get());
    Label notes = new Label(called + " · " + moved);
    Button card = new Button();
    card.setId("tuning-" + usual.word());
    card.setGraphic(new VBox(name, notes));
    card.setAccessibleText(usual.words() + ": " + notes.getText());
    card.getStyleClass().add("card");
    card.setPrefWidth(CARD);
    card.setMinWidth(CARD);
    if (chosen) {
      card.getStyleClass().add("chosen");
    }
    card.setOnAction(e -> bench.tuningProperty().set(usual.tuning()));
    return card;
  }
}
