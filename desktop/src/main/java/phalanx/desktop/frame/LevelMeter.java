package phalanx.desktop.frame;

import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import phalanx.desktop.model.PlaybackController;
import phalanx.desktop.texts.Texts;
import phalanx.sound.strings.Levels;

/** How high the sound is just now, from 48 dB below full scale. */
final class LevelMeter extends Pane {

  private static final double WIDTH = 84;
  private static final double HEIGHT = 8;
  private static final double LOWEST = 48;

  /** From here on peaks are bent, dB below full scale. */
  private static final double HIGH = 4;

  private final PlaybackController sound;
  private final Region filled = new Region();

  LevelMeter(PlaybackController sound) {
    this.sound = sound;
    setId("level-meter");
    Region track = new Region();
    track.getStyleClass().add("gauge-track");
    track.setMinSize(WIDTH, HEIGHT);
    filled.getStyleClass().add("gauge-filled");
    getChildren().addAll(track, filled);
    setMinSize(WIDTH, HEIGHT);
    setMaxSize(WIDTH, HEIGHT);
    sound.levelProperty().addListener(o -> show());
    show();
  }

  private void show() {
    double decibels = Levels.decibels(sound.levelProperty().get());
    double share = Math.max(0, Math.min(1, 1 + decibels / LOWEST));
    filled.setMinSize(share * WIDTH, HEIGHT);
    filled.setMaxSize(share * WIDTH, HEIGHT);
    filled.getStyleClass().remove("gauge-short");
    if (decibels > -HIGH) {
      filled.getStyleClass().add("gauge-short");
    }
    setAccessibleText(
        share == 0
            ? Texts.of("levelMeter.levelSilent")
            : Texts.of("levelMeter.levelDecibelsBelowFull", -decibels));
  }
}
