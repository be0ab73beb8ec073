package phalanx.desktop.guitar;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Slot;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.AdviceViewModel;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.ShapePicture;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Shape;
import phalanx.performance.Performance;

/** The way that is looked at: its chords as they would be held, and what to do with it. */
final class ChosenWay extends VBox {

  /** Chords that are drawn. */
  private static final int MOST = 9;

  private final AdviceViewModel model;
  private final Viewing viewing;
  private final Palette palette;
  private final FlowPane chords = new FlowPane();

  ChosenWay(Workspace workspace, Palette palette) {
    model = workspace.models().advice();
    viewing = workspace.viewing();
    this.palette = palette;
    setId("chosen-way");
    getStyleClass().add("chosen-way");
    chords.getStyleClass().add("chord-row");
    ToggleButton preview = new ToggleButton(Texts.of("chosenWay.seeItPlayedP"));
    preview.setId("preview-way");
    preview.getStyleClass().add("tool");
    preview.setMinWidth(Region.USE_PREF_SIZE);
    preview.selectedProperty().bindBidirectional(model.previewingProperty());
    HBox tools =
        new HBox(
            6, Controls.tool("use-way", Texts.of("chosenWay.useItInThis"), model::apply), preview);
    getChildren().addAll(chords, tools);
    model.previewProperty().addListener(o -> show());
    viewing.leftHandedProperty().addListener(o -> show());
    viewing.namingProperty().addListener(o -> show());
    show();
  }

  private void show() {
    chords.getChildren().clear();
    Optional<Performance> plan = model.previewProperty().get();
    if (plan.isEmpty()) {
      chords.getChildren().add(Controls.line(Texts.of("chosenWay.planning")));
      return;
    }
    Map<String, Shape> held = new LinkedHashMap<>();
    for (Slot slot : plan.get().arrangement().slots()) {
      slot.shape()
          .ifPresent(
              s ->
                  held.putIfAbsent(
                      slot.played().harmony().label(viewing.namingProperty().get()), s));
    }
    held.entrySet().stream().limit(MOST).forEach(e -> chord(e.getKey(), e.getValue()));
    if (held.size() > MOST) {
      chords.getChildren().add(Controls.line(Texts.of("chosenWay.andMore", held.size() - MOST)));
    }
  }

  private void chord(String name, Shape shape) {
    ShapePicture picture = new ShapePicture(palette);
    picture.show(shape, viewing.leftHandedProperty().get());
    VBox box = new VBox(Controls.styled(name, "chord-name"), picture);
    box.setAccessibleText(Texts.of("chosenWay.heldAs", name, shape));
    chords.getChildren().add(box);
  }
}
