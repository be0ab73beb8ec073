package phalanx.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.instrument.Tuning;
import phalanx.melody.Want;
import phalanx.picking.Density;
import phalanx.song.Song;

/**
 * The order of drafts: nothing that cannot be played, fewest that will be heard, nearest to the
 * level asked for, then how it sounds; and variety among those that are shown.
 */
final class DraftRanking {

  /** Levels nearer than this are as near to what is asked for as one another. */
  private static final double NEAR = 0.25;

  /** Drafts shown together differ in this share of their strokes, if any such are there. */
  private static final double DIFFERENT = 1.0 / 3;

  private final Song song;
  private final Drafts.Wish wish;

  DraftRanking(Song song, Drafts.Wish wish) {
    this.song = song;
    this.wish = wish;
  }

  /** At the lowest levels nothing worth knowing and a tempo that holds come first. */
  Comparator<Draft> order() {
    Comparator<Draft> order =
        Comparator.comparingInt((Draft d) -> d.tally().cannot())
            .thenComparingInt(d -> d.tally().heard());
    if (wish.level().isPresent()) {
      double wanted = wish.level().getAsDouble();
      order =
          order
              .thenComparingLong(d -> Math.round(Math.abs(d.level().level() - wanted) / NEAR))
              .thenComparing(d -> d.ceiling().filter(c -> c < song.tempo()).isPresent())
              .thenComparingInt(d -> d.tally().notes());
    }
    return order
        .thenComparingDouble(d -> -d.heard())
        .thenComparingInt(d -> d.tally().notes())
        .thenComparingInt(d -> wish.manners().indexOf(d.manner()))
        .thenComparingDouble(d -> d.level().level());
  }

  /** As many as wanted, each manner once as long as there are others as playable. */
  List<Draft> best(List<Draft> drafts) {
    List<Draft> ordered = inOrder(drafts);
    List<Draft> chosen =
        new ArrayList<>(ordered.subList(0, Math.min(wish.limit(), ordered.size())));
    int least = ordered.stream().mapToInt(d -> d.tally().cannot()).min().orElse(0);
    // A variety that cannot be played is none.
    chosen.removeIf(d -> d.tally().cannot() > least);
    chosen.sort(order());
    return List.copyOf(chosen);
  }

  /** All, the best first, with those put back that are like one before them. */
  List<Draft> inOrder(List<Draft> drafts) {
    List<Candidate> ranked =
        drafts.stream().sorted(order()).map(d -> new Candidate(d, struck(d))).toList();
    List<Candidate> chosen = new ArrayList<>();
    for (double different : new double[] {DIFFERENT, 0}) {
      for (int round = 0; round < Density.values().length; round++) {
        for (Candidate candidate : ranked) {
          int most = round;
          boolean free =
              !chosen.contains(candidate)
                  && chosen.stream().filter(c -> c.manner().equals(candidate.manner())).count()
                      <= most;
          if (free && chosen.stream().allMatch(c -> difference(c, candidate) > different)) {
            chosen.add(candidate);
          }
        }
      }
    }
    return chosen.stream().map(Candidate::draft).toList();
  }

  /** A draft with its strokes as sorted numbers, which are compared often. */
  private record Candidate(Draft draft, long[] struck) {
    String manner() {
      return draft.manner().name();
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Candidate c && c.draft == draft;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(draft);
    }
  }

  /** The share of strokes of two drafts that only one of them has. */
  private static double difference(Candidate one, Candidate other) {
    int both = 0;
    int i = 0;
    int j = 0;
    while (i < one.struck.length && j < other.struck.length) {
      int order = Long.compare(one.struck[i], other.struck[j]);
      both += order == 0 ? 1 : 0;
      i += order <= 0 ? 1 : 0;
      j += order >= 0 ? 1 : 0;
    }
    int all = one.struck.length + other.struck.length - both;
    return all == 0 ? 0 : 1 - (double) both / all;
  }

  /** Time, string and fret of each stroke. */
  private static long[] struck(Draft draft) {
    return draft.arrangement().notes().stream()
        .mapToLong(
            n ->
                ((long) n.tick() * Tuning.STRINGS + n.string()) * (Want.HIGHEST_FRET + 1)
                    + n.fret())
        .sorted()
        .distinct()
        .toArray();
  }
}
