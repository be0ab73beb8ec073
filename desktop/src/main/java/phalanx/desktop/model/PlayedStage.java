package phalanx.desktop.model;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.model.SoundPreset.OwnResponse;
import phalanx.desktop.texts.Texts;
import phalanx.performance.Performance;
import phalanx.sound.play.Player;
import phalanx.sound.play.Stage;
import phalanx.sound.render.SongLoudness;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.strings.ImpulseResponse;

/**
 * Where the song is played, and how much louder or softer it is made to be as loud as songs are.
 */
final class PlayedStage {

  private final SoundSettings settings;
  private final Player player;
  private final NewestAnswer measuring;
  private final NewestAnswer reading;
  private final Consumer<Throwable> fault;

  /** What brings the song to the loudness songs have; that of before until it is known. */
  private double gain = 1;

  PlayedStage(SoundSettings settings, Player player, PlanService planner) {
    this.settings = settings;
    this.player = player;
    measuring = planner.questions();
    reading = planner.questions();
    fault = planner.fault(Texts.of("playedStage.howLoudTheSong"));
    settings.roomProperty().addListener(o -> player.room(settings.roomProperty().get()));
  }

  /** As it is set now. */
  Stage now() {
    return new Stage(
        settings.a4Property().get(), settings.roomProperty().get(), body(), hall(), gain);
  }

  /** Listens to the song away from the player, and makes it as loud as songs are. */
  void measure(Performance performance) {
    Interpretation interpretation = settings.interpretationProperty().get();
    Optional<ImpulseResponse> ownBody = body();
    Optional<ImpulseResponse> ownHall = hall();
    measuring.ask(
        () ->
            SongLoudness.gain(
                EventSequence.of(performance, interpretation),
                SongLoudness.USUAL,
                i -> {
                  i.body(ownBody);
                  i.room(ownHall);
                }),
        found -> {
          gain = found;
          player.gain(found);
        },
        fault);
  }

  /** Another body or room is heard at once. */
  void change() {
    player.sounding(body(), hall());
  }

  private Optional<ImpulseResponse> body() {
    return settings.bodyProperty().get().map(OwnResponse::response);
  }

  private Optional<ImpulseResponse> hall() {
    return settings.hallProperty().get().map(OwnResponse::response);
  }

  /** Works away from the interface, and does there what comes of it. */
  void inBackground(Supplier<Runnable> work) {
    reading.ask(work, Runnable::run, fault);
  }
}
