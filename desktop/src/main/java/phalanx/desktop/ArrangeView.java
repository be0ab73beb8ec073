package phalanx.desktop;

import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Slot;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.strip.StripView;
import phalanx.song.Section;

/** The Arrange screen: a line that says where one is, the chart's problems, the two-hand strip. */
final class ArrangeView extends VBox {

  private final Workspace workspace;
  private final StripView strip;

  ArrangeView(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    strip = new StripView(workspace, palette);
    getStyleClass().add("arrange");
    StackPane body = new StackPane(strip, empty());
    VBox.setVgrow(body, Priority.ALWAYS);
    getChildren().addAll(header(), problems(), body);
  }

  private HBox header() {
    Label section = new Label();
    section.getStyleClass().add("section-name");
    Label where = new Label();
    where.setId("where");
    where.getStyleClass().add("where");
    Runnable tell =
        () -> {
          section.setText(workspace.selectedSlot().map(this::sectionName).orElse(""));
          where.setText(workspace.selectedSlot().map(this::place).orElse(""));
        };
    workspace.selectedProperty().addListener(o -> tell.run());
    workspace.arrangementProperty().addListener(o -> tell.run());
    Label busy = new Label("planning …");
    busy.getStyleClass().add("where");
    busy.visibleProperty().bind(workspace.planningProperty());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    Button pin = new Button();
    pin.setId("pin");
    pin.getStyleClass().add("tool");
    pin.textProperty()
        .bind(
            Bindings.createStringBinding(
                () ->
                    workspace.selectedSlot().filter(Slot::pinned).isPresent()
                        ? "Unpin shape"
                        : "Pin shape",
                workspace.arrangementProperty(),
                workspace.selectedProperty()));
    pin.setOnAction(e -> workspace.togglePin());
    pin.disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.selectedSlot().flatMap(Slot::shape).isEmpty(),
                workspace.arrangementProperty(),
                workspace.selectedProperty()));
    Label keys = new Label("F1 keys");
    keys.getStyleClass().add("where");
    HBox header = new HBox(section, where, busy, grow, keys, pin);
    header.getStyleClass().add("arrange-header");
    return header;
  }

  /** What to do while no chart is open. */
  private Label empty() {
    Label label =
        new Label(
            "No bars yet. Press Ctrl O and open a ChordPro chart with its bars in a grid:\n\n"
                + "{start_of_grid: Verse}\n| G . . . | D/F# . Em7 . |\n{end_of_grid}");
    label.setId("empty");
    label.getStyleClass().add("empty");
    label
        .visibleProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> workspace.song().sections().isEmpty(), workspace.historyProperty()));
    return label;
  }

  private String sectionName(Slot slot) {
    Section section = workspace.song().sections().get(slot.played().ref().section());
    return section.label();
  }

  private String place(Slot slot) {
    int bars = workspace.arrangementProperty().get().timeline().bars().size();
    return "bar %d of %d · %s"
        .formatted(slot.played().bar(), bars, workspace.song().pattern().words());
  }

  /** What of the file could not be read, each with its place; gone when all of it could. */
  private Label problems() {
    Label label = new Label();
    label.setId("problems");
    label.getStyleClass().add("problems");
    label.setWrapText(true);
    label.setMaxWidth(Double.MAX_VALUE);
    label
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> String.join("\n", workspace.problems()), workspace.problems()));
    label.visibleProperty().bind(Bindings.isNotEmpty(workspace.problems()));
    label.managedProperty().bind(label.visibleProperty());
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /** The strip, where keys go when a window opens. */
  StripView strip() {
    return strip;
  }
}
