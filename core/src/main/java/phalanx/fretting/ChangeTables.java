package phalanx.fretting;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The changes between rows of candidates, worked out once a pair and kept, the longest unused going
 * first. They do not depend on the tempo.
 */
final class ChangeTables {

  /** Tables kept; one of 60 by 60 shapes takes 58 kB. */
  private static final int MOST_KEPT = 1200;

  private final ChangeCosts changes;
  private final Map<Pair, Table> known =
      new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Pair, Table> eldest) {
          return size() > MOST_KEPT;
        }
      };

  private record Pair(Candidates from, Candidates to) {}

  ChangeTables(ChangeCosts changes) {
    this.changes = changes;
  }

  synchronized Table between(Candidates from, Candidates to) {
    return known.computeIfAbsent(new Pair(from, to), p -> new Table(changes, from, to));
  }

  /** Every change from one row of candidates to another: its cost in good time, its time. */
  static final class Table {

    private final double[][] cost;
    private final double[][] needed;

    Table(ChangeCosts changes, Candidates from, Candidates to) {
      HandState[] a = from.exits(changes);
      HandState[] b = to.entries(changes);
      cost = new double[a.length][b.length];
      needed = new double[a.length][b.length];
      for (int p = 0; p < a.length; p++) {
        for (int c = 0; c < b.length; c++) {
          cost[p][c] = changes.unhurried(a[p], b[c]);
          needed[p][c] = changes.millisNeeded(a[p], b[c]);
        }
      }
    }

    /** Cost of a change that may take a time, ms. */
    double cost(int from, int to, double available) {
      return cost[from][to] + ChangeCosts.late(needed[from][to], available);
    }
  }
}
