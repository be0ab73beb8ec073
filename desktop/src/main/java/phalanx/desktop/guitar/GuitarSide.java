package phalanx.desktop.guitar;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.Workspace;

/** Beside the guitar: advice, tuning by ear, the guitar's build and the hand, one at a time. */
public final class GuitarSide extends VBox {

  /** What can stand beside the guitar. */
  enum Part {
    ADVICE("Advice"),
    BY_EAR("By ear"),
    BUILD("Guitar"),
    HAND("Hand");

    private final String words;

    Part(String words) {
      this.words = words;
    }
  }

  private final ObjectProperty<Part> part = new SimpleObjectProperty<>(Part.ADVICE);
  private final Map<Part, Supplier<Node>> makers = new EnumMap<>(Part.class);
  private final Map<Part, Node> made = new EnumMap<>(Part.class);
  private final StackPane room = new StackPane();

  GuitarSide(Workspace workspace, Palette palette) {
    setId("guitar-side");
    getStyleClass().add("inspector");
    makers.put(Part.ADVICE, () -> new AdvicePanel(workspace, palette));
    makers.put(Part.BY_EAR, () -> new ByEarPanel(workspace));
    makers.put(Part.BUILD, () -> GuitarForm.of(workspace));
    makers.put(Part.HAND, () -> new HandPanel(workspace));
    VBox.setVgrow(room, Priority.ALWAYS);
    getChildren().addAll(tabs(), room);
    part.addListener(
        o -> {
          workspace.advice().previewingProperty().set(false);
          show();
        });
    show();
  }

  private HBox tabs() {
    HBox tabs = new ToolRow();
    tabs.setSpacing(4);
    ToggleGroup group = new ToggleGroup();
    for (Part each : Part.values()) {
      ToggleButton tab = new ToggleButton(each.words);
      tab.setId("part-" + each.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
      tab.getStyleClass().addAll("tool", "small-tool");
      tab.setMinWidth(Region.USE_PREF_SIZE);
      tab.setToggleGroup(group);
      tab.setSelected(part.get() == each);
      // One part always stands there: pressing its tab again leaves it.
      tab.setOnAction(
          e -> {
            tab.setSelected(true);
            part.set(each);
          });
      part.addListener((o, before, now) -> tab.setSelected(now == each));
      tabs.getChildren().add(tab);
    }
    return tabs;
  }

  /** What stands there. */
  ObjectProperty<Part> partProperty() {
    return part;
  }

  private void show() {
    room.getChildren().setAll(made.computeIfAbsent(part.get(), p -> makers.get(p).get()));
  }
}
