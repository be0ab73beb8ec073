package phalanx.desktop.practice;

import java.time.LocalDate;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.practice.Drill;

/** The log at a glance: how the drill at hand came on, and the thumb, week by week. */
final class LogPanel extends VBox {

  private final PracticeViewModel model;
  private final WeeksChart tempo;
  private final WeeksChart thumb;
  private final Label which = Controls.wrapped("", "where");

  LogPanel(PracticeViewModel model, Palette palette, Runnable exportLog) {
    this.model = model;
    setId("practice-log");
    getStyleClass().add("side-part");
    tempo = new WeeksChart("tempo-weeks", palette);
    thumb = new WeeksChart("thumb-weeks", palette);
    getChildren()
        .addAll(
            Controls.styled(Texts.of("logPanel.cleanTempoOfThis"), "form-title"),
            which,
            tempo,
            Controls.styled(Texts.of("logPanel.spreadOfTheThumb"), "form-title"),
            thumb,
            Controls.smallTool("export-log", Texts.of("logPanel.saveTheLogAs"), exportLog));
    model.drillProperty().addListener(o -> show());
    model.diaryProperty().addListener(o -> show());
    show();
  }

  private void show() {
    which.setText(
        model.drillProperty().get().map(Drill::title).orElse(Texts.of("logPanel.noDrillIsChosen")));
    tempo.paint(
        model.drillProperty().get().map(model::tempos).orElse(Map.of()),
        model
            .drillProperty()
            .get()
            .map(d -> OptionalDouble.of(d.tempo().goal()))
            .orElse(OptionalDouble.empty()));
    Map<LocalDate, Double> weeks = new TreeMap<>();
    model.diaryProperty().get().thumbSpread().forEach((w, s) -> weeks.put(w, 1000 * s));
    thumb.paint(weeks, OptionalDouble.empty());
  }
}
