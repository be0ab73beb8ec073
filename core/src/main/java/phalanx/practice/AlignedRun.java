package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A way through what is written without going back, and the player’s own tempo on it.
 *
 * @param pairs what was heard for which moment, by time
 * @param line how its time goes along with written time
 */
record AlignedRun(List<MomentAlignment.Pair> pairs, TempoLine line) {

  /** A pause of more than this, s, beside what is written parts a run in two. */
  private static final double PAUSE = 0.8;

  AlignedRun {
    pairs = List.copyOf(pairs);
  }

  /** The runs of an alignment: a new one where the player went back, or stopped for a while. */
  static List<AlignedRun> of(
      List<Moment> moments, List<MomentAlignment.Pair> pairs, double[] heard, double slowness) {
    List<AlignedRun> runs = new ArrayList<>();
    List<MomentAlignment.Pair> open = new ArrayList<>();
    for (MomentAlignment.Pair pair : pairs) {
      if (!open.isEmpty() && parts(moments, open.get(open.size() - 1), pair, heard, slowness)) {
        runs.add(run(moments, open, heard, slowness));
        open.clear();
      }
      open.add(pair);
    }
    if (!open.isEmpty()) {
      runs.add(run(moments, open, heard, slowness));
    }
    return runs;
  }

  private static boolean parts(
      List<Moment> moments,
      MomentAlignment.Pair last,
      MomentAlignment.Pair next,
      double[] heard,
      double slowness) {
    if (next.moment() <= last.moment()) {
      return true;
    }
    double written = moments.get(next.moment()).seconds() - moments.get(last.moment()).seconds();
    written *= slowness;
    double gap = heard[next.heard()] - heard[last.heard()];
    return Math.abs(gap - written) > PAUSE + 0.7 * written;
  }

  private static AlignedRun run(
      List<Moment> moments, List<MomentAlignment.Pair> pairs, double[] heard, double slowness) {
    double[] written = pairs.stream().mapToDouble(p -> moments.get(p.moment()).seconds()).toArray();
    double[] times = pairs.stream().mapToDouble(p -> heard[p.heard()]).toArray();
    return new AlignedRun(pairs, TempoLine.of(written, times, slowness).orWritten());
  }

  double from(List<Moment> moments) {
    return moments.get(pairs.get(0).moment()).seconds();
  }

  double to(List<Moment> moments) {
    return moments.get(pairs.get(pairs.size() - 1).moment()).seconds();
  }

  /** The tempo of the run that says most: the longest, as a share of what was asked. */
  static double tempo(List<AlignedRun> runs) {
    return longest(runs).map(l -> 1 / l.slopeAt((l.from() + l.to()) / 2)).orElse(1.0);
  }

  /** By how much the tempo rose in it, from one that was asked for. */
  static double drift(List<AlignedRun> runs, double tempo) {
    return longest(runs).map(l -> l.drift(tempo)).orElse(0.0);
  }

  private static Optional<TempoLine> longest(List<AlignedRun> runs) {
    return runs.stream().max(Comparator.comparingInt(r -> r.pairs().size())).map(AlignedRun::line);
  }
}
