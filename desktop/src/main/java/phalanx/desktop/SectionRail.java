package phalanx.desktop;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.desktop.model.Workspace;

/** The left rail: the screen that is open, and the song's sections to jump to. */
final class SectionRail extends VBox {

  private final Workspace workspace;
  private final VBox sections = new VBox();

  SectionRail(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("rail");
    Label screen = new Label("Arrange\nboth hands");
    screen.getStyleClass().add("rail-screen");
    Label heading = new Label("Jump to");
    heading.getStyleClass().add("rail-heading");
    heading.visibleProperty().bind(Bindings.isNotEmpty(sections.getChildren()));
    getChildren().addAll(screen, heading, sections);
    workspace.arrangementProperty().addListener(o -> show());
    workspace.selectedProperty().addListener(o -> mark());
  }

  private void show() {
    Arrangement arrangement = workspace.arrangementProperty().get();
    List<Node> buttons = new ArrayList<>();
    for (int s = 0; s < arrangement.song().sections().size(); s++) {
      String label = arrangement.song().sections().get(s).label();
      Button button = new Button(label.isEmpty() ? "Part " + (s + 1) : label);
      button.setId("section-" + (s + 1));
      button.getStyleClass().add("rail-section");
      button.setMaxWidth(Double.MAX_VALUE);
      int section = s;
      button.setOnAction(e -> jump(section));
      buttons.add(button);
    }
    sections.getChildren().setAll(buttons);
    mark();
  }

  private void jump(int section) {
    List<Slot> slots = workspace.arrangementProperty().get().slots();
    for (int i = 0; i < slots.size(); i++) {
      if (slots.get(i).played().ref().section() == section) {
        workspace.select(i);
        return;
      }
    }
  }

  private void mark() {
    int now = workspace.selectedSlot().map(s -> s.played().ref().section()).orElse(-1);
    for (int s = 0; s < sections.getChildren().size(); s++) {
      List<String> styles = sections.getChildren().get(s).getStyleClass();
      styles.remove("here");
      if (s == now) {
        styles.add("here");
      }
    }
  }
}
