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
            sign("accent", Texts.of("strokeBar.accent"), "!"),
            sign("soft", Texts.of("strokeBar.soft"), "("),
            sign("stop", Texts.of("strokeBar.stop"), "="),
            sign("tremolo", Texts.of("strokeBar.tremolo"), "~"),
            sign("mute", Texts.of("strokeBar.mute"), "u"),
            button("mute-p", Texts.of("strokeBar.muteP"), "⇧U", () -> grid.apply("U")),
            sign("roll", Texts.of("strokeBar.roll"), "/"),
            sign("roll-back", Texts.of("strokeBar.roll"), "\\"),
            button("brush", Texts.of("strokeBar.brush"), "⇧↑", () -> grid.brush(true)),
            button("brush-up", Texts.of("strokeBar.brush"), "⇧↓", () -> grid.brush(false)),
            sign("nails", Texts.of("strokeBar.nails"), "n"),
            sign("hit", Texts.of("strokeBar.hit"), "x"),
            sign("next-chord", Texts.of("strokeBar.nextChord"), ">"));
  }

  private Button sign(String id, String words, String sign) {
    return button(id, words, sign, () -> grid.apply(sign));
  }

  private static Button button(String id, String words, String key, Runnable does) {
    Button button = new Button(words + " " + key);
    button.setId("stroke-" + id);
    button.getStyleClass().addAll("tool", "small-tool", "stroke-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> does.run());
    return button;
  }
}
