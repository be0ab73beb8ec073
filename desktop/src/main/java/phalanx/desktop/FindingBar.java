package phalanx.desktop;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.model.FindingDesk;
import phalanx.desktop.model.Workspace;
import phalanx.review.Found;

/** What is hard in the song, one finding at a time, each with its ways out. */
final class FindingBar extends VBox {

  private final FindingDesk desk;
  private final Label words = new Label();
  private final Button close;
  private final FlowPane ways = new FlowPane(6, 4);

  FindingBar(Workspace workspace) {
    desk = workspace.findings();
    close = tool("finding-close", "×", desk::close);
    close.setAccessibleText("look at no finding");
    setId("finding-bar");
    getStyleClass().add("finding-bar");
    words.setId("finding-words");
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox row =
        new HBox(
            words,
            tool("finding-before", "‹", () -> desk.step(-1)),
            tool("finding-next", "Next F", () -> desk.step(1)),
            close);
    row.getStyleClass().add("arrange-header");
    getChildren().addAll(row, ways);
    workspace.reviewProperty().addListener(o -> show());
    desk.currentProperty().addListener(o -> show());
    desk.remediesProperty().addListener(o -> show());
    show();
  }

  private static Button tool(String id, String words, Runnable does) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> does.run());
    return button;
  }

  private void show() {
    List<Found> all = desk.all();
    boolean looking = desk.currentProperty().get().isPresent();
    setVisible(!all.isEmpty());
    setManaged(!all.isEmpty());
    close.setVisible(looking);
    close.setManaged(looking);
    if (!looking) {
      String count = all.size() == 1 ? "1 spot is hard" : all.size() + " spots are hard";
      words.setText(count + " in this song");
      ways.getChildren().clear();
      ways.setManaged(false);
      return;
    }
    Found found = desk.currentProperty().get().orElseThrow();
    words.setText(
        "%d of %d · bar %d: %s"
            .formatted(all.indexOf(found) + 1, all.size(), found.bar(), found.finding().message()));
    List<Node> buttons =
        desk.remediesProperty().get().stream()
            .<Node>map(r -> tool("", r.line(all.size()), () -> desk.take(r)))
            .toList();
    for (int b = 0; b < buttons.size(); b++) {
      buttons.get(b).setId("remedy-" + (b + 1));
    }
    ways.getChildren().setAll(buttons);
    ways.setManaged(!buttons.isEmpty());
  }
}
