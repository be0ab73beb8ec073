package phalanx.desktop.practice;

import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.WholeSpinner;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.practice.LadderRules;

/** When the ladder goes up and down, to be changed by the player. */
final class LadderRulesRow extends HBox {

  private static final double WIDTH = 66;

  private final PracticeViewModel model;
  private final Spinner<Integer> clean;
  private final Spinner<Integer> missed;
  private final Spinner<Integer> step;

  LadderRulesRow(PracticeViewModel model) {
    super(6);
    this.model = model;
    setId("ladder-rules-row");
    getStyleClass().add("card-row");
    LadderRules now = model.settingsProperty().get().rules();
    clean = spinner("rule-clean", 10, now.cleanToRise());
    missed = spinner("rule-missed", 10, now.missedToFall());
    step = spinner("rule-step", 20, (int) Math.round(now.stepPercent()));
    getChildren()
        .addAll(
            clean,
            word(Texts.of("ladderRulesRow.cleanUp")),
            missed,
            word(Texts.of("ladderRulesRow.missedDownBy")),
            step,
            word("%"));
    model.settingsProperty().addListener(o -> show());
  }

  private Spinner<Integer> spinner(String id, int most, int now) {
    Spinner<Integer> spinner = WholeSpinner.of(id, 1, most, now);
    spinner.setPrefWidth(WIDTH);
    spinner.setMinWidth(WIDTH);
    spinner.valueProperty().addListener(o -> take());
    return spinner;
  }

  private static Label word(String words) {
    Label label = new Label(words);
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  private void take() {
    if (clean == null || missed == null || step == null) {
      return;
    }
    LadderRules rules = new LadderRules(clean.getValue(), missed.getValue(), step.getValue());
    model.settingsProperty().set(model.settingsProperty().get().withRules(rules));
  }

  private void show() {
    LadderRules now = model.settingsProperty().get().rules();
    clean.getValueFactory().setValue(now.cleanToRise());
    missed.getValueFactory().setValue(now.missedToFall());
    step.getValueFactory().setValue((int) Math.round(now.stepPercent()));
  }
}
