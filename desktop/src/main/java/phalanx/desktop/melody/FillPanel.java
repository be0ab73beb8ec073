package phalanx.desktop.melody;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.advice.FittedFill;
import phalanx.colour.Fill;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.FillDesk;
import phalanx.desktop.model.Workspace;
import phalanx.instrument.StringSign;

/** The shelf of fills beside the tune: one is looked at, heard, and put into the selected bar. */
final class FillPanel extends VBox {

  private static final List<Integer> LENGTHS = List.of(1, 2, 4, 8);

  private final FillDesk desk;
  private final VBox cards = new VBox();
  private final ToggleButton bluesy = toggle("fill-bluesy", "bluesy B");
  private final Label says = Controls.wrapped("", "where");
  private final VBox open;

  FillPanel(Workspace workspace) {
    desk = workspace.desks().fills();
    setId("fills");
    getStyleClass().add("side-part");
    cards.getStyleClass().add("cards");
    says.setId("fill-says");
    HBox tools =
        new HBox(
            6,
            Controls.smallTool("hear-fill", "Hear", desk::hear),
            Controls.smallTool("put-fill", "Put into this bar", desk::put));
    open = new VBox(says, tools);
    open.getStyleClass().add("chosen-way");
    bluesy.setOnAction(e -> desk.switchColour());
    getChildren()
        .addAll(
            Controls.line("At the end of the selected bar, over its last chord."),
            lengths(),
            Controls.scroll(cards));
    desk.beatsProperty().addListener(o -> show());
    desk.chosenProperty().addListener(o -> show());
    desk.colourProperty().addListener(o -> show());
    desk.answerProperty().addListener(o -> tell());
    show();
  }

  private static ToggleButton toggle(String id, String words) {
    ToggleButton button = new ToggleButton(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  private HBox lengths() {
    HBox row = new ToolRow();
    row.setSpacing(4);
    for (int beats : LENGTHS) {
      ToggleButton length = toggle("fill-beats-" + beats, beats == 1 ? "1 beat" : beats + "");
      length.setAccessibleText(beats + " beats");
      length.setOnAction(
          e ->
              desk.beatsProperty()
                  .set(length.isSelected() ? Optional.of(beats) : Optional.empty()));
      desk.beatsProperty()
          .addListener(
              o -> length.setSelected(desk.beatsProperty().get().equals(Optional.of(beats))));
      row.getChildren().add(length);
    }
    row.getChildren().add(bluesy);
    return row;
  }

  private void show() {
    bluesy.setSelected(desk.colourProperty().get() == Fill.Colour.BLUESY);
    cards.getChildren().clear();
    for (Fill fill : desk.shown()) {
      cards.getChildren().add(card(fill));
    }
    tell();
  }

  private VBox card(Fill fill) {
    Label name = Controls.styled(fill.name(), "card-fingers");
    String beats = fill.beats() == 1 ? "1 beat" : fill.beats() + " beats";
    Label about = Controls.styled(fill.about() + " · " + beats, "card-line");
    Label degrees = Controls.styled(fill.lines().get(desk.colourProperty().get()), "card-line");
    Button card = new Button();
    card.setId("fill-" + fill.name().toLowerCase(Locale.ROOT).replace(' ', '-'));
    card.setGraphic(new VBox(name, about, degrees));
    card.getStyleClass().add("card");
    card.setMaxWidth(Double.MAX_VALUE);
    card.setAccessibleText(fill.name() + ", " + about.getText() + ", " + degrees.getText());
    boolean chosen = desk.chosenProperty().get().equals(Optional.of(fill));
    card.setOnAction(e -> desk.chosenProperty().set(chosen ? Optional.empty() : Optional.of(fill)));
    if (!chosen) {
      return new VBox(card);
    }
    card.getStyleClass().add("chosen");
    return new VBox(card, open);
  }

  private void tell() {
    FillDesk.Answer answer = desk.answerProperty().get();
    says.setText(
        !answer.known()
            ? "trying it in this bar …"
            : answer.fitted().map(FillPanel::words).orElse("This bar has no room for it."));
    open.lookupAll(".tool").forEach(b -> b.setDisable(answer.fitted().isEmpty()));
  }

  private static String words(FittedFill fitted) {
    String places =
        fitted.notes().stream()
            .map(n -> StringSign.of(n.string()) + n.fret())
            .collect(Collectors.joining("  "));
    String hard =
        fitted.hard().isEmpty()
            ? "nothing is hard"
            : "hard: " + fitted.hard().get(0).finding().message();
    return places + "\n" + hard;
  }
}
