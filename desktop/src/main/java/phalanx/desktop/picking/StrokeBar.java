package phalanx.desktop.picking;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.texts.Texts;

/** What can be done where the cursor is in the grid, each with its key. */
final class StrokeBar extends ToolRow {

  private final PatternGrid grid;

  StrokeBar(PatternGrid grid) {
    this.grid = grid;
    getStyleClass().add("stroke-bar");
    Label finger = new Label(Texts.of("strokeBar.oStrokePI"));
    finger.getStyleClass().add("where");
    finger.setMinWidth(Region.USE_PREF_SIZE);
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    getChildren()
        .addAll(
            finger,
            grow,
            sign("accent", "!"),
            sign("soft", "("),
            sign("stop", "="),
            sign("tremolo", "~"),
            sign("mute", "u"),
            button(Texts.of("strokeBar.muteP"), "⇧U", () -> grid.apply("U")),
            sign("roll", "/"),
            sign("roll", "\\"),
            brush("brush", "⇧↑", true),
            brush("brush", "⇧↓", false),
            sign("nails", "n"),
            sign("hit", "x"),
            sign(Texts.of("strokeBar.nextChord"), ">"));
  }

  private Button sign(String words, String sign) {
    return button(words, sign, () -> grid.apply(sign));
  }

  private Button brush(String words, String key, boolean down) {
    return button(words, key, () -> grid.brush(down));
  }

  private Button button(String words, String key, Runnable does) {
    Button button = new Button(words + " " + key);
    String way = key.equals("\\") ? "-back" : key.equals("⇧↓") ? "-up" : "";
    button.setId("stroke-" + words.replace(' ', '-') + way);
    button.getStyleClass().addAll("tool", "small-tool", "stroke-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> does.run());
    return button;
  }
}
