package phalanx.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import phalanx.desktop.files.Remembered;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Harmony;
import phalanx.song.Patterns;
import phalanx.song.Song;

/**
 * Three steps for a first start: chords, a pattern, the hard spots. Each is ticked off when it is
 * done; the row goes away by itself after the last, and does not come back.
 */
final class FirstSteps extends HBox {

  private static final Patterns USUAL = Song.untitled().patterns();

  private final Workspace workspace;
  private final Remembered remembered;
  private final List<Step> steps;
  private boolean patternLooked;
  private boolean spotLooked;

  private record Step(String words, Screen screen, BooleanSupplier done, Button button) {}

  FirstSteps(Workspace workspace, Remembered remembered) {
    this.workspace = workspace;
    this.remembered = remembered;
    setId("first-steps");
    getStyleClass().add("first-steps");
    steps =
        List.of(
            step(1, Texts.of("firstSteps.typeChords"), Screen.CHART, this::hasChords),
            step(2, Texts.of("firstSteps.chooseAPattern"), Screen.PICKING, () -> patternLooked),
            step(3, Texts.of("firstSteps.lookAtHardSpots"), Screen.ARRANGE, () -> spotLooked));
    Label heading = new Label(Texts.of("firstSteps.toBeginWith"));
    heading.getStyleClass().add("where");
    heading.setMinWidth(Region.USE_PREF_SIZE);
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button close = new Button("×");
    close.setId("first-steps-close");
    close.setAccessibleText(Texts.of("firstSteps.putTheFirstSteps"));
    close.getStyleClass().addAll("tool", "small-tool");
    close.setOnAction(e -> remembered.knowsSteps());
    getChildren().add(heading);
    steps.forEach(s -> getChildren().add(s.button()));
    getChildren().addAll(grow, close);
    workspace.historyProperty().addListener(o -> show());
    workspace.screenProperty().addListener(o -> show());
    workspace.models().findings().currentProperty().addListener(o -> show());
    remembered.property().addListener(o -> show());
    show();
  }

  private Step step(int number, String words, Screen screen, BooleanSupplier done) {
    Button button = new Button();
    button.setId("first-step-" + number);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> workspace.screenProperty().set(screen));
    return new Step(number + "  " + words, screen, done, button);
  }

  private boolean hasChords() {
    return workspace.song().chart().bars().stream()
        .flatMap(b -> b.changes().stream())
        .anyMatch(c -> c.harmony() instanceof Harmony.Sounding);
  }

  private void show() {
    boolean known = remembered.property().get().knowsSteps();
    boolean shown = !known && remembered.isRead();
    setVisible(shown);
    setManaged(shown);
    if (!shown) {
      return;
    }
    patternLooked |=
        workspace.screenProperty().get() == Screen.PICKING
            || hasChords() && !workspace.song().patterns().equals(USUAL);
    spotLooked |= workspace.models().findings().currentProperty().get().isPresent();
    List<Step> left = new ArrayList<>();
    for (Step step : steps) {
      boolean done = step.done().getAsBoolean();
      step.button().setText((done ? "✓  " : "") + step.words());
      step.button().setDisable(done);
      if (!done) {
        left.add(step);
      }
    }
    if (left.isEmpty()) {
      remembered.knowsSteps();
    }
  }
}
