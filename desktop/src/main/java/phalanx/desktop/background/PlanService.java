package phalanx.desktop.background;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import phalanx.advice.Advised;
import phalanx.advice.Advisor;
import phalanx.advice.FillFitting;
import phalanx.advice.FillTry;
import phalanx.advice.FittedRun;
import phalanx.advice.TuneSetting;
import phalanx.advice.Variation;
import phalanx.advice.Variations;
import phalanx.advice.WalkFitting;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.NeckPlaces;
import phalanx.arrangement.board.PatternFall;
import phalanx.arrangement.board.ShapeFilter;
import phalanx.arrangement.board.SlotBoard;
import phalanx.arrangement.board.TuneBoard;
import phalanx.desktop.texts.Texts;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.LevelStep;
import phalanx.draft.LevelSteps;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.embellishment.Frame;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Engraver;
import phalanx.engraving.SheetOptions;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.formats.fills.FillShelf;
import phalanx.level.PlanLevel;
import phalanx.performance.Performance;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;
import phalanx.theory.Chord;

/** Plans songs away from the interface's thread; only the newest question is answered. */
public final class PlanService {

  /** Shapes shown for one chord. */
  private static final int CARDS = 60;

  /** Chords a pattern is shown on. */
  private static final int FALLS = 4;

  /** Bars with a tune from which on a plan takes longer than a blink. */
  private static final int LONG = 24;

  private final Arranger arranger = new Arranger();
  private final NewestAnswer plans;
  private final NewestAnswer boards;
  private final NewestAnswer falls;
  private final NewestAnswer tunes;
  private final NewestAnswer places;
  private final NewestAnswer remedies;
  private final NewestAnswer previews;
  private final NewestAnswer comparisons;
  private final NewestAnswer fills;
  private final NewestAnswer walks;
  private final NewestAnswer tuneSettings;
  private final NewestAnswer frames;
  private final NewestAnswer variations;
  private final NewestAnswer drafts;
  private final NewestAnswer steps;
  private final NewestAnswer pages;

  /** For single chords, so that the song's plan stays known to the other. */
  private final Arranger alone = new Arranger();

  private final PlannedSong nothing =
      reviewed(Performance.of(alone.preliminary(Song.untitled(), () -> false)));
  private final Executor worker;
  private final Executor interfaceThread;
  private volatile BiConsumer<String, Throwable> faults = (what, fault) -> {};

  /**
   * A planner.
   *
   * @param plans runs the planning, one at a time
   * @param worker runs what is asked about a plan, which no edit may have to wait for
   * @param interfaceThread takes the answers
   */
  public PlanService(Executor plans, Executor worker, Executor interfaceThread) {
    this.worker = worker;
    this.interfaceThread = interfaceThread;
    this.plans = new NewestAnswer(plans, interfaceThread);
    boards = new NewestAnswer(worker, interfaceThread);
    falls = new NewestAnswer(worker, interfaceThread);
    tunes = new NewestAnswer(worker, interfaceThread);
    places = new NewestAnswer(worker, interfaceThread);
    remedies = new NewestAnswer(worker, interfaceThread);
    previews = new NewestAnswer(worker, interfaceThread);
    comparisons = new NewestAnswer(worker, interfaceThread);
    fills = new NewestAnswer(worker, interfaceThread);
    walks = new NewestAnswer(worker, interfaceThread);
    tuneSettings = new NewestAnswer(worker, interfaceThread);
    frames = new NewestAnswer(worker, interfaceThread);
    variations = new NewestAnswer(worker, interfaceThread);
    drafts = new NewestAnswer(worker, interfaceThread);
    steps = new NewestAnswer(worker, interfaceThread);
    pages = new NewestAnswer(worker, interfaceThread);
  }

  /** Takes what goes wrong besides planning, with what did not work. */
  public void tellFaults(BiConsumer<String, Throwable> listener) {
    faults = listener;
  }

  /** Plans a pattern on one chord, held with a shape, so that it can be heard. */
  public Performance round(Song song) {
    return Performance.of(new Arranger().arrange(song));
  }

  /** Runs what shows answers. */
  public Executor interfaceThread() {
    return interfaceThread;
  }

  /** Takes a fault of work that was asked for, with what did not work. */
  public Consumer<Throwable> fault(String what) {
    return fault -> faults.accept(what, fault);
  }

  /**
   * Plans a song, looks the plan through for what is hard and hands both over, unless a newer
   * question came meanwhile; the plan of an outdated question is given up.
   */
  public void plan(Song song, Consumer<PlannedSong> answer, Consumer<Throwable> fault) {
    plans.ask(outdated -> levelled(arranger.plan(song, outdated)), answer, fault);
  }

  /**
   * The same where nothing of the song is shown yet: a long one is shown in a preliminary plan
   * first, while the tune is fitted.
   *
   * @param preliminary takes that plan
   */
  public void planAnew(
      Song song,
      Consumer<PlannedSong> preliminary,
      Consumer<PlannedSong> answer,
      Consumer<Throwable> fault) {
    plans.ask(
        outdated -> {
          if (isLong(song)) {
            Arrangement first = arranger.preliminary(song, outdated);
            PlannedSong shown =
                new PlannedSong(Performance.of(first), Optional.empty(), Optional.empty());
            tell(preliminary, shown, outdated);
          }
          return levelled(arranger.plan(song, outdated));
        },
        answer,
        fault);
  }

  /** Where a player would wait for the plan, so that one in between is no mere flicker. */
  private static boolean isLong(Song song) {
    return song.tune().bars().size() >= LONG;
  }

  /** The same plan for a song that differs only in what planning does not depend on. */
  public void plan(
      Arrangement known, Song song, Consumer<PlannedSong> answer, Consumer<Throwable> fault) {
    plans.ask(() -> reviewed(Performance.of(known.of(song))), answer, fault);
  }

  /** The plan of a song without bars. */
  public PlannedSong nothing() {
    return nothing;
  }

  private PlannedSong reviewed(Performance played) {
    return checked(played, () -> Review.of(played));
  }

  private PlannedSong levelled(Arranger.Reviewed plan) {
    return checked(plan.performance(), plan::review);
  }

  /** A fault in looking for hard spots leaves the plan itself as it is. */
  private PlannedSong checked(Performance played, Supplier<Review> review) {
    try {
      return new PlannedSong(played, Optional.of(review.get()), Optional.of(PlanLevel.of(played)));
    } catch (RuntimeException e) {
      faults.accept(Texts.of("planService.theHardSpotsCould"), e);
      return new PlannedSong(played, Optional.empty(), Optional.empty());
    }
  }

  /** Lays a pattern on the chord of a slot and the next ones. */
  public void falls(
      Arrangement arrangement,
      WrittenPattern pattern,
      int slot,
      Consumer<List<PatternFall>> answer) {
    falls.ask(
        () -> PatternFall.of(alone, arrangement, pattern, slot, FALLS),
        answer,
        fault(Texts.of("planService.thePatternCouldNot")));
  }

  /** Says where the notes of a bar's tune lie. */
  public void tune(Arrangement arrangement, int bar, Consumer<TuneBoard> answer) {
    tunes.ask(
        () -> TuneBoard.of(arrangement, bar),
        answer,
        fault(Texts.of("planService.thePlacesOfThe")));
  }

  /** Says where on the neck the tune can go on over the shape of a slot. */
  public void places(Arrangement arrangement, int slot, Consumer<NeckPlaces> answer) {
    places.ask(
        () -> NeckPlaces.of(arrangement, slot),
        answer,
        fault(Texts.of("planService.thePlacesOnThe")));
  }

  /** Plans a song that is only looked at. */
  public void preview(Song song, Consumer<Performance> answer) {
    previews.ask(
        () -> Performance.of(alone.arrange(song)),
        answer,
        fault(Texts.of("planService.thisWayToPlay")));
  }

  /** Says how hard a song is, and how hard it would be otherwise. */
  public void compare(Song before, Song after, BiConsumer<Advised, Advised> answer) {
    comparisons.ask(
        () -> List.of(Advisor.now(before), Advisor.now(after)),
        both -> answer.accept(both.get(0), both.get(1)),
        fault(Texts.of("planService.whatWouldChangeCould")));
  }

  /** What tries fills at the end of a bar. */
  public FillFitting fitting(Song song, SlotRef at, Chord chord) {
    return new FillFitting(alone, song, at, chord);
  }

  /** Tries a fill. */
  public void fill(
      FillFitting fitting, Fill fill, Fill.Colour colour, Ending ending, Consumer<FillTry> answer) {
    fills.ask(
        () -> fitting.of(fill, colour, ending),
        answer,
        fault(Texts.of("planService.theFillCouldNot")));
  }

  /** What tries walks between two chords. */
  public WalkFitting walking(Song song, SlotRef at, Chord from, SlotRef next, Chord to) {
    return new WalkFitting(alone, song, at, from, next, to);
  }

  /** Tries a walk. */
  public void walk(
      WalkFitting fitting, WalkFitting.Steps steps, Consumer<Optional<FittedRun>> answer) {
    walks.ask(() -> fitting.of(steps), answer, fault(Texts.of("planService.theWalkCouldNot")));
  }

  /** No fill is asked for any more. */
  public void forgetFills() {
    fills.forget();
  }

  /** Says where a tune would lie better in octave, key and capo. */
  public void tuneSettings(Song song, Consumer<List<TuneSetting>> answer) {
    tuneSettings.ask(
        outdated -> TuneSetting.better(song, outdated),
        answer,
        fault(Texts.of("planService.whereTheTuneWould")));
  }

  /** Says which ways to begin and to end a song can take. */
  public void frames(Song song, Consumer<Set<Frame>> answer) {
    frames.ask(
        () -> Frame.possible(song),
        answer,
        fault(Texts.of("planService.beginningsAndEndingsCould")));
  }

  /**
   * Arranges a song in several manners.
   *
   * @param news hears of drafts as they are planned, before the best of them are known
   */
  public void drafts(
      Song song, Drafts.Wish wish, Consumer<Draft> news, Consumer<List<Draft>> answer) {
    drafts.ask(
        outdated -> Drafts.of(song, wish, d -> tell(news, d, outdated), outdated),
        answer,
        fault(Texts.of("planService.theSongCouldNot")));
  }

  private <T> void tell(Consumer<T> news, T what, BooleanSupplier outdated) {
    interfaceThread.execute(
        () -> {
          if (!outdated.getAsBoolean()) {
            news.accept(what);
          }
        });
  }

  /** Makes some bars easier or fuller by a step. */
  public void levelStep(
      Song song, List<Integer> bars, boolean easier, Consumer<Optional<LevelStep>> answer) {
    steps.ask(
        outdated -> LevelSteps.next(song, bars, easier, FillShelf.all(), outdated),
        answer,
        fault(
            Texts.of(
                "planService.theBarsCouldNot",
                easier ? Texts.of("planService.easier") : Texts.of("planService.fuller"))));
  }

  /** No step is asked for any more. */
  public void forgetSteps() {
    steps.forget();
  }

  /** No draft is asked for any more. */
  public void forgetDrafts() {
    drafts.forget();
  }

  /** Plans a section that comes again otherwise. */
  public void variations(
      Song song, int section, List<Fill> fills, Consumer<List<Variation>> answer) {
    variations.ask(
        outdated -> Variations.of(song, section, fills, outdated),
        answer,
        fault(Texts.of("planService.theSectionCouldNot")));
  }

  /** No variation is asked for any more. */
  public void forgetVariations() {
    variations.forget();
  }

  /** Lays a plan out on paper. */
  public void engrave(
      Arrangement arrangement, SheetOptions options, Consumer<EngravedSheet> answer) {
    pages.ask(
        () -> Engraver.engrave(arrangement, options),
        answer,
        fault(Texts.of("planService.thePageCouldNot")));
  }

  /** Drops pages that are still on their way. */
  public void forgetPages() {
    pages.forget();
  }

  /** Questions of one kind, of which only the newest is answered. */
  public NewestAnswer questions() {
    return new NewestAnswer(worker, interfaceThread);
  }

  /** Tries ways out of a finding. */
  public void remedies(Arrangement arrangement, Found found, Consumer<List<Suggestion>> answer) {
    remedies.ask(
        () -> Suggestions.of(alone, arrangement, found),
        answer,
        fault(Texts.of("planService.waysOutCouldNot")));
  }

  /** Gathers what a player weighs at one chord. */
  public void board(
      Arrangement arrangement, int slot, ShapeFilter filter, Consumer<SlotBoard> answer) {
    boards.ask(
        () -> SlotBoard.of(arrangement, slot, filter, CARDS),
        answer,
        fault(Texts.of("planService.theShapesCouldNot")));
  }
}
