package phalanx.planning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import phalanx.arrangement.Slot;
import phalanx.form.Phrases;
import phalanx.picking.ThumbRoute;
import phalanx.planning.TimedSteps.TimedStep;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedSlot;

/**
 * The strokes of a walking thumb that lead to the next chord: the last over a chord, and one or two
 * before it where the thumb has more to do. Into phrases, or to every other root, as the player
 * wants (common practice, no source).
 */
final class WalkingStrokes {

  /** The longest walk into a chord, notes. */
  private static final int LONGEST = 3;

  /**
   * A stroke of a walk.
   *
   * @param away by how many steps it is away from the next chord’s root, 1 or more
   * @param isLong whether the walk has more notes than one
   * @param turns whether the root is played round: from the other side first, so that a bar that
   *     comes again is not the same (common practice, no source)
   */
  record Step(int away, boolean isLong, boolean turns) {}

  private WalkingStrokes() {}

  /** Those of a song; none where its thumb does not walk. */
  static Map<TimedStep, Step> of(Song song, List<Slot> slots, TimedSteps placed) {
    boolean sometimes = song.picking().thumb().has(ThumbRoute.WALKING);
    if (!sometimes && !song.picking().thumb().has(ThumbRoute.WALKING_ALWAYS)) {
      return Map.of();
    }
    Set<Integer> starts = sometimes ? Phrases.of(song).starts() : Set.of();
    Map<TimedStep, Step> walking = new HashMap<>();
    Map<Integer, Integer> firstTimes = new HashMap<>();
    slots.forEach(s -> firstTimes.putIfAbsent(s.played().ref().bar(), s.played().bar()));
    bySlot(placed)
        .forEach(
            (slot, row) -> {
              ThumbRoute route = song.thumbAt(slots.get(slot).played().ref().bar());
              boolean leads = route == ThumbRoute.WALKING && leadsInto(starts, slot, slots);
              if (leads || route == ThumbRoute.WALKING_ALWAYS) {
                PlayedSlot played = slots.get(slot).played();
                boolean again = played.bar() > firstTimes.get(played.ref().bar());
                addLast(row, again, walking);
              }
            });
    return walking;
  }

  /** The thumb’s strokes over each slot. */
  private static Map<Integer, List<TimedStep>> bySlot(TimedSteps placed) {
    Map<Integer, List<TimedStep>> strokes = new HashMap<>();
    for (TimedStep step : placed.steps()) {
      if (step.step().plucks().anyMatch(p -> p.role().isThumb())) {
        strokes.computeIfAbsent(step.slot(), s -> new ArrayList<>()).add(step);
      }
    }
    return strokes;
  }

  private static boolean leadsInto(Set<Integer> starts, int slot, List<Slot> slots) {
    if (slot + 1 == slots.size()) {
      return false;
    }
    SlotRef next = slots.get(slot + 1).played().ref();
    return next.tick() == 0 && starts.contains(next.bar());
  }

  /** The chord’s first stroke is its bass; a walk of several takes half of the strokes at most. */
  private static void addLast(List<TimedStep> row, boolean again, Map<TimedStep, Step> walking) {
    int count = Math.min(row.size() - 1, Math.max(1, Math.min(LONGEST, row.size() / 2)));
    for (int away = 1; away <= count; away++) {
      walking.put(row.get(row.size() - away), new Step(away, count > 1, again && away == 2));
    }
  }
}
