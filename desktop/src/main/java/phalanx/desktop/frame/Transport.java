package phalanx.desktop.frame;

import javafx.animation.AnimationTimer;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.shape.SVGPath;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.PlaybackController;
import phalanx.desktop.texts.Texts;

/** Play, stop, loop, and the panel of levels, at the end of the top bar. */
final class Transport extends HBox {

  private static final String PLAY = "M0 0 L10 6 L0 12 Z";
  private static final String PAUSE = "M0 0 h3.6 v12 h-3.6 z M6.4 0 h3.6 v12 h-3.6 z";
  private static final String SLIDERS =
      "M1 0 h1.6 v12 h-1.6 z M6 0 h1.6 v12 h-1.6 z M11 0 h1.6 v12 h-1.6 z"
          + " M0 7 h3.6 v2.4 h-3.6 z M5 2 h3.6 v2.4 h-3.6 z M10 5 h3.6 v2.4 h-3.6 z";
  private static final String STOP = "M0 0 h10 v10 h-10 z";

  private final PlaybackController sound;
  private final Runnable toggleLoop;
  private final ToggleButton panel = new ToggleButton();

  /** Looks where the song is with every picture, as long as it plays. */
  private final AnimationTimer looking =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          sound.look();
        }
      };

  /**
   * The transport.
   *
   * @param toggleLoop goes round what is selected, or not any more
   */
  Transport(PlaybackController sound, Runnable toggleLoop) {
    this.sound = sound;
    this.toggleLoop = toggleLoop;
    getStyleClass().add("transport");
    setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(loop(), panel(), stop(), play(), silent());
    // All have keys of their own, and Space shall go on to play after a click.
    getChildren().forEach(c -> c.setFocusTraversable(false));
    sound
        .playingProperty()
        .addListener(
            (o, before, now) -> {
              if (now) {
                looking.start();
              } else {
                looking.stop();
              }
            });
  }

  private Button play() {
    Button play =
        button("play", Texts.of("transport.play"), Texts.of("transport.playOrPauseSpace"));
    play.getStyleClass().add("main-tool");
    SVGPath sign = sign(PLAY);
    play.setGraphic(sign);
    play.textProperty()
        .bind(
            Bindings.when(sound.playingProperty())
                .then(Texts.of("transport.pause"))
                .otherwise(Texts.of("transport.play2")));
    sign.contentProperty().bind(Bindings.when(sound.playingProperty()).then(PAUSE).otherwise(PLAY));
    play.setPrefWidth(80);
    play.setOnAction(e -> sound.toggle());
    return play;
  }

  /** Beside Play, where nothing is really heard. */
  private Label silent() {
    Label silent = new Label(Texts.of("transport.silent"));
    silent.setId("no-sound");
    silent.getStyleClass().add("no-sound");
    silent.setMinWidth(USE_PREF_SIZE);
    silent.setTooltip(new Tooltip(Texts.of("transport.nothingIsHeardNo")));
    silent.visibleProperty().bind(sound.cardWordsProperty().isNotEmpty());
    silent.managedProperty().bind(silent.visibleProperty());
    return silent;
  }

  private Button stop() {
    Button stop = button("stop", Texts.of("transport.stop"), Texts.of("transport.stopAndBeginAt"));
    stop.setGraphic(sign(STOP));
    stop.setOnAction(e -> sound.stop());
    return stop;
  }

  private ToggleButton loop() {
    ToggleButton loop = new ToggleButton();
    loop.setId("loop");
    loop.getStyleClass().add("tool");
    loop.setMinWidth(USE_PREF_SIZE);
    loop.setTooltip(new Tooltip(Texts.of("transport.playTheBarsOf")));
    loop.textProperty()
        .bind(
            Bindings.createStringBinding(
                () ->
                    sound
                        .loop()
                        .property()
                        .get()
                        .map(Transport::words)
                        .orElse(Texts.of("transport.loop")),
                sound.loop().property()));
    sound.loop().property().addListener((o, before, now) -> loop.setSelected(now.isPresent()));
    loop.setOnAction(
        e -> {
          toggleLoop.run();
          loop.setSelected(sound.loop().property().get().isPresent());
        });
    return loop;
  }

  private static String words(LoopBars bars) {
    return Texts.of("transport.loop2", bars.words());
  }

  private ToggleButton panel() {
    panel.setId("sound-panel-button");
    panel.setGraphic(sign(SLIDERS));
    panel.setAccessibleText(Texts.of("transport.sound"));
    panel.getStyleClass().add("tool");
    panel.setMinWidth(USE_PREF_SIZE);
    panel.setTooltip(new Tooltip(Texts.of("transport.soundTempoMetronomeLevels")));
    return panel;
  }

  /** Opens and closes the panel of levels. */
  ToggleButton panelButton() {
    return panel;
  }

  private static Button button(String id, String accessible, String tip) {
    Button button = new Button();
    button.setId(id);
    button.setAccessibleText(accessible);
    button.getStyleClass().add("tool");
    button.setMinWidth(USE_PREF_SIZE);
    button.setTooltip(new Tooltip(tip));
    return button;
  }

  private static SVGPath sign(String shape) {
    SVGPath sign = new SVGPath();
    sign.setContent(shape);
    sign.getStyleClass().add("transport-sign");
    return sign;
  }
}
