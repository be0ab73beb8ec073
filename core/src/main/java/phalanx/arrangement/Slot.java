package phalanx.arrangement;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.song.Timeline;

/**
 * A chord at its time with the shape the fretting hand holds.
 *
 * @param played where and when the chord stands
 * @param shape the shape; empty where no chord sounds or none can be held
 * @param pinned whether the player chose the shape
 * @param found what the player should know about it
 * @param waysOut what would help where no shape can be held
 * @param heard what the pattern strikes over it
 * @param resting the fingers of the shape that may rest: nothing they press is struck, kept or
 *     stopped while it lasts
 * @param tune the notes of the tune that sound in it, those that go on from before first
 * @param fromTick when the hand is on it: its place, or earlier where a pattern brings it early
 * @param toTick when the hand leaves it
 */
public record Slot(
    Timeline.PlayedSlot played,
    Optional<Shape> shape,
    boolean pinned,
    List<Remark> found,
    List<ShapeSuggestion> waysOut,
    PatternHeard heard,
    Set<Finger> resting,
    List<MelodyNote> tune,
    int fromTick,
    int toTick) {

  public Slot {
    found = List.copyOf(found);
    waysOut = List.copyOf(waysOut);
    resting = Set.copyOf(resting);
    tune = List.copyOf(tune);
  }

  /** What the hand holds: the shape, or nothing. */
  public Shape held() {
    return shape.orElse(Shape.NOTHING);
  }

  /** Whether there is a tune here and no chord under it. */
  public boolean isTuneAlone() {
    return shape.isEmpty() && !tune.isEmpty() && !(played.harmony() instanceof Harmony.Sounding);
  }

  /** A chord that begins and ends where it is written. */
  public Slot(
      Timeline.PlayedSlot played,
      Optional<Shape> shape,
      boolean pinned,
      List<Remark> found,
      List<ShapeSuggestion> waysOut,
      PatternHeard heard,
      List<MelodyNote> tune) {
    this(
        played,
        shape,
        pinned,
        found,
        waysOut,
        heard,
        Set.of(),
        tune,
        played.tick(),
        played.endTick());
  }

  /** The same slot with these remarks. */
  public Slot withRemarks(List<Remark> other) {
    return new Slot(played, shape, pinned, other, waysOut, heard, resting, tune, fromTick, toTick);
  }

  /** The same slot held at another time. */
  public Slot held(int from, int to) {
    return new Slot(played, shape, pinned, found, waysOut, heard, resting, tune, from, to);
  }

  /** The same slot in which some fingers may rest. */
  public Slot resting(Set<Finger> other) {
    return new Slot(played, shape, pinned, found, waysOut, heard, other, tune, fromTick, toTick);
  }

  /** What the fingers hold that do not rest. */
  public Shape asked() {
    return held().lifting(resting);
  }

  /** What the player should know about it, in sentences, each once. */
  public List<String> remarks() {
    return found.stream().map(Remark::words).distinct().toList();
  }

  /** When its place in the song ends, in ticks from the start. */
  public int endTick() {
    return played.endTick();
  }
}
