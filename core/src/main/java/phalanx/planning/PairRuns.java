package phalanx.planning;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import phalanx.fretting.Candidates;
import phalanx.fretting.FretRow;
import phalanx.fretting.RatedShape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedSlot;

/**
 * Pairs of fretted notes that move along the same two strings, as sixths or tenths do over an open
 * bass. Players keep one finger on its string all the way and let the other change (common
 * practice, no source).
 */
final class PairRuns {

  /** A finger that stays on a string. */
  record Guide(int string, Finger finger) {}

  private final List<Optional<Guide>> guides;

  private PairRuns(List<Optional<Guide>> guides) {
    this.guides = guides;
  }

  /**
   * Finds the runs of a song.
   *
   * @param fingered the ways to finger the frets pinned in each slot; empty where none are
   */
  static PairRuns of(Song song, List<PlayedSlot> slots, List<Optional<Candidates>> fingered) {
    List<Optional<Guide>> guides =
        new ArrayList<>(Collections.nCopies(slots.size(), Optional.empty()));
    int from = 0;
    while (from < slots.size()) {
      Set<Integer> pair = pair(song, slots.get(from), fingered.get(from));
      int to = from + 1;
      while (to < slots.size()
          && pair.size() == 2
          && pair.equals(pair(song, slots.get(to), fingered.get(to)))) {
        to++;
      }
      if (to - from > 1) {
        List<Candidates> rows =
            fingered.subList(from, to).stream().map(Optional::orElseThrow).toList();
        Optional<Guide> guide = guide(pair, rows);
        for (int i = from; i < to; i++) {
          guides.set(i, guide);
        }
      }
      from = to;
    }
    return new PairRuns(guides);
  }

  /** The two strings that are fretted in a slot; others where there are not two. */
  private static Set<Integer> pair(Song song, PlayedSlot slot, Optional<Candidates> fingered) {
    Optional<FretRow> row = song.pins().frets(slot.ref());
    if (row.isEmpty() || fingered.isEmpty()) {
      return Set.of();
    }
    Set<Integer> fretted = new TreeSet<>();
    IntStream.range(0, Tuning.STRINGS)
        .filter(s -> row.get().frets().get(s) > 0)
        .forEach(fretted::add);
    return fretted;
  }

  /** The finger that can stay on one of two strings with least effort in all. */
  private static Optional<Guide> guide(Set<Integer> pair, List<Candidates> rows) {
    Optional<Guide> best = Optional.empty();
    double least = Double.POSITIVE_INFINITY;
    for (int string : pair) {
      for (Finger finger : Finger.values()) {
        double cost = 0;
        for (Candidates row : rows) {
          cost +=
              row.stream()
                  .filter(r -> isGuided(r, string, finger))
                  .mapToDouble(RatedShape::cost)
                  .min()
                  .orElse(Double.POSITIVE_INFINITY);
        }
        if (cost < least) {
          least = cost;
          best = Optional.of(new Guide(string, finger));
        }
      }
    }
    return best;
  }

  private static boolean isGuided(RatedShape rated, int string, Finger finger) {
    return rated.shape().finger(string).equals(Optional.of(finger));
  }

  /** The finger that stays in a slot; empty where none has to. */
  Optional<Guide> guide(int slot) {
    return guides.get(slot);
  }

  /** The candidates that keep a guide finger. */
  static Candidates kept(Candidates row, Guide guide) {
    List<RatedShape> kept =
        row.stream().filter(r -> isGuided(r, guide.string(), guide.finger())).toList();
    return kept.isEmpty() ? row : Candidates.of(kept, row.all());
  }
}
