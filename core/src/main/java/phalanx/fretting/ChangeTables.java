package phalanx.fretting;

import java.lang.invoke.VarHandle;
import java.util.Arrays;

/**
 * The changes between rows of candidates, worked out once a pair and kept while they are used. They
 * do not depend on the tempo.
 */
final class ChangeTables {

  /** Tables kept besides those a plan uses; one of 60 by 60 shapes takes 58 kB. */
  private static final int ROOM = 60;

  private final ChangeCosts changes;
  private final RecentlyUsed<Pair, Table> known = new RecentlyUsed<>(ROOM);

  private record Pair(Candidates from, Candidates to) {}

  ChangeTables(ChangeCosts changes) {
    this.changes = changes;
  }

  Table between(Candidates from, Candidates to) {
    return known.get(new Pair(from, to), p -> new Table(changes, from, to));
  }

  void forgetUnused() {
    known.turn();
  }

  /**
   * The changes from one row of candidates to another: their cost in good time, their time. Each is
   * worked out when it is first asked for; most never are.
   */
  static final class Table {

    private final ChangeCosts changes;
    private final HandState[] from;
    private final HandState[] to;

    // Two threads may work the same change out; both find the same.
    private final double[] cost;
    private final double[] needed;

    Table(ChangeCosts changes, Candidates from, Candidates to) {
      this.changes = changes;
      this.from = from.exits(changes);
      this.to = to.entries(changes);
      cost = new double[this.from.length * this.to.length];
      needed = new double[cost.length];
      Arrays.fill(needed, Double.NaN);
    }

    /** Cost of a change that may take a time, ms; never less than 0. */
    double cost(int leaving, int coming, double available) {
      int at = leaving * to.length + coming;
      double time = needed[at];
      if (Double.isNaN(time)) {
        cost[at] = changes.unhurried(from[leaving], to[coming]);
        time = changes.millisNeeded(from[leaving], to[coming]);
        VarHandle.storeStoreFence();
        needed[at] = time;
      }
      VarHandle.loadLoadFence();
      return cost[at] + ChangeCosts.late(time, available);
    }
  }
}
