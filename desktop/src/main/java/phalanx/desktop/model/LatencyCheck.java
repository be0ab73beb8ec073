package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.desktop.texts.Texts;
import phalanx.performance.Performance;
import phalanx.practice.TapLatency;

/** Measures how late taps arrive from a device, by tapping to clicks; kept for that device. */
public final class LatencyCheck {

  /** Clicks come at about this tempo: slow enough for any latency, fast enough to be even. */
  private static final double TEMPO = 80;

  private final PlaybackController sound;
  private final ObjectProperty<PracticeSettings> settings;
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
  private final ReadOnlyStringWrapper words = new ReadOnlyStringWrapper("");
  private final List<Double> taps = new ArrayList<>();
  private double share = 1;
  private double period = 1;
  private String device = "";

  LatencyCheck(PlaybackController sound, ObjectProperty<PracticeSettings> settings) {
    this.sound = sound;
    this.settings = settings;
    settings.addListener(o -> say());
  }

  /** What is tapped on and what plays. */
  void use(String keys) {
    String plays = sound.devices().chosenProperty().get().name();
    device = (keys.isEmpty() ? "keyboard" : keys) + " with " + plays;
    say();
  }

  private void say() {
    if (!running.get()) {
      Double known = settings.get().latencies().get(device);
      words.set(known == null ? "" : Texts.of("latencyCheck.tapsOnAreTaken", device, 1000 * known));
    }
  }

  /** How late taps arrive, s. */
  double latency() {
    return settings.get().latency(device);
  }

  /** Plays clicks of a bar or more without notes, round and round. */
  void begin(Performance bars) {
    var first = bars.arrangement().timeline().bars().get(0);
    double beat =
        bars.clock().seconds(first.startTick() + first.meter().beatTicks(), 0)
            - bars.clock().seconds(first.startTick(), 0);
    share = beat * TEMPO / 60;
    period = beat / share;
    taps.clear();
    sound.audition().practise(bars, share);
    running.set(true);
    words.set(Texts.of("latencyCheck.tapFWithThe"));
  }

  /** A tap to the clicks. */
  void tap() {
    OptionalDouble now = sound.heardSeconds();
    if (now.isEmpty()) {
      return;
    }
    taps.add(now.getAsDouble() / share);
    words.set(Texts.of("latencyCheck.tapFWithThe2", taps.size(), TapLatency.TAPS));
    if (taps.size() >= TapLatency.TAPS) {
      done();
    }
  }

  private void done() {
    OptionalDouble found = TapLatency.of(taps, period);
    end();
    sound.stop();
    if (found.isPresent()) {
      settings.set(settings.get().withLatency(device, found.getAsDouble()));
    } else {
      words.set(Texts.of("latencyCheck.theseTapsWereToo"));
    }
  }

  /** It is broken off, or done. */
  void end() {
    if (running.get()) {
      running.set(false);
      say();
    }
  }

  /** Whether clicks are tapped to. */
  public ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** What to do, or what is known of the device. */
  public ReadOnlyStringProperty wordsProperty() {
    return words.getReadOnlyProperty();
  }
}
