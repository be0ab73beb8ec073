package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.performance.Performance;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.HeardSound;
import phalanx.practice.SimulatedPlayer;
import phalanx.practice.SoundMatching;
import phalanx.practice.StrokeReport;
import phalanx.sound.listening.LiveListening;
import phalanx.sound.listening.PlayedInput;
import phalanx.sound.listening.SimulatedMicrophone;
import phalanx.sound.listening.SoundInput;
import phalanx.sound.listening.SystemMicrophone;

/**
 * A drill as it is heard live: through the system’s microphone, or where there is none through a
 * simulated one, which is named. Nothing that is heard is kept but times.
 */
final class LiveTake {

  private static final int RATE = 44_100;
  private static final String LISTENING = "Listening did not work";

  private final PlanService planner;
  private final NewestAnswer matching;
  private final BiConsumer<StrokeReport, Boolean> report;
  private final ReadOnlyStringWrapper heardBy = new ReadOnlyStringWrapper("");
  private final List<HeardSound> sounds = new ArrayList<>();
  private Optional<LiveListening> listening = Optional.empty();

  /** Counts what was begun: what answers later than the next begins is not taken. */
  private int begun;

  /**
   * A take.
   *
   * @param report is told what was heard so far, and whether a player was heard
   */
  LiveTake(PlanService planner, BiConsumer<StrokeReport, Boolean> report) {
    this.planner = planner;
    matching = planner.questions();
    this.report = report;
  }

  /** What hears; nothing while nobody listens. */
  ReadOnlyStringProperty heardByProperty() {
    return heardBy.getReadOnlyProperty();
  }

  boolean isOn() {
    return !heardBy.get().isEmpty();
  }

  /** Listens to a drill at a share of its tempo. */
  void begin(Performance drill, double share, double a4) {
    end();
    int mine = ++begun;
    heardBy.set("…");
    // A queue of its own: an input that comes too late is given back, not dropped.
    planner
        .questions()
        .ask(
            () -> SystemMicrophone.open().orElseGet(() -> simulated(drill, share)),
            input -> {
              if (mine != begun) {
                input.close();
                return;
              }
              heardBy.set(input.name());
              Told told = new Told(drill, share, mine, input.isReal());
              listening = Optional.of(new LiveListening(input, a4, told));
            },
            planner.fault(LISTENING));
  }

  void end() {
    begun++;
    listening.ifPresent(LiveListening::close);
    listening = Optional.empty();
    forget();
    heardBy.set("");
  }

  /** What was heard counts no more; what comes does. */
  void forget() {
    matching.forget();
    sounds.clear();
  }

  private static SoundInput simulated(Performance drill, double share) {
    List<ExpectedStroke> expected = TapRecorder.scaled(drill, share);
    double tempo = drill.arrangement().song().tempo() * share;
    SimulatedPlayer.Playing playing =
        SimulatedPlayer.steady(Math.round(tempo)).play(expected, tempo);
    float[] samples = SimulatedMicrophone.QUIET_ROOM.hear(drill, playing, Map.of(), 1);
    return new PlayedInput(samples, RATE, 1);
  }

  /** What the listening thread tells, taken over to the interface’s. */
  private final class Told implements LiveListening.Ear {

    private final Performance drill;
    private final double share;
    private final int mine;
    private final boolean real;

    Told(Performance drill, double share, int mine, boolean real) {
      this.real = real;
      this.drill = drill;
      this.share = share;
      this.mine = mine;
    }

    private void then(Runnable news) {
      planner
          .interfaceThread()
          .execute(
              () -> {
                if (mine == begun) {
                  news.run();
                }
              });
    }

    @Override
    public void heard(List<HeardSound> more) {
      then(
          () -> {
            sounds.addAll(more);
            List<HeardSound> all = List.copyOf(sounds);
            int from = drill.arrangement().timeline().bars().get(0).startTick();
            matching.ask(
                () -> SoundMatching.of(drill, from, Integer.MAX_VALUE, all, 1 / share),
                r -> {
                  if (mine == begun) {
                    report.accept(r.soFar(), real);
                  }
                },
                planner.fault(LISTENING));
          });
    }

    @Override
    public void ended(String why) {
      then(
          () -> {
            listening = Optional.empty();
            heardBy.set("");
          });
    }
  }
}
