package phalanx.desktop.frame;

import java.util.List;
import java.util.function.Function;
import javafx.beans.value.ObservableValue;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.desktop.device.AudioDevices;
import phalanx.desktop.drawing.Wording;
import phalanx.desktop.model.PlaybackController;
import phalanx.desktop.model.SoundSettings;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.sound.Layer;
import phalanx.sound.play.AudioDevice;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.strings.Levels;

/** How fast, how loud, with which clicks, on which device: a row under the top bar. */
final class SoundPanel extends FlowPane {

  private static final double SLIDER = 84;

  /** Below this a slider silences, dB. */
  private static final double LOW = -24;

  private final PlaybackController sound;
  private final SoundSettings settings;

  SoundPanel(Workspace workspace) {
    sound = workspace.models().sound();
    settings = sound.settings();
    setId("sound-panel");
    getStyleClass().add("sound-panel");
    getChildren().addAll(tempo(), metronome(), countIn());
    for (Layer layer : Layer.values()) {
      getChildren().add(strip(layer));
    }
    getChildren().addAll(volume(), device(), files());
    PickingHandControls hand = new PickingHandControls(settings);
    getChildren()
        .addAll(
            freedom(),
            place(),
            lower(new Label(Texts.of("soundPanel.thumbPlucksWith")), hand.thumb()));
    getChildren()
        .addAll(
            lower(new Label(Texts.of("soundPanel.fingersPluckWith")), hand.fingers()),
            room(),
            level());
    getChildren()
        .add(lower(new Label(Texts.of("soundPanel.sound")), new SoundFilesMenu(workspace)));
  }

  /** From as planned to as players play. */
  private VBox freedom() {
    Slider freedom = slider("freedom", Texts.of("soundPanel.fromExactToFree"), 0, 100);
    freedom.setBlockIncrement(10);
    freedom.setValue(100 * played().freedom());
    freedom.setTooltip(new Tooltip(Texts.of("soundPanel.fromExactlyAsPlanned")));
    freedom
        .valueProperty()
        .addListener((o, before, now) -> play(played().free(now.doubleValue() / 100)));
    settings
        .interpretationProperty()
        .addListener((o, before, now) -> freedom.setValue(100 * now.freedom()));
    return lower(new Label(Texts.of("soundPanel.exactFree")), freedom);
  }

  private VBox place() {
    Slider place =
        slider(
            "place",
            Texts.of("soundPanel.fromTheBridgeTo"),
            Interpretation.BRIDGE,
            Interpretation.NECK);
    place.setBlockIncrement(10);
    place.setValue(played().place());
    place.setTooltip(new Tooltip(Texts.of("soundPanel.whereTheStringsAre")));
    place.valueProperty().addListener((o, before, now) -> play(played().at(now.doubleValue())));
    settings.interpretationProperty().addListener((o, before, now) -> place.setValue(now.place()));
    return lower(new Label(Texts.of("soundPanel.bridgeNeck")), place);
  }

  private VBox room() {
    Slider room = slider("room", Texts.of("soundPanel.fromNoRoomTo"), 0, 100);
    room.setBlockIncrement(10);
    room.setValue(100 * settings.roomProperty().get());
    room.valueProperty()
        .addListener((o, before, now) -> settings.roomProperty().set(now.doubleValue() / 100));
    settings.roomProperty().addListener(o -> room.setValue(100 * settings.roomProperty().get()));
    return lower(new Label(Texts.of("soundPanel.dryHall")), room);
  }

  private VBox level() {
    Label guitar = new Label();
    guitar.setId("guitar-words");
    guitar.textProperty().bind(sound.guitarWordsProperty().concat(Texts.of("soundPanel.level")));
    return lower(guitar, new LevelMeter(sound));
  }

  /** In the second row, which is lower. */
  private static VBox lower(Label title, Node below) {
    VBox box = titled(title, below);
    box.getStyleClass().add("sound-low");
    return box;
  }

  private Interpretation played() {
    return settings.interpretationProperty().get();
  }

  private void play(Interpretation other) {
    settings.interpretationProperty().set(other);
  }

  private static VBox titled(Label title, Node... below) {
    title.getStyleClass().add("form-name");
    VBox box = new VBox(title);
    box.getChildren().addAll(below);
    box.getStyleClass().add("sound-strip");
    return box;
  }

  private static Slider slider(String id, String accessible, double least, double most) {
    Slider slider = new Slider();
    slider.setId(id);
    slider.setMin(least);
    slider.setMax(most);
    slider.setPrefWidth(SLIDER);
    slider.setAccessibleText(accessible);
    return slider;
  }

  private VBox tempo() {
    Slider slider =
        slider(
            "tempo-percent",
            Texts.of("soundPanel.tempoPerCent"),
            SoundSettings.SLOWEST,
            SoundSettings.FASTEST);
    slider.setBlockIncrement(5);
    slider.setValue(settings.percentProperty().get());
    Label title = new Label();
    Runnable show =
        () -> title.setText(Texts.of("soundPanel.tempo", settings.percentProperty().get()));
    slider
        .valueProperty()
        .addListener(
            (o, before, now) ->
                settings.percentProperty().set((int) Math.round(now.doubleValue())));
    settings
        .percentProperty()
        .addListener(
            (o, before, now) -> {
              slider.setValue(now.intValue());
              show.run();
            });
    show.run();
    return titled(title, slider);
  }

  private VBox metronome() {
    ComboBox<Clicks> box =
        choice(
            "metronome",
            List.of(Clicks.values()),
            c ->
                switch (c) {
                  case NOTHING -> Texts.of("soundPanel.off");
                  case BEATS -> Texts.of("soundPanel.onTheBeats");
                  case BETWEEN -> Texts.of("soundPanel.andBetween");
                });
    box.setValue(settings.clicksProperty().get());
    box.setOnAction(e -> settings.clicksProperty().set(box.getValue()));
    settings.clicksProperty().addListener((o, before, now) -> box.setValue(now));
    return titled(new Label(Texts.of("soundPanel.metronome")), box);
  }

  private VBox countIn() {
    ComboBox<Integer> box =
        choice(
            "count-in",
            List.of(0, 1, 2),
            n ->
                n == 0
                    ? Texts.of("soundPanel.none")
                    : n == 1 ? Texts.of("soundPanel.oneBar") : Texts.of("soundPanel.bars", n));
    box.setValue(settings.countInProperty().get());
    box.setOnAction(e -> settings.countInProperty().set(box.getValue()));
    return titled(new Label(Texts.of("soundPanel.countIn")), box);
  }

  static <T> ComboBox<T> choice(String id, List<T> values, Function<T, String> words) {
    ComboBox<T> box = new ComboBox<>(FXCollections.observableArrayList(values));
    box.setId(id);
    box.getStyleClass().add("form-field");
    box.setConverter(new Wording<>(words));
    return box;
  }

  private VBox strip(Layer layer) {
    String id = layer.word();
    Slider slider =
        slider("level-" + id, Texts.of("soundPanel.decibels", layer.title()), LOW, Levels.LOUDEST);
    slider.setBlockIncrement(1);
    slider.setValue(levels().decibels().get(layer));
    Label title = new Label();
    Runnable show =
        () ->
            title.setText(
                Texts.of("soundPanel.fDb", layer.title(), levels().decibels().get(layer))
                    .replace("+0", "0")
                    .replace("-", "−"));
    slider
        .valueProperty()
        .addListener(
            (o, before, now) -> {
              double decibel = Math.rint(now.doubleValue());
              set(levels().with(layer, decibel));
              show.run();
            });
    settings
        .levelsProperty()
        .addListener((o, before, now) -> slider.setValue(now.decibels().get(layer)));
    show.run();
    ToggleButton mute =
        toggle("mute-" + id, Texts.of("soundPanel.mute"), Texts.of("soundPanel.leaveOut", id));
    mute.setOnAction(e -> set(levels().muting(layer, mute.isSelected())));
    HBox row = new HBox(mute);
    row.getStyleClass().add("sound-toggles");
    if (layer != Layer.CLICK) {
      ToggleButton solo =
          toggle("solo-" + id, Texts.of("soundPanel.solo"), Texts.of("soundPanel.hearAlone", id));
      solo.setOnAction(e -> set(levels().soloing(layer, solo.isSelected())));
      row.getChildren().add(solo);
    }
    return titled(title, slider, row);
  }

  private Levels levels() {
    return settings.levelsProperty().get();
  }

  private void set(Levels next) {
    settings.levelsProperty().set(next);
  }

  static ToggleButton toggle(String id, String words, String tip) {
    ToggleButton button = new ToggleButton(words);
    button.setId(id);
    button.getStyleClass().addAll("tool", "tiny-tool");
    button.setTooltip(new Tooltip(tip));
    button.setAccessibleText(tip);
    return button;
  }

  private VBox volume() {
    Slider slider = slider("volume", Texts.of("soundPanel.volumePerCent"), 0, 100);
    slider.setValue(100 * levels().volume());
    slider
        .valueProperty()
        .addListener((o, before, now) -> set(levels().withVolume(now.doubleValue() / 100)));
    Label caution = new Label(Texts.of("soundPanel.keepItModerateLoud"));
    caution.setWrapText(true);
    caution.setMaxWidth(112);
    caution.getStyleClass().add("rail-about");
    slider.setMaxWidth(SLIDER);
    return titled(new Label(Texts.of("soundPanel.volume")), slider, caution);
  }

  private VBox device() {
    AudioDevices devices = sound.devices();
    ComboBox<AudioDevice> box = choice("device", List.of(), AudioDevice::name);
    box.setItems(devices.there());
    box.setPrefWidth(150);
    box.setValue(devices.chosenProperty().get());
    box.setOnShowing(e -> devices.look());
    box.setOnAction(
        e -> {
          if (box.getValue() != null) {
            devices.chosenProperty().set(box.getValue());
          }
        });
    follow(devices.chosenProperty(), box);
    // New items take the choice away.
    devices
        .there()
        .addListener(
            (ListChangeListener<AudioDevice>) c -> box.setValue(devices.chosenProperty().get()));
    Label status = new Label();
    status.setId("card-words");
    status.getStyleClass().add("rail-about");
    status.textProperty().bind(sound.cardWordsProperty());
    return titled(new Label(Texts.of("soundPanel.device")), box, status);
  }

  private VBox files() {
    List<RenderOptions> formats =
        List.of(
            RenderOptions.USUAL,
            RenderOptions.USUAL.with(44100, 24),
            RenderOptions.USUAL.with(48000, 16),
            RenderOptions.USUAL.with(48000, 24));
    ComboBox<RenderOptions> box = choice("file-format", formats, RenderOptions::formatWords);
    box.setPrefWidth(136);
    box.setValue(settings.fileFormatProperty().get());
    box.setOnAction(e -> settings.fileFormatProperty().set(box.getValue()));
    Label how = new Label(Texts.of("soundPanel.ctrlEWavAs"));
    how.setWrapText(true);
    how.setMaxWidth(132);
    how.getStyleClass().add("rail-about");
    return titled(new Label(Texts.of("soundPanel.soundFiles")), box, how);
  }

  private static <T> void follow(ObservableValue<T> value, ComboBox<T> box) {
    value.addListener((o, before, now) -> box.setValue(now));
  }
}
