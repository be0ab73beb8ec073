package phalanx.arrangement;

import java.util.List;
import java.util.Optional;
import phalanx.fretting.Shape;
import phalanx.song.Timeline;

/**
 * A chord at its time with the shape the fretting hand holds.
 *
 * @param played where and when the chord stands
 * @param shape the shape; empty where no chord sounds or none can be held
 * @param pinned whether the player chose the shape
 * @param remarks what the player should know about it, in sentences
 * @param waysOut what would help where no shape can be held
 */
public record Slot(
    Timeline.PlayedSlot played,
    Optional<Shape> shape,
    boolean pinned,
    List<String> remarks,
    List<WayOut> waysOut) {

  public Slot {
    remarks = List.copyOf(remarks);
    waysOut = List.copyOf(waysOut);
  }

  /** The same slot with these remarks. */
  Slot withRemarks(List<String> other) {
    return new Slot(played, shape, pinned, other, waysOut);
  }

  /** When it ends, in ticks from the start of the song. */
  public int endTick() {
    return played.endTick();
  }
}
