package phalanx.desktop.model;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.arrangement.Slot;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.device.AudioDevices;
import phalanx.desktop.texts.Texts;
import phalanx.performance.Performance;
import phalanx.sound.play.AudioDevice;
import phalanx.sound.play.Heard;
import phalanx.sound.play.Player;
import phalanx.sound.play.Stage;
import phalanx.sound.play.Start;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Material;

/**
 * What is heard of the song: where it plays, round which bars. Used on the interface's thread; the
 * player has a thread of its own.
 */
public final class PlaybackController {

  /** How often a pattern is played to hear it. */
  static final int ROUNDS = 2;

  /** What is left of the meter from one picture to the next. */
  private static final double METER_FALLS = 0.9;

  private final OpenSong open;
  private final ChordChoice chords;
  private final Player player;
  private final AudioDevices devices;
  private final PlayedPlans plans = new PlayedPlans();
  private final ReadOnlyBooleanWrapper playing = new ReadOnlyBooleanWrapper();
  private final ReadOnlyObjectWrapper<Optional<HeardPlace>> place =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyStringWrapper cardWords = new ReadOnlyStringWrapper("");
  private final ReadOnlyStringWrapper guitarWords = new ReadOnlyStringWrapper("");
  private final ReadOnlyDoubleWrapper level = new ReadOnlyDoubleWrapper();
  private final SoundSettings settings = new SoundSettings();
  private final LoopChoice loop;

  private final PlayedStage stage;
  private final Audition audition;

  /** Where it paused, in ticks, so that a change of tempo does not move it. */
  private OptionalInt resume = OptionalInt.empty();

  /**
   * Counts what was asked for: what waits for the devices and is no longer wanted is not played.
   */
  private int asked;

  private boolean sketching;

  PlaybackController(OpenSong open, ChordChoice chords, SlotRange selected, PlanService planner) {
    Executor interfaceThread = planner.interfaceThread();
    this.open = open;
    this.chords = chords;
    loop = new LoopChoice(open, selected);
    devices =
        new AudioDevices(
            interfaceThread,
            f -> open.faults().tell(Texts.of("playbackController.soundDevicesCouldNot"), f));
    player = new Player(devices.silent(), new Told(interfaceThread));
    stage = new PlayedStage(settings, player, planner);
    audition = new Audition(new Beside(), open, settings, stage);
    devices.chosenProperty().addListener((o, before, now) -> use(now));
    open.performanceProperty().addListener(o -> follow());
    chords.placeProperty().addListener(o -> moved());
    loop.property().addListener(o -> goRound());
    settings.percentProperty().addListener(o -> player.tempo(settings.tempo()));
    settings.clicksProperty().addListener((o, before, now) -> player.clicks(now));
    settings.levelsProperty().addListener((o, before, now) -> player.levels(now));
    settings.interpretationProperty().addListener(o -> follow());
    settings.bodyProperty().addListener(o -> otherPlace());
    settings.hallProperty().addListener(o -> otherPlace());
    open.historyProperty().addListener(o -> tellGuitar());
    playing.addListener(o -> level.set(0));
    tellGuitar();
  }

  /** How high the sound is just now, 0 to 1; it falls more slowly than it rises, as meters do. */
  public ReadOnlyDoubleProperty levelProperty() {
    return level.getReadOnlyProperty();
  }

  /** What the song’s guitar is strung with. */
  public ReadOnlyStringProperty guitarWordsProperty() {
    return guitarWords.getReadOnlyProperty();
  }

  private void tellGuitar() {
    guitarWords.set(Material.of(open.song().guitar()).words());
  }

  private void otherPlace() {
    stage.change();
    Performance now = open.performanceProperty().get();
    if (playing.get() && now != null) {
      stage.measure(now);
    }
  }

  /** Works away from the interface, and does there what comes of it. */
  public void inBackground(Supplier<Runnable> work) {
    stage.inBackground(work);
  }

  /** Another chord is selected by the player, not by a new plan: it begins there. */
  private void moved() {
    if (!open.isSettling()) {
      resume = OptionalInt.empty();
    }
  }

  /** A loop that follows its bars into a new plan is taken over with that plan. */
  private void goRound() {
    if (!loop.isSettling()) {
      player.loop(loop.now());
    }
  }

  /** The devices there are, and which of them plays. */
  public AudioDevices devices() {
    return devices;
  }

  private void use(AudioDevice card) {
    player.use(card);
    tell(card);
    if (playing.get()) {
      pause();
      play();
    }
  }

  private void tell(AudioDevice card) {
    cardWords.set(card.isReal() ? "" : Texts.of("playbackController.silent", card.name()));
  }

  /** Plays on, or pauses. */
  public void toggle() {
    if (playing.get()) {
      pause();
    } else {
      play();
    }
  }

  /** Goes to the selected chord, or begins there. */
  public void playFromSelection() {
    resume = OptionalInt.empty();
    Performance performance = open.performanceProperty().get();
    if (playing.get() && performance != null) {
      player.go(from(performance));
    } else {
      play();
    }
  }

  /** Stops and forgets where it was. */
  public void stop() {
    asked++;
    player.stop();
    playing.set(false);
    place.set(Optional.empty());
    resume = OptionalInt.empty();
  }

  /** Another song is opened: nothing of this one is played any more. */
  void leave() {
    stop();
    loop.clear();
  }

  private void pause() {
    asked++;
    resume =
        player
            .heard()
            .filter(h -> h.seconds() > 0)
            .flatMap(h -> plans.of(h.score()).map(p -> p.clock().tickAt(h.seconds())))
            .map(OptionalInt::of)
            .orElse(OptionalInt.empty());
    player.stop();
    playing.set(false);
  }

  private void play() {
    Performance performance = open.performanceProperty().get();
    if (performance == null || performance.arrangement().timeline().bars().isEmpty()) {
      return;
    }
    sketching = false;
    playing.set(true);
    stage.measure(performance);
    Interpretation interpretation = settings.interpretationProperty().get();
    int mine = ++asked;
    double from = from(performance);
    int counted = resume.isPresent() ? 0 : settings.countInProperty().get();
    Optional<LoopBars> round = loop.property().get();
    double tempo = settings.tempo();
    Clicks clicked = settings.clicksProperty().get();
    Levels loud = settings.levelsProperty().get();
    Stage where = stage.now();
    ifStillWanted(
        mine,
        () ->
            player.play(
                () -> {
                  EventSequence score = plans.score(performance, interpretation);
                  CountIn before = CountIn.of(score, score.barAt(from + 1e-6), counted);
                  return new Start(
                      score,
                      from,
                      LoopBars.in(performance, round),
                      before,
                      tempo,
                      clicked,
                      loud,
                      where);
                }));
  }

  /** Once the devices are known, unless something else was asked for meanwhile. */
  private void ifStillWanted(int mine, Runnable then) {
    devices.whenKnown(
        () -> {
          if (mine == asked) {
            then.run();
          }
        });
  }

  /**
   * Where it begins: where it paused, or at the selected chord; within the loop if there is one.
   */
  private double from(Performance performance) {
    double selected =
        chords
            .slot()
            .map(Slot::played)
            .map(s -> performance.clock().seconds(s.tick(), 0))
            .orElse(0.0);
    double from = selected;
    if (resume.isPresent()
        && resume.getAsInt() < performance.arrangement().timeline().lengthTicks()) {
      from = performance.clock().seconds(resume.getAsInt(), 0);
    }
    double begun = from;
    Optional<Loop> round = LoopBars.in(performance, loop.property().get());
    return round.filter(l -> begun < l.from() || begun >= l.to()).map(Loop::from).orElse(begun);
  }

  /** An edit is heard from the next bar on. */
  private void follow() {
    Performance next = open.performanceProperty().get();
    loop.settle();
    Optional<LoopBars> round = loop.property().get();
    boolean empty = next == null || next.arrangement().timeline().bars().isEmpty();
    if (playing.get() && empty) {
      stop();
    } else if (playing.get()) {
      stage.measure(next);
      Interpretation interpretation = settings.interpretationProperty().get();
      player.change(() -> plans.score(next, interpretation), s -> LoopBars.in(next, round));
    }
  }

  /** Single things that are heard beside the song. */
  public Audition audition() {
    return audition;
  }

  /**
   * Where in what plays it is heard now, s at its own tempo; less than 0 while it is counted in.
   */
  OptionalDouble heardSeconds() {
    return player.heard().map(h -> OptionalDouble.of(h.seconds())).orElse(OptionalDouble.empty());
  }

  /** Looks where it is; called with every picture while it plays. */
  public void look() {
    player.watch();
    level.set(Math.max(player.peak(), METER_FALLS * level.get()));
    Optional<Heard> heard = playing.get() ? player.heard() : Optional.empty();
    heard.ifPresent(
        h ->
            plans
                .of(h.score())
                .filter(p -> !p.arrangement().timeline().bars().isEmpty())
                .map(p -> HeardPlace.of(p, h.seconds()))
                .ifPresent(p -> place.set(Optional.of(isCalm() ? p.onBeat() : p))));
  }

  /** Whether what runs along steps from beat to beat. */
  boolean isCalm() {
    return open.viewing().appearanceProperty().get().calm();
  }

  /** Whether anything is heard, the song or one thing of it. */
  public boolean isHeard() {
    return player.isPlaying() && player.heard().isPresent();
  }

  /** Whether the song plays. */
  public ReadOnlyBooleanProperty playingProperty() {
    return playing.getReadOnlyProperty();
  }

  /** Where it is heard; stays where it paused. */
  public ReadOnlyObjectProperty<Optional<HeardPlace>> placeProperty() {
    return place.getReadOnlyProperty();
  }

  /** The bars that are played round and round. */
  public LoopChoice loop() {
    return loop;
  }

  /** How fast, how loud, with which clicks. */
  public SoundSettings settings() {
    return settings;
  }

  /** That nothing is really heard, and on what it plays; empty where a real device plays. */
  public ReadOnlyStringProperty cardWordsProperty() {
    return cardWords.getReadOnlyProperty();
  }

  /** Gives the card back; the window closes. */
  public void close() {
    player.close();
  }

  /** Something else is heard than the song. */
  private final class Beside implements Audition.Turn {

    @Override
    public boolean isSongPlaying() {
      return playing.get();
    }

    @Override
    public void stopSong() {
      stop();
    }

    @Override
    public void play(Supplier<Start> start) {
      sketching = true;
      int mine = ++asked;
      ifStillWanted(mine, () -> player.play(start::get));
    }
  }

  /** What the player's thread tells, taken over to the interface's. */
  private final class Told implements Player.Listener {

    private final Executor interfaceThread;

    Told(Executor interfaceThread) {
      this.interfaceThread = interfaceThread;
    }

    private void then(Runnable news) {
      interfaceThread.execute(news);
    }

    @Override
    public void playing(boolean now) {
      then(
          () -> {
            if (!now && !player.isPlaying() && playing.get() && !sketching) {
              playing.set(false);
              place.set(Optional.empty());
              resume = OptionalInt.empty();
            }
          });
    }

    @Override
    public void card(AudioDevice card) {
      then(() -> tell(card));
    }

    @Override
    public void trouble(String words) {
      then(
          () -> {
            playing.set(false);
            String told = Texts.of("playbackController.playingStoppedNothingIs", words);
            if (!open.problems().contains(told)) {
              open.problems().add(told);
            }
            devices.lost();
          });
    }

    @Override
    public void fault(Throwable fault) {
      open.faults().tell(Texts.of("playbackController.playingDidNotWork"), fault);
    }
  }
}
