package phalanx.desktop.practice;

import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.model.Viewing;

/** The middle of the Practice screen: today’s drills, and the one at hand. */
public final class PracticeScreen extends HBox {

  private final DrillPanel drill;

  PracticeScreen(PracticeViewModel model, Viewing viewing, Palette palette) {
    setId("practice");
    getStyleClass().add("practice");
    TodayList today = new TodayList(model);
    drill = new DrillPanel(model, viewing, palette);
    drill.setMinWidth(0);
    HBox.setHgrow(drill, Priority.ALWAYS);
    getChildren().addAll(today, drill);
  }

  DrillPanel drill() {
    return drill;
  }
}
