package phalanx.fretting;

/**
 * The changes between rows of candidates, worked out once a pair and kept while they are used. They
 * do not depend on the tempo.
 */
final class ChangeTables {

  /** Tables kept besides those a plan uses; one of 60 by 60 shapes takes 7 kB. */
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
   * The changes from one row of candidates to another. What one costs at least is kept once it was
   * worked out, rounded down into two bytes: most changes are ruled out by that, and the others are
   * so few that their whole cost is worked out anew.
   */
  static final class Table {

    /** So many steps to a cost of 1. */
    private static final double STEPS = 1024;

    private static final int MOST = Character.MAX_VALUE - 1;

    private final ChangeCosts changes;
    private final HandState[] from;
    private final HandState[] to;

    // One step more than the cost; 0 where it is not known. Two threads may work the same change
    // out; both find the same.
    private final char[] least;

    Table(ChangeCosts changes, HandPositions from, HandPositions to) {
      this.changes = changes;
      this.from = from.exits(changes);
      this.to = to.entries(changes);
      least = new char[this.from.length * this.to.length];
    }

    /** What a change costs at least. */
    double atLeast(int leaving, int coming) {
      char known = least[leaving * to.length + coming];
      return known == 0 ? changes.atLeast(from[leaving], to[coming]) : (known - 1) / STEPS;
    }

    /** Cost of a change in good time, which it costs at least however soon it has to be made. */
    double unhurried(int leaving, int coming) {
      double cost = changes.unhurried(from[leaving], to[coming]);
      least[leaving * to.length + coming] = (char) (1 + Math.min(MOST, (int) (cost * STEPS)));
      return cost;
    }

    /** Cost of a change that may take a time, ms; never less than 0. */
    double cost(int leaving, int coming, double available) {
      return unhurried(leaving, coming) + late(leaving, coming, available);
    }

    /** What of it is for coming late. */
    double late(int leaving, int coming, double available) {
      return ChangeCosts.late(changes.millisNeeded(from[leaving], to[coming]), available);
    }
  }
}
