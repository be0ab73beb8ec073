package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.advice.Advised;
import phalanx.advice.Advisor;
import phalanx.advice.Ranked;
import phalanx.advice.SettingSuggestion;
import phalanx.advice.Shortlist;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.performance.Performance;
import phalanx.song.Song;

/**
 * The search for an easier key, capo or tuning, and the way the player looks at. One search at a
 * time, on a thread of its own that ends with it; what it finds comes in as it is found.
 */
public final class AdviceViewModel {

  /** Ways that are shown. */
  public static final int SHOWN = 12;

  private static final List<Integer> CAPOS = IntStream.rangeClosed(0, 9).boxed().toList();

  private final OpenSong open;
  private final GuitarBench bench;
  private final PlanService planner;
  private final Executor searches;
  private final BooleanProperty anyKey = new SimpleBooleanProperty();
  private final BooleanProperty usualTunings = new SimpleBooleanProperty();
  private final BooleanProperty previewing = new SimpleBooleanProperty();
  private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(State.NONE);
  private final ObjectProperty<Optional<Advised>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Performance>> preview =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private Optional<Inquiry> search = Optional.empty();
  private Optional<Song> searched = Optional.empty();

  /**
   * How far the search is.
   *
   * @param running whether it still goes on
   * @param done ways weighed so far
   * @param all ways to weigh
   * @param now how the song is as it is; empty before a search
   * @param best the easiest ways found so far
   */
  public record State(
      boolean running, int done, int all, Optional<Advised> now, List<Advised> best) {

    static final State NONE = new State(false, 0, 0, Optional.empty(), List.of());

    State stopped() {
      return new State(false, done, all, now, best);
    }
  }

  AdviceViewModel(OpenSong open, GuitarBench bench, PlanService planner, Executor searches) {
    this.open = open;
    this.bench = bench;
    this.planner = planner;
    this.searches = searches;
    open.historyProperty().addListener(o -> follow());
    chosen.addListener(o -> lookAtChosen());
  }

  /** Runs a search on a thread that ends with it. */
  static void onItsOwn(Runnable search) {
    Thread thread = new Thread(search, "advice");
    thread.setDaemon(true);
    thread.start();
  }

  /** A search with what it has found; its results come in from several threads. */
  private final class Inquiry {

    private final List<Ranked> found = Collections.synchronizedList(new ArrayList<>());
    private final AtomicBoolean cancelled = new AtomicBoolean();
    private final AtomicBoolean told = new AtomicBoolean();
    private final Song song;
    private final List<Tuning> tunings;
    private final boolean keepSound;
    private volatile int all;
    private volatile Optional<Advised> now = Optional.empty();

    Inquiry(Song song, List<Tuning> tunings, boolean keepSound) {
      this.song = song;
      this.tunings = tunings;
      this.keepSound = keepSound;
    }

    void run() {
      try {
        now = Optional.of(Advisor.now(song));
        List<SettingSuggestion> ways = Advisor.ways(song, CAPOS, tunings, keepSound);
        all = ways.size();
        tell(true);
        Consumer<Ranked> news =
            r -> {
              found.add(r);
              tell(true);
            };
        Advisor.rank(song, ways, SHOWN, news, cancelled::get);
        tell(false);
      } catch (RuntimeException | Error e) {
        planner
            .interfaceThread()
            .execute(
                () -> {
                  open.faults().tell(Texts.of("adviceViewModel.otherWaysToPlay"), e);
                  stop();
                });
      }
    }

    /** Many results that come at once are shown at once. */
    private void tell(boolean running) {
      if (running && !told.compareAndSet(false, true)) {
        return;
      }
      planner
          .interfaceThread()
          .execute(
              () -> {
                told.set(false);
                if (search.equals(Optional.of(this))) {
                  List<Ranked> sofar = List.copyOf(found);
                  state.set(new State(running, sofar.size(), all, now, Shortlist.of(sofar, SHOWN)));
                  search = running ? search : Optional.empty();
                }
              });
    }
  }

  /** Begins to search; a search that still runs is called off. */
  public void start() {
    stop();
    chosen.set(Optional.empty());
    Song song = open.song();
    List<Tuning> tunings =
        Stream.concat(
                Stream.of(song.guitar().tuning(), bench.tuningProperty().get()),
                Stream.of(UsualTuning.values())
                    .filter(t -> usualTunings.get())
                    .map(UsualTuning::tuning))
            .distinct()
            .toList();
    Inquiry next = new Inquiry(song, tunings, !anyKey.get());
    search = Optional.of(next);
    searched = Optional.of(song);
    state.set(new State(true, 0, 0, Optional.empty(), List.of()));
    searches.execute(next::run);
  }

  /** Begins to search, or calls the search off. */
  public void toggle() {
    if (state.get().running()) {
      stop();
    } else {
      start();
    }
  }

  /** Calls the search off; what it has found stays. */
  public void stop() {
    search.ifPresent(s -> s.cancelled.set(true));
    search = Optional.empty();
    state.set(state.get().stopped());
  }

  /** What was weighed is of no use for another song. */
  private void follow() {
    boolean other = searched.filter(s -> !s.planned().equals(open.song().planned())).isPresent();
    if (other) {
      stop();
      searched = Optional.empty();
      chosen.set(Optional.empty());
      state.set(State.NONE);
    }
  }

  private void lookAtChosen() {
    previewing.set(previewing.get() && chosen.get().isPresent());
    preview.set(Optional.empty());
    chosen
        .get()
        .ifPresent(a -> planner.preview(a.song(), played -> preview.set(Optional.of(played))));
  }

  /** Has the song played the way that is looked at; can be undone. */
  public void apply() {
    chosen.get().ifPresent(a -> open.resettle(song -> a.way().of(song)));
  }

  /** Whether it may sound in any key. */
  public BooleanProperty anyKeyProperty() {
    return anyKey;
  }

  /** Whether all usual tunings are weighed besides the song's and the one on the bench. */
  public BooleanProperty usualTuningsProperty() {
    return usualTunings;
  }

  /** How far the search is and what it has found. */
  public ReadOnlyObjectProperty<State> stateProperty() {
    return state.getReadOnlyProperty();
  }

  /** The way the player looks at. */
  public ObjectProperty<Optional<Advised>> chosenProperty() {
    return chosen;
  }

  /** Its plan; empty until it is ready. */
  public ReadOnlyObjectProperty<Optional<Performance>> previewProperty() {
    return preview.getReadOnlyProperty();
  }

  /** Whether its plan is shown. */
  public BooleanProperty previewingProperty() {
    return previewing;
  }
}
