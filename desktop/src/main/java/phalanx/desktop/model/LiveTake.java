package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
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

  private final PlanService planner;
  private final Consumer<Optional<StrokeReport>> report;
  private final ReadOnlyStringWrapper heardBy = new ReadOnlyStringWrapper("");
  private final List<HeardSound> sounds = new ArrayList<>();
  private Optional<LiveListening> listening = Optional.empty();

  /** Counts what was begun: what answers later than the next begins is not taken. */
  private int begun;

  LiveTake(PlanService planner, Consumer<Optional<StrokeReport>> report) {
    this.planner = planner;
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
    planner.listen(
        () -> SystemMicrophone.open().orElseGet(() -> simulated(drill, share)),
        input -> {
          if (mine != begun) {
            input.close();
            return;
          }
          heardBy.set(input.name());
          listening = Optional.of(new LiveListening(input, a4, new Told(drill, share, mine)));
        });
  }

  void end() {
    begun++;
    listening.ifPresent(LiveListening::close);
    listening = Optional.empty();
    planner.forgetTakes();
    sounds.clear();
    heardBy.set("");
  }

  private static SoundInput simulated(Performance drill, double share) {
    List<ExpectedStroke> expected = TapRecorder.scaled(drill, share);
    double tempo = drill.arrangement().song().tempo() * share;
    SimulatedPlayer.Playing playing =
        SimulatedPlayer.steady(tempoSeed(tempo)).play(expected, tempo);
    float[] samples = SimulatedMicrophone.QUIET_ROOM.hear(drill, playing, Map.of(), 1);
    return new PlayedInput(samples, RATE, 1);
  }

  private static long tempoSeed(double tempo) {
    return Math.round(tempo);
  }

  /** What the listening thread tells, taken over to the interface’s. */
  private final class Told implements LiveListening.Ear {

    private final Performance drill;
    private final double share;
    private final int mine;

    Told(Performance drill, double share, int mine) {
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
            planner.listen(
                () -> SoundMatching.of(drill, from, Integer.MAX_VALUE, all, 1 / share),
                r -> {
                  if (mine == begun) {
                    report.accept(Optional.of(r));
                  }
                });
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
