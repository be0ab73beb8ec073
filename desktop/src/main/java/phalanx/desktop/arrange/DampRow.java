package phalanx.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.DampPins;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;

/** The strings to be stopped when the hand comes to the selected chord, a button each. */
final class DampRow extends ToolRow {

  private static final String STOPS = Texts.of("dampRow.whatStillRingsIs");

  /** The plan stops the string by itself. */
  private static final PseudoClass PLANNED = PseudoClass.getPseudoClass("planned");

  /** The player lets the string ring. */
  private static final PseudoClass RINGING = PseudoClass.getPseudoClass("ringing");

  private final DampPins pins;
  private final List<ToggleButton> strings = new ArrayList<>();
  private final ToggleButton all = button("damp-all", Texts.of("dampRow.all"));

  DampRow(Workspace workspace) {
    pins = workspace.damps();
    setId("damp-row");
    setSpacing(3);
    getStyleClass().add("damp-row");
    Label name = Controls.styled(Texts.of("dampRow.stopHere"), "row-word");
    name.setMinWidth(USE_PREF_SIZE);
    getChildren().add(name);
    for (int s = Tuning.STRINGS - 1; s >= 0; s--) {
      int string = s;
      ToggleButton one = button("damp-" + (Tuning.STRINGS - s), StringSign.of(s));
      one.setAccessibleText(Texts.of("dampRow.stopStringHere", Tuning.STRINGS - s));
      one.setOnAction(e -> pins.toggle(string));
      strings.add(0, one);
      getChildren().add(one);
    }
    all.setAccessibleText(Texts.of("dampRow.stopAllStringsHere"));
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
    button.setTooltip(new Tooltip(STOPS));
    return button;
  }

  private void show() {
    Set<Integer> wanted = pins.wanted();
    Set<Integer> planned = pins.planned();
    Set<Integer> ringing = pins.ringing();
    for (int s = 0; s < strings.size(); s++) {
      ToggleButton one = strings.get(s);
      one.setSelected(wanted.contains(s) || planned.contains(s));
      one.pseudoClassStateChanged(PLANNED, planned.contains(s));
      one.pseudoClassStateChanged(RINGING, ringing.contains(s));
      one.getTooltip()
          .setText(
              planned.contains(s)
                  ? Texts.of("dampRow.thePlanStopsIt")
                  : ringing.contains(s) ? Texts.of("dampRow.youLetItRing") : STOPS);
    }
    all.setSelected(wanted.size() == Tuning.STRINGS);
  }
}
