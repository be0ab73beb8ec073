package phalanx.desktop.shapes;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.arrangement.ShapeChoice;
import phalanx.fretting.Shape;

/** A shape to choose: its frets, the fingers, what it asks of the hand. Pressing it pins it. */
public final class ShapeCard extends Button {

  public ShapeCard(int number, ShapeChoice choice, boolean pinned, Consumer<Shape> pin) {
    setId("card-" + number);
    getStyleClass().add("card");
    if (choice.chosen()) {
      getStyleClass().add("chosen");
    }
    Label frets = new Label(choice.shape().fretText());
    frets.getStyleClass().add("card-frets");
    Label fingers = new Label(choice.handWords());
    fingers.getStyleClass().add("card-fingers");
    Label work = new Label(choice.spanWords());
    Label cost = new Label(costWords(choice, pinned) + choice.keptWords());
    VBox text = new VBox(fingers, work, cost);
    HBox row = new HBox(frets, text);
    row.getStyleClass().add("card-row");
    setGraphic(row);
    setMaxWidth(Double.MAX_VALUE);
    setAccessibleText(
        "%s, %s, %s, %s"
            .formatted(choice.shape(), fingers.getText(), work.getText(), cost.getText()));
    setOnAction(e -> pin.accept(choice.shape()));
  }

  private static String costWords(ShapeChoice choice, boolean pinned) {
    if (choice.chosen()) {
      return pinned ? "held now, pinned by you" : "held now";
    }
    double extra = choice.extraCost();
    if (Math.abs(extra) < 0.005) {
      return "as easy over the whole song";
    }
    return extra < 0
        ? "song easier by %.2f".formatted(-extra)
        : "song harder by %.2f".formatted(extra);
  }
}
