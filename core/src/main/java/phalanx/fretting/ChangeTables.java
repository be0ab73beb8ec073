package phalanx.fretting;

import java.util.Arrays;

/**
 * The changes between rows of candidates, worked out once a pair and kept while they are used. They
 * do not depend on the tempo.
 */
final class ChangeTables {

  /** Tables kept besides those a plan uses; one of 60 by 60 shapes takes 29 kB. */
  private static final int ROOM = 60;

  private final ChangeCosts changes;
  private final RecentlyUsed<Pair, Table> known = new RecentlyUsed<>(ROOM);

  private record Pair(HandPositions from, HandPositions to) {}

  ChangeTables(ChangeCosts changes) {
    this.changes = changes;
  }

  Table between(Candidates from, Candidates to) {
    // A row of one shape is that of a passage that is only tried.
    return from.size() == 1 || to.size() == 1
        ? new Table(changes, from.hands(), to.hands())
        : known.get(new Pair(from.hands(), to.hands()), p -> new Table(changes, p.from(), p.to()));
  }

  void forgetUnused() {
    known.turn();
  }

  /**
   * The changes from one row of candidates to another. Each is worked out when it is first asked
   * for; half of them never are.
   */
  static final class Table {

    private final ChangeCosts changes;
    private final HandState[] from;
    private final HandState[] to;

    // NaN where it is not known. Two threads may work the same change out; both find the same, and
    // machines with words of 64 bits read a double whole.
    private final double[] cost;

    Table(ChangeCosts changes, HandPositions from, HandPositions to) {
      this.changes = changes;
      this.from = from.exits(changes);
      this.to = to.entries(changes);
      cost = new double[this.from.length * this.to.length];
      Arrays.fill(cost, Double.NaN);
    }

    /** What a change costs at least: all of it in good time where that is known, else a part. */
    double atLeast(int leaving, int coming) {
      double known = cost[leaving * to.length + coming];
      return Double.isNaN(known) ? changes.atLeast(from[leaving], to[coming]) : known;
    }

    /** Cost of a change in good time, which it costs at least however soon it has to be made. */
    double unhurried(int leaving, int coming) {
      int at = leaving * to.length + coming;
      double known = cost[at];
      if (Double.isNaN(known)) {
        known = changes.unhurried(from[leaving], to[coming]);
        cost[at] = known;
      }
      return known;
    }

    /**
     * Cost of a change that may take a time, ms; never less than 0. Its own time is worked out
     * anew: it is asked for one change in a dozen, and to keep it would take as much room again.
     */
    double cost(int leaving, int coming, double available) {
      double time = changes.millisNeeded(from[leaving], to[coming]);
      return unhurried(leaving, coming) + ChangeCosts.late(time, available);
    }
  }
}
