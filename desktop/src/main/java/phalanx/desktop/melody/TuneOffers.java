package phalanx.desktop.melody;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import phalanx.advice.TuneSetting;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.MelodyViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Found;
import phalanx.findings.TuneAway;
import phalanx.song.Song;

/** Where the tune would lie better, as soon as it does: octave, key and capo, one click each. */
final class TuneOffers extends VBox {

  private static final double GAP = 6;

  private final Workspace workspace;
  private final MelodyViewModel model;
  private final Label words = Controls.wrapped("", "notice");
  private final VBox ways = new VBox(GAP);

  TuneOffers(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().melody();
    setId("tune-offers");
    setSpacing(GAP);
    getChildren().addAll(words, ways);
    managedProperty().bind(visibleProperty());
    model.settingsProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<TuneSetting> settings = model.settingsProperty().get();
    setVisible(!settings.isEmpty());
    Optional<Found> away =
        workspace.reviewProperty().get().stream()
            .flatMap(r -> r.findings().stream())
            .filter(f -> f.finding().rule().equals(TuneAway.NAME))
            .findFirst();
    words.setText(
        away.map(f -> f.finding().message() + ".")
            .orElse(Texts.of("tuneOffers.theTuneLiesEasier")));
    ways.getChildren().clear();
    Song song = workspace.song();
    for (TuneSetting setting : settings) {
      Button take =
          Controls.smallTool(
              "tune-setting-" + ways.getChildren().size() / 2,
              setting.words(song),
              () -> model.take(setting));
      take.setTooltip(new Tooltip(Texts.of("tuneOffers.oneStepToUndo")));
      Label effect = Controls.wrapped(setting.effect(), "where");
      effect.managedProperty().bind(effect.textProperty().isNotEmpty());
      ways.getChildren().addAll(take, effect);
    }
  }
}
