package phalanx.desktop.shapes;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.HarpRunViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.theory.NoteNaming;

/** A harp run over the shape held: plain notes and harmonics touched an octave above, in turn. */
final class HarpRow extends ToolRow {

  private final Workspace workspace;
  private final HarpRunViewModel model;
  private final ComboBox<String> order = new ComboBox<>();
  private final Label notes = ShapesView.label("harp-notes", "where");
  private boolean filling;

  HarpRow(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().harp();
    Label name = new Label(Texts.of("harpRow.harpRun"));
    name.getStyleClass().add("row-name");
    name.setTooltip(new Tooltip(Texts.of("harpRow.theRingFingerPlucks")));
    order.setId("harp-order");
    order.setAccessibleText(Texts.of("harpRow.orderOfTheStrings"));
    order.getStyleClass().add("form-field");
    order.setMinWidth(190);
    order.setOnAction(
        e -> {
          if (!filling && order.getSelectionModel().getSelectedIndex() >= 0) {
            model.chosenProperty().set(order.getSelectionModel().getSelectedIndex());
          }
        });
    Button hear = Controls.smallTool("hear-harp", Texts.of("harpRow.hear"), model::hear);
    Button put = Controls.smallTool("put-harp", Texts.of("harpRow.putIntoThisBar"), model::put);
    getChildren().addAll(name, order, hear, put, notes);
    setSpacing(6);
    setAlignment(Pos.CENTER_LEFT);
    managedProperty().bind(visibleProperty());
    model.proposalsProperty().addListener(o -> show());
    model.chosenProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  private void show() {
    filling = true;
    List<String> orders =
        model.proposalsProperty().get().stream().map(HarpRunViewModel.Proposal::order).toList();
    if (!orders.equals(order.getItems())) {
      order.getItems().setAll(orders);
    }
    setVisible(model.looked().isPresent());
    NoteNaming naming = workspace.viewing().namingProperty().get();
    model
        .looked()
        .ifPresent(
            p -> {
              order.setValue(p.order());
              String pitches =
                  p.run().notes().stream()
                      .map(
                          n ->
                              (n.pulled() ? "‿" : "")
                                  + naming.name(n.name())
                                  + (n.touched() ? "°" : ""))
                      .collect(Collectors.joining(" "));
              notes.setText(pitches + p.run().scale().map(s -> " · " + s).orElse(""));
            });
    filling = false;
  }
}
