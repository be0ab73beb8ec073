package phalanx.desktop.model;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.SlotBoard;
import phalanx.chart.Retuning;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.background.PlannedSong;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Review;
import phalanx.level.PlanLevel;
import phalanx.performance.Performance;
import phalanx.song.History;
import phalanx.song.Song;
import phalanx.song.SongBounds;

/**
 * The open song with its history and its file, the newest plan of it, the selected slot, and how
 * the player wants to see it. All of it is read and changed on the interface's thread; the planning
 * itself happens elsewhere.
 */
public final class Workspace implements OpenSong {

  private final ReadOnlyIntegerWrapper opened = new ReadOnlyIntegerWrapper();
  private final PlanService planner;
  private final ReadOnlyObjectWrapper<History<Song>> history = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private Optional<PlannedSong> planned = Optional.empty();
  private final PartProperty<Performance> performance =
      new PartProperty<>(() -> planned.map(PlannedSong::performance).orElse(null));
  private final PartProperty<Arrangement> arrangement =
      new PartProperty<>(() -> planned.map(PlannedSong::arrangement).orElse(null));
  private final PartProperty<Optional<PlanLevel>> level =
      new PartProperty<>(() -> planned.flatMap(PlannedSong::level));
  private final PartProperty<Optional<Review>> review =
      new PartProperty<>(() -> planned.flatMap(PlannedSong::review));
  private final ReadOnlyObjectWrapper<Optional<SlotBoard>> board =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private Optional<Arrangement> boardOf = Optional.empty();
  private final AwaitedPlan awaited = new AwaitedPlan();
  private final ReadOnlyBooleanWrapper planning = new ReadOnlyBooleanWrapper();
  private final ReadOnlyBooleanWrapper unsaved = new ReadOnlyBooleanWrapper();
  private final Typing typing = new Typing();
  private final ChordChoice chord = new ChordChoice(this);
  private final ObjectProperty<Screen> screen = new SimpleObjectProperty<>(Screen.ARRANGE);
  private final Viewing viewing = new Viewing();
  private final ObjectProperty<Optional<FingerChoice>> finger =
      new SimpleObjectProperty<>(Optional.empty());
  private final NoteChoice notes = new NoteChoice(this, chord);
  private final SlotRange range;
  private final ShapePins pins;
  private final DampPins damps = new DampPins(this, chord);
  private final HandViewModel hands;
  private final ViewModels models;
  private final FaultNotices faults;
  private boolean settling;
  private final ObservableList<String> problems = FXCollections.observableArrayList();

  public Workspace(PlanService planner) {
    this.planner = planner;
    faults = new FaultNotices(problems, planner.interfaceThread());
    planner.tellFaults(faults::tell);
    history.set(History.of(Song.untitled()));
    range = new SlotRange(this, chord);
    pins = new ShapePins(this, chord, range);
    arrangement.addListener(o -> askForBoard());
    chord.placeProperty().addListener(o -> askForBoard());
    viewing.filterProperty().addListener(o -> askForBoard());
    screen.addListener(o -> askForBoard());
    hands = new HandViewModel(this, planner, this::fitHand);
    models = new ViewModels(this, chord, range, planner, hands);
  }

  /**
   * Shows another song, forgetting the one before and its history.
   *
   * @param openProblems what the player should know of it
   */
  public void open(Song next, List<String> openProblems) {
    Song song = hands.fitted(next);
    awaited.failed();
    models.sound().leave();
    chord.select(0);
    problems.setAll(openProblems);
    history.set(History.of(song));
    opened.set(opened.get() + 1);
    // Nothing of the song before is shown, touched or heard while the new one is planned.
    board.set(Optional.empty());
    if (planned.isPresent()) {
      publish(planner.nothing());
    }
    plan();
  }

  /** Notes which file the song lies in, and whether it has changes that lie in none. */
  public void lies(Optional<Path> where, boolean withChanges) {
    file.set(where);
    unsaved.set(withChanges);
  }

  /** What a song is known by in its file it is known by from now on, in all it was before too. */
  public void identify(Song saved) {
    saved
        .id()
        .filter(id -> !song().id().equals(Optional.of(id)))
        .ifPresent(id -> history.set(history.get().throughout(s -> s.withId(id))));
  }

  /** Plans the song for the player's hand, unless it asks for its own; nothing to undo. */
  private void fitHand() {
    if (!hands.fitted(song()).equals(song())) {
      become(history.get().throughout(hands::fitted));
    }
  }

  @Override
  public ReadOnlyIntegerProperty openedProperty() {
    return opened.getReadOnlyProperty();
  }

  /** Changes the song; can be undone. */
  @Override
  public void edit(UnaryOperator<Song> change) {
    try {
      become(history.get().edit(change));
    } catch (SongBounds.TooLarge e) {
      problems.add(Texts.of("workspace.thisChangeCannotBe", e.getMessage()));
    }
  }

  /**
   * Changes the song's key, capo or tuning; can be undone. What pins no longer hold then is said.
   */
  @Override
  public void resettle(UnaryOperator<Song> change) {
    Song before = song();
    edit(change);
    List<Retuning.Lost> lost = Retuning.lost(before, song(), viewing.namingProperty().get());
    if (!lost.isEmpty()) {
      problems.add(
          Texts.of(
              "workspace.thesePinsNoLonger",
              lost.stream().map(Retuning.Lost::words).collect(Collectors.joining("; "))));
    }
  }

  /** Takes the last change back. */
  public void undo() {
    become(history.get().undo());
  }

  /** Makes the change last taken back again. */
  public void redo() {
    become(history.get().redo());
  }

  private void become(History<Song> next) {
    if (next != history.get()) {
      history.set(next);
      plan();
    }
  }

  private void plan() {
    planning.set(true);
    Song song = history.get().present();
    Arrangement before = arrangement.get();
    Consumer<Throwable> fault =
        f -> {
          planning.set(false);
          awaited.failed();
          faults.tell(Texts.of("workspace.thisSongCouldNot"), f);
        };
    if (before != null && before.song().planned().equals(song.planned())) {
      planner.plan(before, song, this::planned, fault);
    } else if (before == null || before == planner.nothing().arrangement()) {
      planner.planAnew(song, this::publish, this::planned, fault);
    } else {
      planner.plan(song, this::planned, fault);
    }
  }

  private void planned(PlannedSong done) {
    publish(done);
    planning.set(false);
    awaited.came(done);
  }

  /**
   * Does something with the plan of the song as it stands: at once, or as soon as it is there.
   *
   * @param never runs instead where it never comes, because another song was opened meanwhile or it
   *     could not be planned
   */
  public void whenPlanned(Consumer<PlannedSong> use, Runnable never) {
    if (planning.get()) {
      awaited.add(use, never);
    } else {
      planned.filter(p -> p.arrangement().song().equals(song())).ifPresentOrElse(use, never);
    }
  }

  /** All parts at once: whoever is told of one finds the others as new as it. */
  private void publish(PlannedSong done) {
    int place = chord.placeIn(done.arrangement());
    settling = true;
    planned = Optional.of(done);
    // First the place: a view told of the plan would else look at another bar for a moment.
    chord.select(place);
    performance.changed();
    arrangement.changed();
    notes.settle(done.arrangement());
    range.fit();
    level.changed();
    review.changed();
    settling = false;
  }

  /** Only where it is looked at: the shapes of the selected chord and the reasons for its own. */
  private void askForBoard() {
    boolean looked = screen.get() == Screen.SHAPES && chord.slot().isPresent();
    if (looked) {
      Arrangement of = arrangement.get();
      planner.board(
          of,
          chord.placeProperty().get(),
          viewing.filterProperty().get(),
          b -> {
            boardOf = Optional.of(of);
            board.set(Optional.of(b));
          });
    }
  }

  /** The chord that is selected. */
  public ChordChoice chord() {
    return chord;
  }

  /** The shapes pinned to the selected chords. */
  public ShapePins pins() {
    return pins;
  }

  /** The strings stopped at the selected chord. */
  public DampPins damps() {
    return damps;
  }

  /** Takes faults of the program's own. */
  @Override
  public FaultNotices faults() {
    return faults;
  }

  /** The chords selected. */
  public SlotRange range() {
    return range;
  }

  /** The finger the player looks at. */
  public ObjectProperty<Optional<FingerChoice>> fingerProperty() {
    return finger;
  }

  /** The note of the plan that is chosen. */
  public NoteChoice notes() {
    return notes;
  }

  /** What the player works on the song with. */
  public ViewModels models() {
    return models;
  }

  /** Whether the selection changes only because a new plan came, not because the player moved. */
  @Override
  public boolean isSettling() {
    return settling;
  }

  /** The song and its past and undone states. */
  @Override
  public ReadOnlyObjectProperty<History<Song>> historyProperty() {
    return history.getReadOnlyProperty();
  }

  /** The song now. */
  @Override
  public Song song() {
    return history.get().present();
  }

  /** The file the song lies in, if it does. */
  public ReadOnlyObjectProperty<Optional<Path>> fileProperty() {
    return file.getReadOnlyProperty();
  }

  /** Whether the song has changes that lie in no file. */
  public ReadOnlyBooleanProperty unsaved() {
    return unsaved.getReadOnlyProperty();
  }

  /** What stands in a cell of the chart and is not in the song yet. */
  public Typing typing() {
    return typing;
  }

  /** The song with all that is typed and not kept yet. */
  public Song typed() {
    return models.melody().with(typing.with(song()));
  }

  /** The newest plan; null until the first is ready. */
  @Override
  public ReadOnlyObjectProperty<Arrangement> arrangementProperty() {
    return arrangement;
  }

  /** The newest plan in time, always of the same song as the plan and what is hard in it. */
  @Override
  public ReadOnlyObjectProperty<Performance> performanceProperty() {
    return performance;
  }

  /** What a player weighs at the selected chord; newest where the Shapes screen is open. */
  public ReadOnlyObjectProperty<Optional<SlotBoard>> boardProperty() {
    return board.getReadOnlyProperty();
  }

  /**
   * Whether what is weighed is of the chord that is selected now, in the plan of now. Until it is,
   * it may be shown, and nothing of it may be taken.
   */
  public boolean isBoardOfNow() {
    return boardOf.filter(a -> a == arrangement.get()).isPresent()
        && board.get().filter(b -> b.slot() == chord.placeProperty().get()).isPresent();
  }

  /** How hard the plan is to play; empty where that is not known. */
  public ReadOnlyObjectProperty<Optional<PlanLevel>> levelProperty() {
    return level;
  }

  /** What is hard in the newest plan that was looked through. */
  @Override
  public ReadOnlyObjectProperty<Optional<Review>> reviewProperty() {
    return review;
  }

  /** Whether a newer plan is being made. */
  @Override
  public ReadOnlyBooleanProperty planningProperty() {
    return planning.getReadOnlyProperty();
  }

  /** The screen that is open. */
  @Override
  public ObjectProperty<Screen> screenProperty() {
    return screen;
  }

  /** How the player wants to see songs. */
  @Override
  public Viewing viewing() {
    return viewing;
  }

  /** What could not be read of the open file, each with its place. */
  @Override
  public ObservableList<String> problems() {
    return problems;
  }
}
