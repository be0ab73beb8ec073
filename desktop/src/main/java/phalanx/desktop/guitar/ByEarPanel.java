package phalanx.desktop.guitar;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.Workspace;
import phalanx.instrument.StringSign;
import phalanx.instrument.TuningByEar;
import phalanx.instrument.TuningStep;

/** Beside the guitar: how the tuning on the bench is reached by ear, one string after the other. */
public final class ByEarPanel extends VBox {

  private final GuitarBench bench;
  private final VBox steps = new VBox(6);

  ByEarPanel(Workspace workspace) {
    bench = workspace.bench();
    setId("by-ear");
    getStyleClass().add("inspector");
    Label title = new Label("Tune by ear");
    title.getStyleClass().add("inspector-title");
    Label about =
        GuitarScreen.line(
            "Without the capo. No string is further than two comparisons from the first.");
    Button hear = GuitarScreen.tool("hear-against", "Hear the tone T");
    hear.setOnAction(e -> bench.hearAgainst());
    Button next = GuitarScreen.tool("next-string", "Next string N");
    next.setOnAction(e -> bench.next());
    HBox tools = new HBox(6, hear, next);
    ScrollPane scroll = new ScrollPane(steps);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    steps.getStyleClass().add("cards");
    VBox.setVgrow(scroll, Priority.ALWAYS);
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
        .add(step(0, first + " from the tone", List.of("or from a tuning fork or another guitar")));
    for (int s = 0; s < way.steps().size(); s++) {
      TuningStep step = way.steps().get(s);
      List<String> check = step.check().map(c -> List.of("Check: " + c.words())).orElse(List.of());
      steps.getChildren().add(step(s + 1, step.comparison(), check));
    }
    steps
        .getChildren()
        .add(
            GuitarScreen.line(
                "Then all six together. The neck settles under another pull: go round once more after ten"
                    + " minutes."));
  }

  private VBox step(int number, String words, List<String> more) {
    Label title = new Label((number + 1) + "  " + words);
    title.getStyleClass().add("step-title");
    title.setWrapText(true);
    title.setMinHeight(USE_PREF_SIZE);
    VBox box = new VBox(title);
    more.forEach(m -> box.getChildren().add(GuitarScreen.line(m)));
    box.getStyleClass().add("step");
    if (bench.stepProperty().get() == number) {
      box.getStyleClass().add("now");
      box.setId("step-now");
    }
    box.setOnMouseClicked(e -> bench.stepProperty().set(number));
    return box;
  }
}
