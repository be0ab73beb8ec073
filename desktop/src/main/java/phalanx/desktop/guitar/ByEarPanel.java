package phalanx.desktop.guitar;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.FretRow;
import phalanx.instrument.StringSign;
import phalanx.instrument.TuningByEar;
import phalanx.instrument.TuningCheck;
import phalanx.instrument.TuningStep;

/** Beside the guitar: how the tuning on the bench is reached by ear, one string after the other. */
final class ByEarPanel extends VBox {

  private final Workspace workspace;
  private final GuitarBench bench;
  private final VBox steps = new VBox(6);

  ByEarPanel(Workspace workspace) {
    this.workspace = workspace;
    bench = workspace.models().bench();
    setId("by-ear");
    getStyleClass().add("side-part");
    Label title = Controls.styled(Texts.of("byEarPanel.tuneByEar"), "inspector-title");
    Label about = Controls.line(Texts.of("byEarPanel.withoutTheCapoNo"));
    Button hear =
        Controls.tool("hear-against", Texts.of("byEarPanel.hearTheToneT"), bench::hearAgainst);
    Button next = Controls.tool("next-string", Texts.of("byEarPanel.nextStringN"), bench::next);
    Button check =
        Controls.tool("hear-check", Texts.of("byEarPanel.hearTheCheckC"), bench::hearCheck);
    HBox tools = new ToolRow(hear, next, check);
    tools.setSpacing(6);
    ScrollPane scroll = Controls.scroll(steps);
    steps.getStyleClass().add("cards");
    getChildren().addAll(title, about, tools, scroll);
    bench.sheetProperty().addListener(o -> show());
    bench.stepProperty().addListener(o -> show());
    show();
  }

  private void show() {
    TuningByEar way = bench.sheetProperty().get().byEar();
    steps.getChildren().clear();
    String first = StringSign.of(way.first());
    steps
        .getChildren()
        .add(
            step(
                0,
                Texts.of("byEarPanel.fromTheTone", first),
                List.of(Texts.of("byEarPanel.orFromATuning"))));
    for (int s = 0; s < way.steps().size(); s++) {
      TuningStep step = way.steps().get(s);
      List<String> check =
          step.check().map(c -> List.of(Texts.of("byEarPanel.check", c.words()))).orElse(List.of());
      steps.getChildren().add(step(s + 1, step.comparison(), check));
    }
    bench.sheetProperty().get().check().ifPresent(c -> steps.getChildren().add(check(c)));
    steps.getChildren().add(Controls.line(Texts.of("byEarPanel.theNeckSettlesUnder")));
  }

  /** All strings at once, in a chord that needs few fingers. */
  private Label check(TuningCheck check) {
    String name = workspace.viewing().namingProperty().get().name(check.root());
    return Controls.wrapped(
        Texts.of(
            "byEarPanel.nowCheck",
            name,
            check.minor() ? Texts.of("byEarPanel.minor") : "",
            FretRow.text(check.frets())),
        "step-title");
  }

  private VBox step(int number, String words, List<String> more) {
    Label title = Controls.wrapped((number + 1) + "  " + words, "step-title");
    VBox box = new VBox(title);
    more.forEach(m -> box.getChildren().add(Controls.line(m)));
    box.getStyleClass().add("step");
    if (bench.stepProperty().get() == number) {
      box.getStyleClass().add("now");
      box.setId("step-now");
    }
    box.setOnMouseClicked(e -> bench.stepProperty().set(number));
    return box;
  }
}
