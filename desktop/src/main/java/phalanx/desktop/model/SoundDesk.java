package phalanx.desktop.model;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.play.Card;
import phalanx.sound.play.Heard;
import phalanx.sound.play.Player;
import phalanx.sound.play.Start;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.score.CountIn;
import phalanx.sound.score.Score;
import phalanx.sound.score.Sequencer.Clicks;
import phalanx.sound.score.Sequencer.Loop;
import phalanx.sound.score.Sketch;
import phalanx.sound.strings.Levels;

/**
 * What is heard of the song: where it plays, round which bars, how fast, how loud. Used on the
 * interface's thread; the player has a thread of its own.
 */
public final class SoundDesk {

  /** Slowest and fastest against the song's own tempo, per cent. */
  public static final int SLOWEST = 30;

  public static final int FASTEST = 150;

  /** How often a pattern is played to hear it. */
  static final int ROUNDS = 2;

  /** Plans of which one is heard while the others wait for a bar line, or are given up. */
  private static final int MOST_WAITING = 64;

  /** A plan, and what is played of it. */
  private record Planned(Score score, Performance performance) {}

  private final Workspace workspace;
  private final Player player;
  private final Cards cards;
  private final Deque<Planned> scores = new ArrayDeque<>();
  private final ReadOnlyBooleanWrapper playing = new ReadOnlyBooleanWrapper();
  private final ReadOnlyObjectWrapper<Optional<HeardPlace>> place =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyStringWrapper cardWords = new ReadOnlyStringWrapper("");
  private final ObjectProperty<Optional<LoopBars>> loop =
      new SimpleObjectProperty<>(Optional.empty());
  private final IntegerProperty percent = new SimpleIntegerProperty(100);
  private final IntegerProperty countIn = new SimpleIntegerProperty();
  private final ObjectProperty<Clicks> clicks = new SimpleObjectProperty<>(Clicks.NOTHING);
  private final ObjectProperty<Levels> levels = new SimpleObjectProperty<>(Levels.USUAL);
  private final ObjectProperty<RenderOptions> fileFormat =
      new SimpleObjectProperty<>(RenderOptions.USUAL);
  private Optional<Double> resume = Optional.empty();
  private boolean sketching;

  SoundDesk(Workspace workspace, Executor interfaceThread) {
    this.workspace = workspace;
    cards =
        new Cards(
            interfaceThread,
            f -> workspace.faults().tell("Sound devices could not be looked for", f));
    player = new Player(cards.silent(), new Told(interfaceThread));
    cards.chosenProperty().addListener((o, before, now) -> use(now));
    workspace.performanceProperty().addListener(o -> follow());
    workspace.selectedProperty().addListener(o -> resume = Optional.empty());
    loop.addListener((o, before, now) -> player.loop(currentLoop()));
    percent.addListener((o, before, now) -> player.tempo(now.intValue() / 100.0));
    clicks.addListener((o, before, now) -> player.clicks(now));
    levels.addListener((o, before, now) -> player.levels(now));
  }

  /** The devices there are, and which of them plays. */
  public Cards cards() {
    return cards;
  }

  private void use(Card card) {
    player.use(card);
    tell(card);
    if (playing.get()) {
      pause();
      play();
    }
  }

  private void tell(Card card) {
    cardWords.set(card.isReal() ? "" : "silent: " + card.name());
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
    resume = Optional.empty();
    Performance performance = workspace.performanceProperty().get();
    if (playing.get() && performance != null) {
      player.go(from(performance));
    } else {
      play();
    }
  }

  /** Stops and forgets where it was. */
  public void stop() {
    player.stop();
    playing.set(false);
    place.set(Optional.empty());
    resume = Optional.empty();
  }

  /** Another song is opened: nothing of this one is played any more. */
  void leave() {
    stop();
    loop.set(Optional.empty());
  }

  private void pause() {
    resume = player.heard().map(Heard::seconds).filter(s -> s > 0);
    player.stop();
    playing.set(false);
  }

  private void play() {
    Performance performance = workspace.performanceProperty().get();
    if (performance == null || performance.arrangement().timeline().bars().isEmpty()) {
      return;
    }
    sketching = false;
    playing.set(true);
    double from = from(performance);
    int counted = resume.isPresent() ? 0 : countIn.get();
    Optional<LoopBars> round = loop.get();
    double tempo = percent.get() / 100.0;
    Clicks clicked = clicks.get();
    Levels loud = levels.get();
    cards.whenKnown(
        () ->
            player.play(
                () -> {
                  Score score = score(performance);
                  CountIn before = CountIn.of(score, score.barAt(from + 1e-6), counted);
                  return new Start(
                      score, from, LoopBars.in(performance, round), before, tempo, clicked, loud);
                }));
  }

  /**
   * Where it begins: where it paused, or at the selected chord; within the loop if there is one.
   */
  private double from(Performance performance) {
    double selected =
        workspace
            .selectedSlot()
            .map(Slot::played)
            .map(s -> performance.clock().seconds(s.tick(), 0))
            .orElse(0.0);
    double from = resume.filter(r -> r < performance.seconds()).orElse(selected);
    Optional<Loop> round = LoopBars.in(performance, loop.get());
    return round.filter(l -> from < l.from() || from >= l.to()).map(Loop::from).orElse(from);
  }

  private Score score(Performance performance) {
    Score score = Score.of(performance);
    synchronized (scores) {
      scores.addLast(new Planned(score, performance));
      if (scores.size() > MOST_WAITING) {
        scores.removeFirst();
      }
    }
    return score;
  }

  private Optional<Loop> currentLoop() {
    Performance performance = workspace.performanceProperty().get();
    return performance == null ? Optional.empty() : LoopBars.in(performance, loop.get());
  }

  /** An edit is heard from the next bar on. */
  private void follow() {
    Performance next = workspace.performanceProperty().get();
    if (next != null && loop.get().isPresent() && LoopBars.in(next, loop.get()).isEmpty()) {
      // The bars it went round are gone.
      loop.set(Optional.empty());
    }
    Optional<LoopBars> round = loop.get();
    if (playing.get() && next != null) {
      player.change(() -> score(next), s -> LoopBars.in(next, round));
    }
  }

  /** Goes round written bars, the first time they are played, or not any more. */
  public void toggleLoop(Set<Integer> written) {
    Performance performance = workspace.performanceProperty().get();
    if (loop.get().isPresent() || performance == null) {
      loop.set(Optional.empty());
      return;
    }
    IntSummaryStatistics bars =
        written.stream()
            .flatMap(
                id ->
                    performance.arrangement().timeline().bars().stream()
                        .filter(b -> b.written() == id)
                        .limit(1))
            .mapToInt(PlayedBar::number)
            .summaryStatistics();
    if (bars.getCount() > 0) {
      loop.set(Optional.of(new LoopBars(bars.getMin(), bars.getMax())));
    }
  }

  /** Goes round the bars of the selected chords, or not any more. */
  public void toggleLoop() {
    if (loop.get().isPresent()) {
      loop.set(Optional.empty());
      return;
    }
    List<Slot> slots = workspace.range().slots();
    if (!slots.isEmpty()) {
      int first = slots.get(0).played().bar();
      int last = slots.get(slots.size() - 1).played().bar();
      loop.set(Optional.of(new LoopBars(first, last)));
    }
  }

  /** Lets a shape be heard. */
  public void hear(Shape shape) {
    Guitar guitar = workspace.song().guitar();
    Levels loud = levels.get();
    sketch(() -> Start.plain(Sketch.shape(guitar, shape), loud));
  }

  /** Lets a place on the neck be heard; string 0 for ⑥ to 5 for ①. */
  public void hear(int string, int fret) {
    Guitar guitar = workspace.song().guitar();
    Levels loud = levels.get();
    sketch(() -> Start.plain(Sketch.note(guitar, string, fret), loud));
  }

  /** Lets a plan be heard that is not the song's, such as a pattern on one chord. */
  void hear(Supplier<Performance> other) {
    double tempo = percent.get() / 100.0;
    Levels loud = levels.get();
    sketch(
        () -> {
          Score score = Score.of(other.get());
          return new Start(score, 0, Optional.empty(), CountIn.NONE, tempo, Clicks.NOTHING, loud);
        });
  }

  private void sketch(Supplier<Start> start) {
    if (playing.get()) {
      return;
    }
    sketching = true;
    cards.whenKnown(() -> player.play(start));
  }

  /** Looks where it is; called with every picture while it plays. */
  public void look() {
    player.watch();
    Optional<Heard> heard = playing.get() ? player.heard() : Optional.empty();
    heard.ifPresent(
        h ->
            performance(h.score())
                .ifPresent(p -> place.set(Optional.of(HeardPlace.of(p, h.seconds())))));
  }

  private Optional<Performance> performance(Score score) {
    synchronized (scores) {
      return scores.stream().filter(p -> p.score() == score).map(Planned::performance).findFirst();
    }
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
  public ObjectProperty<Optional<LoopBars>> loopProperty() {
    return loop;
  }

  /** The tempo against the song's own, per cent. */
  public IntegerProperty percentProperty() {
    return percent;
  }

  /** Bars of clicks before it begins. */
  public IntegerProperty countInProperty() {
    return countIn;
  }

  /** What the metronome clicks. */
  public ObjectProperty<Clicks> clicksProperty() {
    return clicks;
  }

  /** Rate and size of samples of sound files. */
  public ObjectProperty<RenderOptions> fileFormatProperty() {
    return fileFormat;
  }

  /** How the song is written as sound: as it is heard now. */
  public RenderOptions fileOptions() {
    return fileFormat.get().asHeard(levels.get());
  }

  /** How loud each layer is. */
  public ObjectProperty<Levels> levelsProperty() {
    return levels;
  }

  /** That nothing is really heard, and on what it plays; empty where a real device plays. */
  public ReadOnlyStringProperty cardWordsProperty() {
    return cardWords.getReadOnlyProperty();
  }

  /** Gives the card back; the window closes. */
  public void close() {
    player.close();
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
              resume = Optional.empty();
            }
          });
    }

    @Override
    public void card(Card card) {
      then(() -> tell(card));
    }

    @Override
    public void trouble(String words) {
      then(
          () -> {
            playing.set(false);
            String told =
                "Playing stopped: " + words + ". Nothing is lost; choose a device in Sound.";
            if (!workspace.problems().contains(told)) {
              workspace.problems().add(told);
            }
            cards.lost();
          });
    }

    @Override
    public void fault(Throwable fault) {
      workspace.faults().tell("Playing did not work", fault);
    }
  }
}
