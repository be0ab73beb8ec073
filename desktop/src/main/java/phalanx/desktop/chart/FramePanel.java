package phalanx.desktop.chart;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.FrameViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.Frame;

/** Ways to begin and to end: a click lets one be heard, another key takes it. */
final class FramePanel extends VBox {

  private static final double GAP = 6;

  private final FrameViewModel model;
  private final Map<Frame, ToggleButton> ways = new EnumMap<>(Frame.class);
  private final Button take;
  private final Label pale = Controls.wrapped(Texts.of("framePanel.whatIsPaleThe"), "where");

  FramePanel(Workspace workspace) {
    super(GAP);
    model = workspace.models().frame();
    setId("frame-panel");
    FlowPane row = new FlowPane(GAP, GAP);
    for (Frame frame : Frame.values()) {
      ToggleButton way = new ToggleButton(frame.words());
      way.setId("frame-" + frame.name().toLowerCase(Locale.ROOT).replace('_', '-'));
      way.getStyleClass().addAll("tool", "small-tool");
      way.setMinWidth(Region.USE_PREF_SIZE);
      way.setTooltip(new Tooltip(Texts.of("framePanel.hearItNothingIs")));
      way.setOnAction(
          e -> {
            model.hear(frame);
            show();
          });
      ways.put(frame, way);
      row.getChildren().add(way);
    }
    take = Controls.smallTool("take-frame", Texts.of("framePanel.takeWhatWasHeard"), model::take);
    take.setTooltip(new Tooltip(Texts.of("framePanel.intoTheSongOne")));
    row.getChildren().add(take);
    pale.setId("frame-pale");
    pale.managedProperty().bind(pale.visibleProperty());
    getChildren()
        .addAll(
            Controls.styled(Texts.of("framePanel.beginningAndEnding"), "form-title"), row, pale);
    model.chosenProperty().addListener(o -> show());
    model.possibleProperty().addListener(o -> show());
    show();
  }

  private void show() {
    Set<Frame> possible = model.possibleProperty().get();
    ways.forEach(
        (frame, way) -> {
          way.setSelected(model.chosenProperty().get().filter(c -> c == frame).isPresent());
          way.setDisable(!possible.contains(frame));
        });
    pale.setVisible(possible.size() < ways.size());
    take.setDisable(model.chosenProperty().get().isEmpty());
  }
}
