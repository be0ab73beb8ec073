package phalanx.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.DampPins;
import phalanx.desktop.model.Workspace;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;

/** The strings to be stopped when the hand comes to the selected chord, a button each. */
final class DampRow extends ToolRow {

  private final DampPins pins;
  private final List<ToggleButton> strings = new ArrayList<>();
  private final ToggleButton all = button("damp-all", "all");

  DampRow(Workspace workspace) {
    pins = workspace.damps();
    setId("damp-row");
    setSpacing(3);
    getStyleClass().add("damp-row");
    Label name = Controls.styled("Stop here", "row-word");
    name.setMinWidth(USE_PREF_SIZE);
    getChildren().add(name);
    for (int s = Tuning.STRINGS - 1; s >= 0; s--) {
      int string = s;
      ToggleButton one = button("damp-" + (Tuning.STRINGS - s), StringSign.of(s));
      one.setAccessibleText("stop string " + (Tuning.STRINGS - s) + " here");
      one.setOnAction(e -> pins.toggle(string));
      strings.add(0, one);
      getChildren().add(one);
    }
    all.setAccessibleText("stop all strings here");
    all.setOnAction(e -> pins.toggleAll());
    getChildren().add(all);
    workspace.historyProperty().addListener(o -> show());
    workspace.arrangementProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> show());
    show();
  }

  private static ToggleButton button(String id, String words) {
    ToggleButton button = new ToggleButton(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "small-tool", "string-tool");
    button.setMinWidth(USE_PREF_SIZE);
    button.setTooltip(new Tooltip("what still rings is stopped when the hand comes to this chord"));
    return button;
  }

  private void show() {
    Set<Integer> wanted = pins.wanted();
    for (int s = 0; s < strings.size(); s++) {
      strings.get(s).setSelected(wanted.contains(s));
    }
    all.setSelected(wanted.size() == Tuning.STRINGS);
  }
}
