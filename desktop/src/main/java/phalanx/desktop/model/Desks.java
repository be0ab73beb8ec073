package phalanx.desktop.model;

import java.util.function.Supplier;
import phalanx.formats.fills.FillShelf;

/**
 * What the player does with the open song, a desk for each kind of work. Desks that only one screen
 * has are laid out when they are first asked for.
 */
public final class Desks {

  private final PatternDesk patterns;
  private final MelodyDesk melody;
  private final FindingDesk findings;
  private final SoundDesk sound;
  private final HandDesk hands;
  private final Supplier<GuitarBench> bench;
  private final Supplier<AdviceDesk> advice;
  private final Supplier<HarpDesk> harp;
  private final Supplier<FillDesk> fills;
  private final Supplier<WalkDesk> walks;

  Desks(Workspace workspace, PlanService planner) {
    patterns = new PatternDesk(workspace, planner);
    melody = new MelodyDesk(workspace, planner);
    findings = new FindingDesk(workspace, planner);
    sound = new SoundDesk(workspace, planner.interfaceThread());
    hands = new HandDesk(workspace, planner);
    bench = once(() -> new GuitarBench(workspace));
    advice = once(() -> new AdviceDesk(workspace, planner, AdviceDesk::onItsOwn));
    harp = once(() -> new HarpDesk(workspace));
    walks = once(() -> new WalkDesk(workspace, planner));
    fills = once(() -> new FillDesk(workspace, planner, FillShelf.all()));
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
  public PatternDesk patterns() {
    return patterns;
  }

  /** The tune as the Melody screen shows and changes it. */
  public MelodyDesk melody() {
    return melody;
  }

  /** What is hard in the song, one finding after the other. */
  public FindingDesk findings() {
    return findings;
  }

  /** What is heard of the song. */
  public SoundDesk sound() {
    return sound;
  }

  /** The player's hand. */
  public HandDesk hands() {
    return hands;
  }

  /** The tuning that is looked at. */
  public GuitarBench bench() {
    return bench.get();
  }

  /** The search for an easier key, capo or tuning. */
  public AdviceDesk advice() {
    return advice.get();
  }

  /** Harp runs over the selected chord. */
  public HarpDesk harp() {
    return harp.get();
  }

  /** Walks of double stops. */
  public WalkDesk walks() {
    return walks.get();
  }

  /** The shelf of fills. */
  public FillDesk fills() {
    return fills.get();
  }
}
