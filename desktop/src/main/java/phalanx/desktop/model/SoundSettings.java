package phalanx.desktop.model;

import java.util.Optional;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.desktop.model.SoundPreset.OwnResponse;
import phalanx.sound.play.Stage;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.strings.Levels;
import phalanx.theory.Pitch;

/** How the song is heard, in the window and in a file: how fast, how loud, with which clicks. */
public final class SoundSettings {

  /** Slowest and fastest against the song's own tempo, per cent. */
  public static final int SLOWEST = 30;

  public static final int FASTEST = 150;

  private final IntegerProperty percent = new SimpleIntegerProperty(100);
  private final IntegerProperty countIn = new SimpleIntegerProperty();
  private final ObjectProperty<Clicks> clicks = new SimpleObjectProperty<>(Clicks.NOTHING);
  private final ObjectProperty<Levels> levels = new SimpleObjectProperty<>(Levels.USUAL);
  private final ObjectProperty<RenderOptions> fileFormat =
      new SimpleObjectProperty<>(RenderOptions.USUAL);

  private final DoubleProperty a4 = new SimpleDoubleProperty(Pitch.A4_HZ);

  private final ObjectProperty<Interpretation> interpretation =
      new SimpleObjectProperty<>(Interpretation.USUAL);
  private final DoubleProperty room = new SimpleDoubleProperty(Stage.USUAL_ROOM);

  private final ObjectProperty<Optional<OwnResponse>> body =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<OwnResponse>> hall =
      new SimpleObjectProperty<>(Optional.empty());

  SoundSettings() {}

  /** A guitar’s body of the player’s own; empty for ours. */
  public ObjectProperty<Optional<OwnResponse>> bodyProperty() {
    return body;
  }

  /** A room of the player’s own; empty for ours. */
  public ObjectProperty<Optional<OwnResponse>> hallProperty() {
    return hall;
  }

  /** How it sounds now. */
  public SoundPreset preset() {
    return new SoundPreset(levels.get(), interpretation.get(), room.get(), body.get(), hall.get());
  }

  /** Sounds as was kept; volume and what is muted stay. */
  public void use(SoundPreset preset) {
    Levels now = levels.get();
    levels.set(new Levels(preset.levels().decibels(), now.muted(), now.solo(), now.volume()));
    interpretation.set(preset.interpretation());
    room.set(preset.room());
    body.set(preset.body());
    hall.set(preset.hall());
  }

  /** How freely, and with what, it is played. */
  public ObjectProperty<Interpretation> interpretationProperty() {
    return interpretation;
  }

  /** The room it is played in: 0 for none, to 1 for a hall. */
  public DoubleProperty roomProperty() {
    return room;
  }

  /** The pitch the guitar is tuned to: frequency of A4, Hz. */
  public DoubleProperty a4Property() {
    return a4;
  }

  /** The tempo against the song's own, per cent. */
  public IntegerProperty percentProperty() {
    return percent;
  }

  /** The same as a factor. */
  double tempo() {
    return percent.get() / 100.0;
  }

  /** Bars of clicks before it begins. */
  public IntegerProperty countInProperty() {
    return countIn;
  }

  /** What the metronome clicks. */
  public ObjectProperty<Clicks> clicksProperty() {
    return clicks;
  }

  /** How loud each layer is. */
  public ObjectProperty<Levels> levelsProperty() {
    return levels;
  }

  /** Rate and size of samples of sound files. */
  public ObjectProperty<RenderOptions> fileFormatProperty() {
    return fileFormat;
  }

  /** How the song is written as sound: as it is heard now. */
  public RenderOptions fileOptions() {
    return fileFormat
        .get()
        .asHeard(levels.get())
        .played(
            p ->
                p.by(interpretation.get())
                    .in(room.get())
                    .tunedTo(a4.get())
                    .sounding(
                        body.get().map(OwnResponse::response),
                        hall.get().map(OwnResponse::response)));
  }
}
