package phalanx.desktop.picking;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.PatternWords;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.files.OwnShelf;
import phalanx.desktop.model.PatternViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.PatternEdits;
import phalanx.picking.WrittenPattern;

/** The pattern's name, which can be typed over, how long it is, and the player's own shelf. */
final class PatternHeader extends ToolRow {

  /** Columns of the name's field, which grows with the name. */
  private static final int SHORTEST = 8;

  private final PatternViewModel model;
  private final TextField title = new TextField();
  private final Label about = new Label();
  private final Label bars = new Label();

  PatternHeader(Workspace workspace, OwnShelf<OwnPatterns, WrittenPattern> own) {
    model = workspace.models().patterns();
    getStyleClass().add("arrange-header");
    title.setId("pattern-title");
    title.getStyleClass().add("pattern-title");
    title.setOnAction(e -> rename());
    title
        .focusedProperty()
        .addListener(
            (o, before, now) -> {
              if (!now) {
                rename();
              }
            });
    about.getStyleClass().add("where");
    about.setMinWidth(Region.USE_PREF_SIZE);
    bars.setId("pattern-bars");
    bars.setMinWidth(Region.USE_PREF_SIZE);
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button vary =
        Controls.smallTool(
            "pattern-double",
            Texts.of("patternHeader.doubleToVary"),
            () -> model.become(PatternEdits.doubled(model.shownProperty().get())));
    Button halve =
        Controls.smallTool(
            "pattern-halve",
            Texts.of("patternHeader.halve"),
            () -> model.become(PatternEdits.halved(model.shownProperty().get())));
    Button hear =
        Controls.smallTool("hear-pattern", Texts.of("patternHeader.hearItH"), model::hear);
    Button save =
        Controls.smallTool(
            "save-mine",
            Texts.of("patternHeader.saveAsMine"),
            () -> {
              rename();
              own.put(model.shownProperty().get());
            });
    getChildren().addAll(title, about, grow, bars, hear, halve, vary, save);
    model.shownProperty().addListener(o -> tell());
    tell();
  }

  private void rename() {
    WrittenPattern shown = model.shownProperty().get();
    String name = title.getText().strip();
    if (name.isEmpty()) {
      tell();
    } else if (!name.equals(shownTitle(shown))) {
      model.become(shown.named(name, shown.words()));
    }
  }

  private static String shownTitle(WrittenPattern pattern) {
    return PatternWords.title(pattern);
  }

  private void tell() {
    WrittenPattern shown = model.shownProperty().get();
    title.setText(shownTitle(shown));
    // Letters of the name are narrower than the columns a field counts in.
    title.setPrefColumnCount(Math.max(SHORTEST, shownTitle(shown).length()));
    about.setText(PatternWords.about(shown));
    bars.setText(
        shown.bars() == 1
            ? Texts.of("patternHeader.oneBar")
            : Texts.of("patternHeader.bars", shown.bars()));
  }
}
