package phalanx.desktop.model;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
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
  private static final String LISTENING = Texts.of("liveTake.listeningDidNotWork");

  private final PlanService planner;
  private final NewestAnswer matching;
  private final Consumer<Followed> answer;
  private final ReadOnlyStringWrapper heardBy = new ReadOnlyStringWrapper("");
  private Optional<LiveListening> listening = Optional.empty();

  /** Counts what was begun: what answers later than the next begins is not taken. */
  private int begun;

  /** What is listened for now. */
  private Optional<Following> following = Optional.empty();

  /**
   * What was heard so far.
   *
   * @param report how it went
   * @param place where the player is; empty before the first stroke
   * @param real whether a player was heard
   */
  record Followed(StrokeReport report, Optional<ExpectedStroke> place, boolean real) {}

  /**
   * A take.
   *
   * @param answer is told what was heard so far, with each sound
   */
  LiveTake(PlanService planner, Consumer<Followed> answer) {
    this.planner = planner;
    matching = planner.questions();
    this.answer = answer;
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
              following = Optional.of(new Following(drill, share, input.isReal()));
              Told told = new Told(mine);
              listening = Optional.of(new LiveListening(input, a4, told));
            },
            planner.fault(LISTENING));
  }

  void end() {
    begun++;
    listening.ifPresent(LiveListening::close);
    listening = Optional.empty();
    following = Optional.empty();
    matching.forget();
    heardBy.set("");
  }

  /** What was heard counts no more; what comes does. */
  void forget() {
    matching.forget();
    following = following.map(Following::anew);
  }

  private static SoundInput simulated(Performance drill, double share) {
    List<ExpectedStroke> expected = TapRecorder.scaled(drill, share);
    double tempo = drill.arrangement().song().tempo() * share;
    SimulatedPlayer.Playing playing =
        SimulatedPlayer.steady(Math.round(tempo)).play(expected, tempo);
    float[] samples = SimulatedMicrophone.QUIET_ROOM.hear(drill, playing, Map.of(), 1);
    return new PlayedInput(samples, RATE, 1);
  }

  /** A drill that is followed sound by sound, away from the interface’s thread. */
  private static final class Following {

    private final Performance drill;
    private final double share;
    private final boolean real;
    private final Queue<HeardSound> waiting = new ConcurrentLinkedQueue<>();
    private final SoundMatching matching;

    Following(Performance drill, double share, boolean real) {
      this.drill = drill;
      this.share = share;
      this.real = real;
      int from = drill.arrangement().timeline().bars().get(0).startTick();
      matching = new SoundMatching(drill, from, Integer.MAX_VALUE, 1 / share);
    }

    Following anew() {
      return new Following(drill, share, real);
    }

    /** Goes on with what waits; one thread at a time. */
    synchronized Followed goOn() {
      List<HeardSound> more = new ArrayList<>();
      for (HeardSound sound = waiting.poll(); sound != null; sound = waiting.poll()) {
        more.add(sound);
      }
      matching.hear(more);
      return new Followed(matching.report().soFar(), matching.place(), real);
    }
  }

  /** What the listening thread tells, taken over to the interface’s. */
  private final class Told implements LiveListening.Ear {

    private final int mine;

    Told(int mine) {
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
      then(() -> following.ifPresent(f -> follow(f, more)));
    }

    private void follow(Following drill, List<HeardSound> more) {
      drill.waiting.addAll(more);
      matching.ask(
          drill::goOn,
          heard -> {
            if (mine == begun) {
              answer.accept(heard);
            }
          },
          planner.fault(LISTENING));
    }

    @Override
    public void ended(String why) {
      then(
          () -> {
            listening = Optional.empty();
            heardBy.set("");
            if (!why.isEmpty()) {
              planner.fault(LISTENING).accept(new IOException(why));
            }
          });
    }
  }
}
