package phalanx.desktop.fills;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.advice.FillTry;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.Fill;
import phalanx.text.ShelfTexts;

/** A fill of the shelf: its name, its degrees, a small picture, whether it fits. */
final class FillCard extends VBox {

  private static final double PICTURE_WIDTH = 92;
  private static final double PICTURE_HEIGHT = 46;

  private final Fill fill;
  private final Button card = new Button();
  private final Label degrees = Controls.styled("", "card-line");
  private final Label fits = Controls.styled("", "card-line");
  private final FillPicture picture;

  private Shown shown = new Shown(null, null, false);

  /** What a card shows; of two tries only the same one is equal, for a plan is long to compare. */
  private record Shown(Fill.Colour colour, FillTry tried, boolean chosen) {

    boolean isSame(Shown other) {
      return colour == other.colour && tried == other.tried && chosen == other.chosen;
    }
  }

  FillCard(Fill fill, Palette palette, Runnable choose) {
    this.fill = fill;
    picture = new FillPicture(PICTURE_WIDTH, PICTURE_HEIGHT, palette);
    Label name = Controls.styled(ShelfTexts.of(fill.name()), "card-fingers");
    VBox words = new VBox(name, degrees, fits);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(words, picture);
    row.getStyleClass().add("card-row");
    card.setId(id(fill));
    card.setGraphic(row);
    card.getStyleClass().add("card");
    card.setMaxWidth(Double.MAX_VALUE);
    card.setOnAction(e -> choose.run());
    getChildren().add(card);
  }

  /** What a card is found by. */
  static String id(Fill fill) {
    return "fill-" + fill.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  /** Shows what is known of the fill. */
  void show(Fill.Colour colour, Optional<FillTry> tried, boolean chosen) {
    Shown now = new Shown(colour, tried.orElse(null), chosen);
    if (now.isSame(shown)) {
      return;
    }
    shown = now;
    degrees.setText(fill.lines().get(colour));
    String beats =
        fill.beats() == 1 ? Texts.of("fillCard.beat") : Texts.of("fillCard.beats", fill.beats());
    String known =
        tried
            .map(
                t ->
                    t.fits()
                        ? t.fitted().map(f -> where(f.position())).orElse("")
                        : Texts.of("fillCard.notHere"))
            .orElse("…");
    fits.setText(beats + " · " + known);
    picture.show(tried.flatMap(FillTry::fitted));
    card.setAccessibleText(
        ShelfTexts.of(fill.name()) + ", " + ShelfTexts.of(fill.about()) + ", " + fits.getText());
    card.getStyleClass().removeAll("chosen", "unfit");
    if (chosen) {
      card.getStyleClass().add("chosen");
    }
    if (tried.filter(t -> !t.fits()).isPresent()) {
      card.getStyleClass().add("unfit");
    }
  }

  private static String where(int fret) {
    return fret == 0 ? Texts.of("fillCard.openStrings") : Texts.of("fillCard.fromFret", fret);
  }
}
