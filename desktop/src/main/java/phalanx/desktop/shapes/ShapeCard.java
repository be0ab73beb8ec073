package phalanx.desktop.shapes;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.neck.ShapePicture;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.CostDifference;
import phalanx.fretting.Shape;
import phalanx.text.Phrase;

/** A shape to choose: its frets, the fingers, what it asks of the hand. Pressing it pins it. */
public final class ShapeCard extends Button {

  /** Width in which frets and fingers stand side by side, px. */
  private static final double HEADING = 165;

  private static final String CHOSEN = "chosen";

  private final Consumer<Shape> pin;
  private final ShapePicture picture;
  private final Label frets = new Label();
  private final Label fingers = new Label();
  private final Label work = new Label();
  private final Label cost = new Label();

  /**
   * A card without a shape yet.
   *
   * @param number from 1, its key
   * @param pin takes the shape when the card is pressed
   */
  public ShapeCard(int number, Palette palette, Consumer<Shape> pin) {
    this.pin = pin;
    picture = new ShapePicture(palette);
    setId("card-" + number);
    getStyleClass().add("card");
    frets.getStyleClass().add("card-frets");
    fingers.getStyleClass().add("card-fingers");
    FlowPane heading = new FlowPane(10, 0, frets, fingers);
    heading.setPrefWrapLength(HEADING);
    heading.getStyleClass().add("card-heading");
    HBox row = new HBox(picture, new VBox(heading, work, cost));
    row.getStyleClass().add("card-row");
    setGraphic(row);
    setMaxWidth(Double.MAX_VALUE);
  }

  /**
   * Shows another shape; a card that stays on the screen costs no new layout of its nodes.
   *
   * @param pinned whether the shape held is pinned
   * @param leftHanded whether necks are drawn for a left-handed player
   */
  public void show(ShapeChoice choice, boolean pinned, boolean leftHanded) {
    if (choice.chosen() != getStyleClass().contains(CHOSEN)) {
      if (choice.chosen()) {
        getStyleClass().add(CHOSEN);
      } else {
        getStyleClass().remove(CHOSEN);
      }
    }
    picture.show(choice.shape(), leftHanded);
    frets.setText(choice.shape().fretText());
    fingers.setText(choice.handWords());
    work.setText(choice.spanWords());
    cost.setText(costWords(choice, pinned) + choice.keptWords());
    setAccessibleText(
        Phrase.of(
            "%s, %s, %s, %s", choice.shape(), fingers.getText(), work.getText(), cost.getText()));
    setOnAction(e -> pin.accept(choice.shape()));
  }

  private static String costWords(ShapeChoice choice, boolean pinned) {
    if (choice.chosen()) {
      return pinned ? Texts.of("shapeCard.heldYourPin") : Texts.of("shapeCard.heldNow");
    }
    return CostDifference.of(choice.extraCost()).words();
  }
}
