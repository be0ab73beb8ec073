package phalanx.desktop.melody;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.MelodyViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;

/** The Melody screen: the tune typed bar by bar and drawn as it is typed. */
public final class MelodyScreen extends VBox {

  private final Workspace workspace;
  private final MelodyViewModel model;
  private final TextField field = new TextField();
  private final Label where = new Label();

  /**
   * For a workspace.
   *
   * @param importing lets the player choose a score to take the tune from
   */
  public MelodyScreen(Workspace workspace, Palette palette, Runnable importing) {
    this.workspace = workspace;
    model = workspace.models().melody();
    getStyleClass().add("arrange");
    where.setMinWidth(Region.USE_PREF_SIZE);
    where.getStyleClass().add("section-name");
    field.setId("tune-text");
    field.getStyleClass().add("tune-text");
    field.setPromptText(Texts.of("melodyScreen.typeTheTuneOf"));
    HBox.setHgrow(field, Priority.ALWAYS);
    field.textProperty().addListener((o, before, now) -> model.type(now));
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    field
        .focusedProperty()
        .addListener(
            (o, before, now) -> {
              if (!now) {
                model.keep();
              }
            });
    Button propose = new Button(Texts.of("melodyScreen.proposeALine"));
    propose.setId("propose-tune");
    propose.getStyleClass().addAll("tool", "small-tool");
    propose.setMinWidth(Region.USE_PREF_SIZE);
    propose.setOnAction(e -> model.propose());
    // Only where there is nothing to lose.
    Runnable offer =
        () -> {
          boolean empty = workspace.song().tune().isEmpty();
          propose.setVisible(empty);
          propose.setManaged(empty);
        };
    workspace.historyProperty().addListener(o -> offer.run());
    offer.run();
    ToggleButton numbers = new ToggleButton(Texts.of("melodyScreen.numbers"));
    numbers.setId("tune-numbers");
    numbers.getStyleClass().addAll("tool", "small-tool");
    numbers.setMinWidth(Region.USE_PREF_SIZE);
    numbers.setTooltip(new Tooltip(Texts.of("melodyScreen.fretsOnTheStrings")));
    Button from = new Button(Texts.of("melodyScreen.import"));
    from.setId("import-tune");
    from.getStyleClass().addAll("tool", "small-tool");
    from.setMinWidth(Region.USE_PREF_SIZE);
    from.setTooltip(new Tooltip(Texts.of("melodyScreen.putTheTuneOf")));
    from.setOnAction(e -> importing.run());
    HBox entry = new ToolRow(where, field, numbers, from, propose);
    entry.getStyleClass().add("arrange-header");
    Label hint = new Label(Texts.of("melodyScreen.enterKeepAndGo"));
    hint.getStyleClass().add("where");
    Label trouble = new Label();
    trouble.setId("tune-trouble");
    trouble.getStyleClass().add("refusal");
    trouble.textProperty().bind(model.troubleProperty());
    trouble.visibleProperty().bind(model.troubleProperty().isNotEmpty());
    trouble.managedProperty().bind(trouble.visibleProperty());
    hint.visibleProperty().bind(model.troubleProperty().isEmpty());
    hint.managedProperty().bind(hint.visibleProperty());
    StaffView staves = new StaffView(workspace, palette);
    staves.numbersProperty().bind(numbers.selectedProperty());
    VBox.setVgrow(staves, Priority.ALWAYS);
    getChildren().addAll(entry, hint, trouble, staves, new NeckEntry(workspace, palette));
    model.textProperty().addListener(o -> fill());
    workspace.chord().placeProperty().addListener(o -> tell());
    workspace.arrangementProperty().addListener(o -> tell());
    fill();
  }

  private void fill() {
    if (!field.getText().equals(model.textProperty().get())) {
      field.setText(model.textProperty().get());
      field.end();
    }
    tell();
  }

  private void tell() {
    Optional<Integer> number =
        workspace.chord().bar().map(Bar::id).map(workspace.song()::barNumber);
    where.setText(
        number.map(n -> Texts.of("melodyScreen.bar", n)).orElse(Texts.of("melodyScreen.noBarYet")));
    field.setDisable(number.isEmpty());
  }

  private void key(KeyEvent event) {
    switch (event.getCode()) {
      case ENTER, DOWN -> model.step(1);
      case UP -> model.step(-1);
      case ESCAPE -> model.reload();
      default -> {
        return;
      }
    }
    event.consume();
  }

  /** The field, where keys go when the screen opens. */
  public Node field() {
    return field;
  }
}
