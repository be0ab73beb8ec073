package phalanx.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** The left rail: the screens in the order of the work, and the song's sections to jump to. */
final class Rail extends VBox {

  private final Workspace workspace;
  private final VBox sections = new VBox();

  Rail(Workspace workspace, Screens screens) {
    this.workspace = workspace;
    getStyleClass().add("rail");
    Label heading = new Label(Texts.of("rail.jumpTo"));
    heading.getStyleClass().add("rail-heading");
    heading.visibleProperty().bind(Bindings.isNotEmpty(sections.getChildren()));
    screens.all().forEach(s -> getChildren().add(screenButton(s)));
    getChildren().addAll(heading, sections);
    workspace.arrangementProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> mark());
  }

  private Button screenButton(Screens.Entry screen) {
    Label title = new Label(screen.title());
    title.getStyleClass().add("rail-title");
    Label about = new Label(screen.about());
    about.getStyleClass().add("rail-about");
    Button button = new Button();
    button.setGraphic(new VBox(title, about));
    button.setId("screen-" + screen.id().name().toLowerCase(Locale.ROOT));
    button.setAccessibleText(screen.title() + ": " + screen.about());
    button.getStyleClass().add("rail-screen");
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(e -> workspace.screenProperty().set(screen.id()));
    Runnable show = () -> setHere(button, workspace.screenProperty().get() == screen.id());
    workspace.screenProperty().addListener(o -> show.run());
    show.run();
    return button;
  }

  private static void setHere(Node node, boolean here) {
    node.getStyleClass().remove("here");
    if (here) {
      node.getStyleClass().add("here");
    }
  }

  private void show() {
    Arrangement arrangement = workspace.arrangementProperty().get();
    List<Node> buttons = new ArrayList<>();
    for (int s = 0; s < arrangement.song().sections().size(); s++) {
      String label = arrangement.song().sections().get(s).label();
      Button button = new Button(label.isEmpty() ? Texts.of("rail.part", s + 1) : label);
      button.setId("section-" + (s + 1));
      button.getStyleClass().add("rail-section");
      button.setWrapText(true);
      button.setMinHeight(USE_PREF_SIZE);
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
      if (sectionOf(slots.get(i)) == section) {
        workspace.chord().select(i);
        return;
      }
    }
  }

  private int sectionOf(Slot slot) {
    return workspace.arrangementProperty().get().timeline().barOf(slot.played()).section();
  }

  private void mark() {
    int now = workspace.chord().slot().map(this::sectionOf).orElse(-1);
    for (int s = 0; s < sections.getChildren().size(); s++) {
      setHere(sections.getChildren().get(s), s == now);
    }
  }
}
