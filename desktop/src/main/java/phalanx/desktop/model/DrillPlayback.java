package phalanx.desktop.model;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.practice.StrokeReport;

/**
 * The drill at hand as it sounds: played round and round and tapped to, or listened to while the
 * player plays it; with how steady the strokes were.
 */
public final class DrillPlayback {

  private final PlanService planner;
  private final NewestAnswer strokes;
  private final PlaybackController sound;
  private final Supplier<Optional<Sounding>> drill;
  private final TapRecorder taps;
  private final TapKeys keys;
  private final LiveTake take;
  private final LatencyCheck latency;
  private final ReadOnlyObjectWrapper<Optional<StrokeReport>> report =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<OptionalInt> heardAt =
      new ReadOnlyObjectWrapper<>(OptionalInt.empty());
  private final ReadOnlyBooleanWrapper playing = new ReadOnlyBooleanWrapper();

  /** What the player played since the last attempt; a simulated player’s strokes are nobody’s. */
  private Optional<StrokeReport> own = Optional.empty();

  /** Simulated players differ from one to the next. */
  private long simulated;

  /**
   * What is to be played.
   *
   * @param heard its notes
   * @param clicks its bars without any
   * @param share how fast, as a share of its tempo
   */
  record Sounding(Performance heard, Performance clicks, double share) {}

  /**
   * The sound of drills.
   *
   * @param drill the one at hand; empty while none is ready
   */
  DrillPlayback(
      PlaybackController sound,
      PlanService planner,
      ObjectProperty<PracticeSettings> settings,
      Supplier<Optional<Sounding>> drill) {
    this.sound = sound;
    this.planner = planner;
    this.drill = drill;
    strokes = planner.questions();
    latency = new LatencyCheck(sound, settings);
    taps = new TapRecorder(sound, latency::latency);
    keys = new TapKeys(planner, this::tap);
    take = new LiveTake(planner, this::followed);
    keys.nameProperty().addListener((o, was, now) -> latency.use(now));
    sound.devices().chosenProperty().addListener(o -> latency.use(keys.nameProperty().get()));
    latency.use("");
    sound
        .playingProperty()
        .addListener(
            o -> {
              playing.set(false);
              latency.end();
            });
  }

  /** Taps are taken from now on, or no more. */
  void look(boolean looks) {
    keys.take(looks);
  }

  /** Another drill is at hand. */
  void anew() {
    stop();
    report.set(Optional.empty());
    own = Optional.empty();
    strokes.forget();
  }

  /** An attempt was noted: what the player played in it; what comes is another. */
  Optional<StrokeReport> attempted() {
    Optional<StrokeReport> played = own;
    own = Optional.empty();
    taps.forget();
    take.forget();
    return played;
  }

  /** What the player played since the last attempt. */
  Optional<StrokeReport> own() {
    return own;
  }

  /** Plays the drill round and round, or stops. */
  public void toggle() {
    if (playing.get()) {
      stop();
    } else {
      play();
    }
  }

  void play() {
    take.end();
    latency.end();
    drill
        .get()
        .ifPresent(
            d -> {
              taps.begin(d.heard(), d.share());
              sound.audition().practise(d.heard(), d.share());
              playing.set(true);
            });
  }

  void stop() {
    take.end();
    heardAt.set(OptionalInt.empty());
    if (playing.get() || latency.runningProperty().get()) {
      playing.set(false);
      latency.end();
      sound.stop();
    }
  }

  /** Listens to the drill as the player plays it, or listens no more. */
  public void listen() {
    boolean was = take.isOn();
    stop();
    if (!was) {
      drill
          .get()
          .ifPresent(d -> take.begin(d.heard(), d.share(), sound.settings().a4Property().get()));
    }
  }

  /** Measures how late taps arrive, or breaks that off. */
  public void checkLatency() {
    boolean was = latency.runningProperty().get();
    stop();
    if (!was) {
      drill.get().ifPresent(d -> latency.begin(d.clicks()));
    }
  }

  /** A finger’s key was pressed while the drill plays. */
  public void tap(PickFinger finger) {
    if (latency.runningProperty().get()) {
      latency.tap();
    } else if (playing.get() && taps.tap(finger)) {
      match(taps.report(), true);
    }
  }

  /** Lets the simulated player tap the drill once. */
  public void simulate() {
    long seed = simulated++;
    drill
        .get()
        .ifPresent(
            d ->
                match(() -> Optional.of(TapRecorder.simulated(d.heard(), d.share(), seed)), false));
  }

  private void match(Supplier<Optional<StrokeReport>> work, boolean players) {
    strokes.ask(
        work,
        r -> r.ifPresent(done -> heard(done, players)),
        planner.fault(Texts.of("drillPlayback.tapsCouldNotBe")));
  }

  private void followed(LiveTake.Followed heard) {
    heard.place().ifPresent(s -> heardAt.set(OptionalInt.of(s.note().tick())));
    heard(heard.report(), heard.real());
  }

  private void heard(StrokeReport now, boolean players) {
    own = players ? Optional.of(now) : Optional.empty();
    report.set(Optional.of(now));
  }

  /** Looks where the drill is; called with every picture while it plays. */
  public void look() {
    OptionalDouble seconds = playing.get() ? sound.heardSeconds() : OptionalDouble.empty();
    if (seconds.isPresent() && seconds.getAsDouble() >= 0) {
      drill
          .get()
          .ifPresent(
              d -> {
                int tick = d.heard().clock().tickAt(seconds.getAsDouble());
                int shown = sound.isCalm() ? HeardPlace.beat(d.heard(), tick) : tick;
                heardAt.set(OptionalInt.of(shown));
              });
    }
  }

  /** What hears the player; nothing while nobody listens. */
  public ReadOnlyStringProperty heardByProperty() {
    return take.heardByProperty();
  }

  /** The MIDI device that taps are taken from; nothing where there is none. */
  public ReadOnlyStringProperty keysByProperty() {
    return keys.nameProperty();
  }

  /** How late taps arrive. */
  public LatencyCheck latency() {
    return latency;
  }

  /** How the strokes of the drill went, where somebody tapped or was heard. */
  public ReadOnlyObjectProperty<Optional<StrokeReport>> reportProperty() {
    return report.getReadOnlyProperty();
  }

  /** The tick of the drill that is heard, played by the program or the player. */
  public ReadOnlyObjectProperty<OptionalInt> heardAtProperty() {
    return heardAt.getReadOnlyProperty();
  }

  /** Whether the drill plays. */
  public ReadOnlyBooleanProperty playingProperty() {
    return playing.getReadOnlyProperty();
  }
}
