package phalanx.desktop.model;

import java.util.function.Supplier;
import phalanx.desktop.background.PlanService;
import phalanx.formats.fills.FillShelf;
import phalanx.formats.manners.MannerShelf;

/**
 * What the player does with the open song, a model for each kind of work. Those that only one
 * screen has are made when they are first asked for.
 */
public final class ViewModels {

  private final PatternViewModel patterns;
  private final MelodyViewModel melody;
  private final FindingsViewModel findings;
  private final PlaybackController sound;
  private final HandViewModel hands;
  private final DensityViewModel density;
  private final LevelStepViewModel levelSteps;
  private final Supplier<GuitarBench> bench;
  private final Supplier<AdviceViewModel> advice;
  private final Supplier<HarpRunViewModel> harp;
  private final Supplier<FillViewModel> fills;
  private final Supplier<WalkViewModel> walks;
  private final Supplier<ShareViewModel> share;
  private final Supplier<FrameViewModel> frame;
  private final Supplier<VariationViewModel> variations;
  private final Supplier<DraftViewModel> drafts;
  private final Supplier<PracticeViewModel> practice;

  ViewModels(
      OpenSong open, ChordChoice chord, SlotRange range, PlanService planner, HandViewModel hands) {
    this.hands = hands;
    density = new DensityViewModel(open, range);
    levelSteps = new LevelStepViewModel(open, range, planner);
    sound = new PlaybackController(open, chord, range, planner);
    patterns = new PatternViewModel(open, chord, sound, planner);
    melody = new MelodyViewModel(open, chord, planner);
    findings = new FindingsViewModel(open, chord, planner);
    bench = once(() -> new GuitarBench(open, sound));
    advice = once(() -> new AdviceViewModel(open, bench.get(), planner, AdviceViewModel::onItsOwn));
    harp = once(() -> new HarpRunViewModel(open, chord, sound));
    walks = once(() -> new WalkViewModel(open, chord, sound, planner));
    practice = once(() -> new PracticeViewModel(open, sound, planner, hands));
    share = once(() -> new ShareViewModel(open, planner));
    drafts = once(() -> new DraftViewModel(open, chord, sound, planner, MannerShelf::all));
    frame = once(() -> new FrameViewModel(open, sound, planner));
    variations = once(() -> new VariationViewModel(open, chord, sound, planner, FillShelf.all()));
    fills = once(() -> new FillViewModel(open, chord, range, sound, planner, FillShelf.all()));
  }

  private static <T> Supplier<T> once(Supplier<T> made) {
    return new Supplier<>() {
      private T kept;

      @Override
      public T get() {
        if (kept == null) {
          kept = made.get();
        }
        return kept;
      }
    };
  }

  /** The pattern as the Picking screen shows and changes it. */
  public PatternViewModel patterns() {
    return patterns;
  }

  /** The tune as the Melody screen shows and changes it. */
  public MelodyViewModel melody() {
    return melody;
  }

  /** What is hard in the song, one finding after the other. */
  public FindingsViewModel findings() {
    return findings;
  }

  /** What is heard of the song. */
  public PlaybackController sound() {
    return sound;
  }

  /** How much is played where. */
  public DensityViewModel density() {
    return density;
  }

  /** The selected bars easier or fuller. */
  public LevelStepViewModel levelSteps() {
    return levelSteps;
  }

  /** The player's hand. */
  public HandViewModel hands() {
    return hands;
  }

  /** The song on paper, and what comes in. */
  public ShareViewModel share() {
    return share.get();
  }

  /** How it could begin and end. */
  public FrameViewModel frame() {
    return frame.get();
  }

  /** How a section could be played otherwise when it comes again. */
  public VariationViewModel variations() {
    return variations.get();
  }

  /** Whole arrangements to choose from. */
  public DraftViewModel drafts() {
    return drafts.get();
  }

  /** Today's practice of the song. */
  public PracticeViewModel practice() {
    return practice.get();
  }

  /** The tuning that is looked at. */
  public GuitarBench bench() {
    return bench.get();
  }

  /** The search for an easier key, capo or tuning. */
  public AdviceViewModel advice() {
    return advice.get();
  }

  /** Harp runs over the selected chord. */
  public HarpRunViewModel harp() {
    return harp.get();
  }

  /** Walks of double stops. */
  public WalkViewModel walks() {
    return walks.get();
  }

  /** The shelf of fills. */
  public FillViewModel fills() {
    return fills.get();
  }
}
