package phalanx.desktop.model;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.practice.Drill;
import phalanx.practice.Drills;
import phalanx.practice.InventedDiary;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeDiary;
import phalanx.practice.PracticeEntry;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;
import phalanx.practice.TempoLadder;
import phalanx.practice.Today;
import phalanx.song.Pulse;
import phalanx.song.Song;

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
  private final NewestAnswer days;
  private final NewestAnswer drills;
  private final NewestAnswer planning;
  private final PracticeHistory history = new PracticeHistory();
  private final DrillPlayback playback;
  private final PracticeWishes wishes;
  private final MeasuredPace pace;
  private Instant since = Instant.EPOCH;
  private final ObjectProperty<PracticeSettings> settings =
      new SimpleObjectProperty<>(PracticeSettings.USUAL);
  private final StringProperty note = new SimpleStringProperty("");
  private final ReadOnlyObjectWrapper<PracticeDay> day =
      new ReadOnlyObjectWrapper<>(PracticeDay.NOTHING);
  private final ReadOnlyIntegerWrapper place = new ReadOnlyIntegerWrapper(-1);
  private final ReadOnlyObjectWrapper<Optional<Drill>> drill =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<ShownDrill>> shown =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<TempoLadder>> ladder =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final Map<String, TempoLadder> ladders = new HashMap<>();

  /** Songs that were practised before, and their plans. */
  private List<Song> otherSongs = List.of();

  private List<Arrangement> others = List.of();
  private boolean looked;

  PracticeViewModel(
      OpenSong open, PlaybackController sound, PlanService planner, HandViewModel hands) {
    this.open = open;
    this.planner = planner;
    days = planner.questions();
    drills = planner.questions();
    planning = planner.questions();
    playback = new DrillPlayback(sound, planner, settings, this::sounding);
    wishes = new PracticeWishes(sound.loop(), this::again);
    pace = new MeasuredPace(open, hands);
    open.arrangementProperty().addListener(o -> again());
    settings.addListener(o -> ladder.set(drill.get().map(this::ladderOf)));
  }

  /** Keeps attempts somewhere, by a clock. */
  public void keepIn(PracticeRecords where, Clock by) {
    history.keepIn(where, by);
  }

  /** The screen is looked at from now on, or no more. */
  public void look(boolean looks) {
    looked = looks;
    playback.look(looks);
    if (looks) {
      history.read(
          () -> {
            again();
            history.practisedSongs(this::plan);
          });
    } else {
      days.forget();
      playback.stop();
    }
  }

  /** Plans the other songs, those that are not known yet. */
  private void plan(List<Song> songs) {
    List<Song> mine =
        songs.stream().filter(s -> !PracticeEntry.songKey(s).equals(songId())).toList();
    if (mine.equals(otherSongs)) {
      return;
    }
    otherSongs = mine;
    planning.ask(
        () -> mine.stream().map(s -> planner.round(s).arrangement()).toList(),
        plans -> {
          others = plans.stream().filter(p -> !p.notes().isEmpty()).toList();
          again();
        },
        planner.fault(Texts.of("practiceViewModel.otherSongsCouldNot")));
  }

  private void again() {
    Arrangement plan = open.arrangementProperty().get();
    if (!looked || plan == null) {
      return;
    }
    if (plan.notes().isEmpty()) {
      days.forget();
      become(PracticeDay.NOTHING);
      return;
    }
    String song = songId();
    LocalDate date = date();
    Consumer<Throwable> fault = planner.fault(Texts.of("practiceViewModel.drillsCouldNotBe"));
    if (history.isWithoutDemo(song)) {
      ZoneId zone = history.clock().getZone();
      days.ask(
          () ->
              InventedDiary.of(
                  song, Drills.ofSong(plan, PracticeOrder.THUMB_FIRST), date, zone, INVENTED),
          weeks -> {
            history.add(weeks);
            again();
          },
          fault);
      return;
    }
    PracticeDiary known = diaryProperty().get();
    PracticeDay.Wishes wanted = wishes.now();
    List<Arrangement> also =
        others.stream().filter(o -> !PracticeEntry.songKey(o.song()).equals(song)).toList();
    days.ask(
        () -> PracticeDay.of(plan, also, known, wanted, date, s -> planner.round(s).arrangement()),
        this::become,
        fault);
  }

  /** Another day’s plan: the drill at hand stays where it is still on it. */
  private void become(PracticeDay now) {
    String kept = drill.get().map(Drill::id).orElse("");
    String of = song().map(PracticeSong::key).orElse("");
    day.set(now);
    take(now.placeOf(of, kept).orElse(now.beside(-1, 1).orElse(-1)));
  }

  /** Takes the drill at a place of the day. */
  public void choose(int at) {
    if (at != place.get()) {
      take(at);
    }
  }

  private void take(int at) {
    playback.anew();
    place.set(at);
    drill.set(day.get().at(at).map(Today.DrillItem::drill));
    since = history.clock().instant();
    ladder.set(drill.get().map(this::ladderOf));
    if (drill.get().isEmpty()) {
      drills.forget();
      shown.set(Optional.empty());
      return;
    }
    Drill chosen = drill.get().get();
    Arrangement plan = song().orElseThrow().plan();
    drills.ask(
        () -> ShownDrill.of(plan, chosen),
        s -> shown.set(Optional.of(s)),
        planner.fault(Texts.of("practiceViewModel.theDrillCouldNot")));
  }

  /** The next drill of the day, or the one before. */
  public void go(int step) {
    day.get().beside(place.get(), step).ifPresent(this::choose);
  }

  /** Where it was left today, or as the log has it; it leads where the song leads now. */
  private TempoLadder ladderOf(Drill of) {
    return ladders
        .computeIfAbsent(
            key() + " " + of.id(),
            k ->
                TempoLadder.of(
                    of.tempo(),
                    settings.get().rules(),
                    diaryProperty().get().history(key(), of.id()).attempts()))
        .leadingTo(of.tempo())
        .by(settings.get().rules());
  }

  private String songId() {
    return PracticeEntry.songKey(open.song());
  }

  /** The song of the drill at hand; empty where there is none. */
  public Optional<PracticeSong> song() {
    return day.get().songAt(place.get());
  }

  /** The beat in which its tempo is told. */
  public Pulse pulse() {
    return song().map(s -> Pulse.of(s.plan().song())).orElseGet(() -> Pulse.of(open.song()));
  }

  /** What the song of the drill at hand is known by in the log. */
  private String key() {
    return song().map(PracticeSong::key).orElseGet(this::songId);
  }

  /** Notes how an attempt at the drill went; the ladder goes on. */
  public void attempted(Outcome outcome) {
    if (ladder.get().isEmpty() || drill.get().isEmpty()) {
      return;
    }
    TempoLadder now = ladder.get().get();
    history.add(List.of(entry(drill.get().get(), now.tempo(), outcome)));
    note.set("");
    playback.attempted().ifPresent(r -> pace.add(r.matched()));
    boolean sounding = playback.playingProperty().get();
    TempoLadder next = now.after(outcome);
    ladders.put(key() + " " + drill.get().get().id(), next);
    ladder.set(Optional.of(next));
    if (sounding && outcome == Outcome.RESTED) {
      playback.stop();
    } else if (sounding && next.tempo() != now.tempo()) {
      playback.play();
    }
  }

  private PracticeEntry entry(Drill of, double tempo, Outcome outcome) {
    Instant at = history.clock().instant();
    double took = Duration.between(since, at).toMillis() / 1000.0;
    since = at;
    Optional<Steadiness> thumb = playback.own().map(StrokeReport::thumb).filter(t -> t.count() > 1);
    return new PracticeEntry(
        at,
        key(),
        of.id(),
        of.title(),
        tempo,
        outcome,
        Math.max(SHORTEST, Math.min(LONGEST, took)),
        thumb.map(t -> OptionalDouble.of(t.mean())).orElse(OptionalDouble.empty()),
        thumb.map(t -> OptionalDouble.of(t.spread())).orElse(OptionalDouble.empty()),
        note.get().strip());
  }

  /** The drill that is shown, at the ladder’s share of the song’s tempo. */
  private Optional<DrillPlayback.Sounding> sounding() {
    return shown
        .get()
        .filter(s -> drill.get().filter(s.drill()::equals).isPresent())
        .flatMap(
            s ->
                ladder
                    .get()
                    .map(
                        l ->
                            new DrillPlayback.Sounding(
                                s.heard(),
                                s.clicks(),
                                l.tempo() / s.heard().arrangement().song().tempo())));
  }

  /** The drill as it sounds. */
  public DrillPlayback playback() {
    return playback;
  }

  /** What the player's strokes say of the hand. */
  public MeasuredPace pace() {
    return pace;
  }

  /** Whether the song has nothing to play. */
  public boolean isEmpty() {
    Arrangement plan = open.arrangementProperty().get();
    return plan != null && plan.notes().isEmpty();
  }

  /** What was practised, today and before. */
  public PracticeHistory history() {
    return history;
  }

  /** The date of today. */
  public LocalDate date() {
    return history.today();
  }

  /** The fastest clean tempo of a drill on each day. */
  public Map<LocalDate, Double> tempos(Drill of) {
    return diaryProperty().get().tempos(key(), of.id());
  }

  /** The attempts at a drill of the day that were made today. */
  public long attemptsToday(int at) {
    return day.get()
        .at(at)
        .map(d -> history.attemptsToday(day.get().songs().get(d.song()).key(), d.drill()))
        .orElse(0L);
  }

  /** What the player writes to the next attempt. */
  public StringProperty noteProperty() {
    return note;
  }

  /** How the player practises. */
  public ObjectProperty<PracticeSettings> settingsProperty() {
    return settings;
  }

  /** What the player wants of the day. */
  public PracticeWishes wishes() {
    return wishes;
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
  public ReadOnlyObjectProperty<Optional<Drill>> drillProperty() {
    return drill.getReadOnlyProperty();
  }

  /** The drill as it is seen and heard; the one before until it is ready. */
  public ReadOnlyObjectProperty<Optional<ShownDrill>> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** Its ladder. */
  public ReadOnlyObjectProperty<Optional<TempoLadder>> ladderProperty() {
    return ladder.getReadOnlyProperty();
  }

  /** All attempts there ever were. */
  public ReadOnlyObjectProperty<PracticeDiary> diaryProperty() {
    return history.diaryProperty();
  }
}
