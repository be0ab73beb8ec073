package phalanx.desktop.model;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.desktop.background.PlanService;
import phalanx.instrument.Hand;
import phalanx.picking.PickFinger;
import phalanx.practice.ChangeLateness;
import phalanx.practice.Drill;
import phalanx.practice.DrillHistory;
import phalanx.practice.Drills;
import phalanx.practice.InventedDiary;
import phalanx.practice.LadderRules;
import phalanx.practice.MatchedStroke;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeEntry;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;
import phalanx.practice.TempoLadder;
import phalanx.practice.Today;
import phalanx.practice.WarmUp;
import phalanx.sound.listening.MidiTaps;

/**
 * Today’s practice of the open song: what is on the plan, the drill at hand with its ladder, how
 * steady its strokes were, and the log. Works only while somebody looks.
 */
public final class PracticeViewModel {

  /** An attempt takes at least this long in the log, s, and at most that. */
  private static final double SHORTEST = 5;

  private static final double LONGEST = 600;

  /** What chance draws the invented weeks from. */
  private static final long INVENTED = 11;

  private final OpenSong open;
  private final PlanService planner;
  private final TapRecorder taps;
  private final LiveTake take;
  private final PlaybackController sound;
  private final HandViewModel hands;

  /** What was tapped since the program began, for what it says of the hand. */
  private final List<MatchedStroke> tapped = new ArrayList<>();

  private PracticeRecords records = PracticeRecords.NONE;
  private Clock clock = Clock.systemDefaultZone();
  private Instant since = Instant.EPOCH;
  private final IntegerProperty minutes = new SimpleIntegerProperty(25);
  private final ObjectProperty<PracticeOrder> order =
      new SimpleObjectProperty<>(PracticeOrder.THUMB_FIRST);
  private final ObjectProperty<LadderRules> rules = new SimpleObjectProperty<>(LadderRules.USUAL);
  private final ReadOnlyObjectWrapper<PracticeDay> day =
      new ReadOnlyObjectWrapper<>(PracticeDay.NOTHING);
  private final ReadOnlyIntegerWrapper place = new ReadOnlyIntegerWrapper(-1);
  private final ReadOnlyObjectWrapper<Optional<ShownDrill>> shown =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<TempoLadder>> ladder =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<PracticeDiary> diary;
  private final ReadOnlyObjectWrapper<Optional<StrokeReport>> report =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyBooleanWrapper playing = new ReadOnlyBooleanWrapper();
  private final Map<String, TempoLadder> ladders = new HashMap<>();
  private List<PracticeEntry> entries = List.of();
  private boolean looked;
  private Optional<MidiTaps> keys = Optional.empty();
  private final ReadOnlyStringWrapper keysBy = new ReadOnlyStringWrapper("");

  PracticeViewModel(
      OpenSong open, PlaybackController sound, PlanService planner, HandViewModel hands) {
    this.hands = hands;
    this.open = open;
    this.sound = sound;
    this.planner = planner;
    taps = new TapRecorder(sound);
    take = new LiveTake(planner, report::set);
    diary = new ReadOnlyObjectWrapper<>(new PracticeDiary(List.of(), clock.getZone()));
    open.arrangementProperty().addListener(o -> again());
    minutes.addListener(o -> again());
    order.addListener(o -> again());
    sound.playingProperty().addListener(o -> playing.set(false));
  }

  /** Keeps attempts somewhere, by a clock. */
  public void keepIn(PracticeRecords where, Clock by) {
    records = where;
    clock = by;
    diary.set(new PracticeDiary(entries, clock.getZone()));
  }

  /** Takes taps from a MIDI device, if there is one. */
  private void takeKeys(boolean wanted) {
    keys.ifPresent(MidiTaps::close);
    keys = Optional.empty();
    keysBy.set("");
    if (wanted) {
      planner.findKeys(
          () -> MidiTaps.open(f -> planner.interfaceThread().execute(() -> tap(f))),
          found -> {
            if (looked) {
              keys = found;
              keysBy.set(found.map(MidiTaps::name).orElse(""));
            } else {
              found.ifPresent(MidiTaps::close);
            }
          });
    }
  }

  /** The MIDI device that taps are taken from; nothing where there is none. */
  public ReadOnlyStringProperty keysByProperty() {
    return keysBy.getReadOnlyProperty();
  }

  /** The screen is looked at from now on, or no more. */
  public void look(boolean looks) {
    looked = looks;
    takeKeys(looks);
    if (looks) {
      records.read(
          read -> {
            entries = List.copyOf(read);
            diary.set(new PracticeDiary(entries, clock.getZone()));
            again();
          });
    } else {
      stop();
    }
  }

  private void again() {
    Arrangement plan = open.arrangementProperty().get();
    if (!looked || plan == null) {
      return;
    }
    if (plan.notes().isEmpty()) {
      planner.forgetDrills();
      become(PracticeDay.NOTHING);
      return;
    }
    PracticeDiary known = diary.get();
    String song = songId();
    int time = minutes.get();
    PracticeOrder way = order.get();
    LocalDate date = today();
    planner.practise(() -> dayOf(plan, known, song, time, way, date), this::become);
  }

  /** A demo song has been practised for six weeks by nobody. */
  private List<PracticeEntry> invented(List<Drill> drills) {
    boolean wanted = records.isDemo() && entries.stream().noneMatch(e -> e.song().equals(songId()));
    return wanted
        ? InventedDiary.of(songId(), drills, today(), clock.getZone(), INVENTED)
        : List.of();
  }

  private static PracticeDay dayOf(
      Arrangement plan,
      PracticeDiary diary,
      String song,
      int minutes,
      PracticeOrder order,
      LocalDate date) {
    List<Drill> drills = Drills.ofSong(plan, order);
    Map<String, DrillHistory> histories = new HashMap<>();
    drills.forEach(d -> histories.put(d.id(), before(diary.history(song, d.id()), date)));
    Today today =
        Today.of(
            List.of(
                new Today.Practised(
                    WarmUp.of(plan),
                    drills,
                    drills.stream().map(d -> histories.get(d.id())).toList())),
            minutes,
            date);
    return new PracticeDay(drills, histories, today);
  }

  /** As it was when the day began: what is done today stays on today’s plan. */
  private static DrillHistory before(DrillHistory history, LocalDate date) {
    return new DrillHistory(
        history.days().stream().filter(d -> d.date().isBefore(date)).toList(), history.attempts());
  }

  private void become(PracticeDay now) {
    List<PracticeEntry> more = invented(now.drills());
    if (!more.isEmpty()) {
      records.addAll(more);
      List<PracticeEntry> all = new ArrayList<>(entries);
      all.addAll(more);
      entries = all;
      diary.set(new PracticeDiary(entries, clock.getZone()));
      again();
      return;
    }
    String kept = shown.get().map(s -> s.drill().id()).orElse("");
    day.set(now);
    int there = -1;
    for (int p = 0; p < now.today().items().size() && there < 0; p++) {
      if (now.at(p).filter(d -> d.drill().id().equals(kept)).isPresent()) {
        there = p;
      }
    }
    int first = now.beside(-1, 1).orElse(-1);
    place.set(-2);
    choose(there >= 0 ? there : first);
  }

  /** Takes the drill at a place of the day. */
  public void choose(int at) {
    if (at == place.get()) {
      return;
    }
    stop();
    place.set(at);
    Optional<Drill> drill = day.get().at(at).map(Today.DrillItem::drill);
    Arrangement plan = open.arrangementProperty().get();
    report.set(Optional.empty());
    taps.forget();
    since = clock.instant();
    ladder.set(drill.map(this::ladderOf));
    shown.set(drill.map(d -> ShownDrill.of(plan, d)));
  }

  /** The next drill of the day, or the one before. */
  public void go(int step) {
    day.get().beside(place.get(), step).ifPresent(this::choose);
  }

  private TempoLadder ladderOf(Drill drill) {
    return ladders.computeIfAbsent(
        drill.id(),
        id ->
            TempoLadder.of(
                drill.tempo(), rules.get(), diary.get().history(songId(), id).attempts()));
  }

  private String songId() {
    return open.song().id().map(i -> i.text()).orElse("unsaved " + open.song().title());
  }

  private LocalDate today() {
    return LocalDate.now(clock);
  }

  /** Notes how an attempt at the drill went; the ladder goes on. */
  public void attempted(Outcome outcome) {
    if (ladder.get().isEmpty() || shown.get().isEmpty()) {
      return;
    }
    Drill drill = shown.get().get().drill();
    TempoLadder now = ladder.get().get();
    Instant at = clock.instant();
    double took = Duration.between(since, at).toMillis() / 1000.0;
    Optional<Steadiness> thumb = report.get().map(StrokeReport::thumb).filter(t -> t.count() > 1);
    PracticeEntry entry =
        new PracticeEntry(
            at,
            songId(),
            drill.id(),
            drill.title(),
            now.tempo(),
            outcome,
            Math.max(SHORTEST, Math.min(LONGEST, took)),
            optional(thumb.map(Steadiness::mean)),
            optional(thumb.map(Steadiness::spread)),
            "");
    records.add(entry);
    List<PracticeEntry> all = new ArrayList<>(entries);
    all.add(entry);
    entries = all;
    diary.set(new PracticeDiary(entries, clock.getZone()));
    since = at;
    report.get().ifPresent(r -> tapped.addAll(r.matched()));
    boolean sounding = playing.get();
    TempoLadder next = now.after(outcome);
    ladders.put(drill.id(), next);
    ladder.set(Optional.of(next));
    if (sounding && outcome == Outcome.RESTED) {
      stop();
    } else if (sounding && next.tempo() != now.tempo()) {
      play();
    }
  }

  private static OptionalDouble optional(Optional<Double> value) {
    return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }

  /** Plays the drill round and round at the ladder’s tempo, or stops. */
  public void toggle() {
    if (playing.get()) {
      stop();
    } else {
      play();
    }
  }

  private void play() {
    take.end();
    if (shown.get().isEmpty() || ladder.get().isEmpty()) {
      return;
    }
    ShownDrill drill = shown.get().get();
    double share = ladder.get().get().tempo() / open.song().tempo();
    taps.begin(drill.heard(), share);
    sound.practise(drill.heard(), share);
    playing.set(true);
  }

  private void stop() {
    take.end();
    if (playing.get()) {
      playing.set(false);
      sound.stop();
    }
  }

  /** Listens to the drill as the player plays it, or listens no more. */
  public void listen() {
    if (take.isOn()) {
      take.end();
    } else if (shown.get().isPresent() && ladder.get().isPresent()) {
      stop();
      double share = ladder.get().get().tempo() / open.song().tempo();
      take.begin(shown.get().get().heard(), share, sound.settings().a4Property().get());
    }
  }

  /** What hears the player; nothing while nobody listens. */
  public ReadOnlyStringProperty heardByProperty() {
    return take.heardByProperty();
  }

  /** A finger’s key was pressed while the drill plays. */
  public void tap(PickFinger finger) {
    if (playing.get() && taps.tap(finger)) {
      report.set(taps.report());
    }
  }

  /** Lets the simulated player tap the drill once, at the ladder’s tempo. */
  public void simulate() {
    if (shown.get().isPresent() && ladder.get().isPresent()) {
      double share = ladder.get().get().tempo() / open.song().tempo();
      long seed = diary.get().entries().size();
      report.set(Optional.of(TapRecorder.simulated(shown.get().get().heard(), share, seed)));
    }
  }

  /** How late the changes came that were tapped so far, those of the attempt at hand too. */
  public ChangeLateness lateness() {
    Arrangement plan = open.arrangementProperty().get();
    List<MatchedStroke> all = new ArrayList<>(tapped);
    report.get().ifPresent(r -> all.addAll(r.matched()));
    Set<Note> there = new HashSet<>(plan.notes());
    all.removeIf(m -> !there.contains(m.stroke().note()));
    return ChangeLateness.of(plan, all);
  }

  /** The player's hand with the pace that was measured; empty where it is as it is. */
  public Optional<Hand> measuredHand() {
    return open.arrangementProperty().get() == null
        ? Optional.empty()
        : lateness().hand(open.song().hand());
  }

  /** Takes the pace that was measured as the player's own. */
  public void takeHand() {
    measuredHand()
        .ifPresent(
            h -> {
              tapped.clear();
              report.set(Optional.empty());
              hands.playersProperty().set(h);
            });
  }

  /** Whether the song has nothing to play. */
  public boolean isEmpty() {
    Arrangement plan = open.arrangementProperty().get();
    return plan != null && plan.notes().isEmpty();
  }

  /** How long was practised today, minutes. */
  public int doneToday() {
    return diary.get().minutes().getOrDefault(today(), 0);
  }

  /** The date of today. */
  public LocalDate date() {
    return today();
  }

  /** The fastest clean tempo of a drill on each day. */
  public Map<LocalDate, Double> tempos(Drill drill) {
    return diary.get().tempos(songId(), drill.id());
  }

  /** The attempts at a drill that were made today. */
  public long attemptsToday(Drill drill) {
    return entries.stream()
        .filter(e -> e.drill().equals(drill.id()) && e.song().equals(songId()))
        .filter(e -> e.at().atZone(clock.getZone()).toLocalDate().equals(today()))
        .count();
  }

  /** How much time there is, minutes. */
  public IntegerProperty minutesProperty() {
    return minutes;
  }

  /** Which hand comes first. */
  public ObjectProperty<PracticeOrder> orderProperty() {
    return order;
  }

  /** What there is to practise today. */
  public ReadOnlyObjectProperty<PracticeDay> dayProperty() {
    return day.getReadOnlyProperty();
  }

  /** The place of the drill at hand in the day. */
  public ReadOnlyIntegerProperty placeProperty() {
    return place.getReadOnlyProperty();
  }

  /** The drill at hand. */
  public ReadOnlyObjectProperty<Optional<ShownDrill>> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** Its ladder. */
  public ReadOnlyObjectProperty<Optional<TempoLadder>> ladderProperty() {
    return ladder.getReadOnlyProperty();
  }

  /** All attempts there ever were. */
  public ReadOnlyObjectProperty<PracticeDiary> diaryProperty() {
    return diary.getReadOnlyProperty();
  }

  /** How the strokes of the drill went, where somebody tapped. */
  public ReadOnlyObjectProperty<Optional<StrokeReport>> reportProperty() {
    return report.getReadOnlyProperty();
  }

  /** Whether the drill plays. */
  public ReadOnlyBooleanProperty playingProperty() {
    return playing.getReadOnlyProperty();
  }
}
