package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import phalanx.picking.PickFinger;

/**
 * Which stroke was which: moments are matched to moments ({@link MomentAlignment}), then every
 * stroke to the nearest sound that can be it, and the player’s own tempo is fitted to what was
 * matched ({@link TempoLine}).
 */
public final class StrokeMatching {

  /** A stroke further off its place than this, s, is another one. */
  private static final double FURTHEST = 0.14;

  /** Taps within this of each other are one moment, s. */
  private static final double ONE_TAP = 0.04;

  private final List<ExpectedStroke> expected;
  private final double tempo;

  private StrokeMatching(List<ExpectedStroke> expected, double tempo) {
    this.expected = expected;
    this.tempo = tempo;
  }

  /**
   * Taps against what was to be tapped.
   *
   * @param expected by time
   * @param taps by time
   * @param tempo the tempo asked for, quarter notes a minute
   */
  public static StrokeReport ofTaps(
      List<ExpectedStroke> expected, List<PlayedStroke> taps, double tempo) {
    return new StrokeMatching(expected, tempo).taps(taps);
  }

  private StrokeReport taps(List<PlayedStroke> taps) {
    List<Moment> moments = Moment.of(expected);
    List<List<PlayedStroke>> clusters = clusters(taps);
    double[] heard = clusters.stream().mapToDouble(StrokeMatching::middle).toArray();
    List<MomentAlignment.Pair> pairs =
        MomentAlignment.of(
            Moment.seconds(moments),
            Moment.entries(moments),
            heard,
            (i, j) -> alike(moments.get(i), clusters.get(j)),
            1);
    return report(moments, taps, pairs, heard);
  }

  private static double middle(List<PlayedStroke> cluster) {
    return cluster.stream().mapToDouble(PlayedStroke::seconds).average().orElse(0);
  }

  private static List<List<PlayedStroke>> clusters(List<PlayedStroke> taps) {
    List<List<PlayedStroke>> clusters = new ArrayList<>();
    for (PlayedStroke tap : taps) {
      List<PlayedStroke> last = clusters.isEmpty() ? null : clusters.get(clusters.size() - 1);
      boolean joins =
          last != null
              && tap.seconds() - last.get(0).seconds() <= ONE_TAP
              && last.stream().noneMatch(t -> t.finger().equals(tap.finger()));
      if (joins) {
        last.add(tap);
      } else {
        clusters.add(new ArrayList<>(List.of(tap)));
      }
    }
    return clusters;
  }

  private static double alike(Moment moment, List<PlayedStroke> cluster) {
    Set<PickFinger> wanted = new HashSet<>();
    moment.strokes().forEach(s -> wanted.add(s.finger()));
    Set<PickFinger> there = new HashSet<>();
    cluster.forEach(t -> t.finger().ifPresent(there::add));
    if (there.isEmpty()) {
      return 1;
    }
    Set<PickFinger> both = new HashSet<>(wanted);
    both.retainAll(there);
    Set<PickFinger> all = new HashSet<>(wanted);
    all.addAll(there);
    return (double) both.size() / all.size();
  }

  /** A stroke that may be a tap, and how far off it would be. */
  private record Candidate(int stroke, int tap, double expected, double off) {}

  private StrokeReport report(
      List<Moment> moments,
      List<PlayedStroke> taps,
      List<MomentAlignment.Pair> pairs,
      double[] heard) {
    List<AlignedRun> runs = AlignedRun.of(moments, pairs, heard, 1);
    List<MatchedStroke> matched = new ArrayList<>();
    Set<ExpectedStroke> found = new HashSet<>();
    Set<Integer> used = new HashSet<>();
    for (AlignedRun run : runs) {
      assign(run, moments, taps, matched, found, used);
    }
    List<Double> extra = new ArrayList<>();
    for (int t = 0; t < taps.size(); t++) {
      if (!used.contains(t)) {
        extra.add(taps.get(t).seconds());
      }
    }
    matched.sort(Comparator.comparingDouble(MatchedStroke::heard));
    List<ExpectedStroke> missed = expected.stream().filter(s -> !found.contains(s)).toList();
    return new StrokeReport(
        runs.isEmpty() ? 0 : runs.get(0).line().at(0),
        matched,
        missed,
        List.of(),
        extra,
        AlignedRun.tempo(runs),
        AlignedRun.drift(runs, tempo));
  }

  /** Every stroke of a run to the tap of its finger that is nearest, the nearest pairs first. */
  private void assign(
      AlignedRun run,
      List<Moment> moments,
      List<PlayedStroke> taps,
      List<MatchedStroke> matched,
      Set<ExpectedStroke> found,
      Set<Integer> used) {
    double from = run.from(moments);
    double to = run.to(moments);
    List<Candidate> candidates = new ArrayList<>();
    for (int s = 0; s < expected.size(); s++) {
      ExpectedStroke stroke = expected.get(s);
      if (stroke.seconds() < from - 1e-9
          || stroke.seconds() > to + ExpectedStroke.TOGETHER + 1e-9) {
        continue;
      }
      double at = run.line().at(stroke.seconds());
      for (int t = ByTime.firstFrom(taps, PlayedStroke::seconds, at - FURTHEST);
          t < taps.size() && taps.get(t).seconds() <= at + FURTHEST;
          t++) {
        double off = Math.abs(taps.get(t).seconds() - at);
        boolean same = taps.get(t).finger().filter(f -> f != stroke.finger()).isEmpty();
        if (same && !used.contains(t)) {
          candidates.add(new Candidate(s, t, at, off));
        }
      }
    }
    candidates.sort(Comparator.comparingDouble(Candidate::off));
    Set<Integer> done = new HashSet<>();
    for (Candidate c : candidates) {
      if (!done.contains(c.stroke()) && !used.contains(c.tap())) {
        done.add(c.stroke());
        used.add(c.tap());
        ExpectedStroke stroke = expected.get(c.stroke());
        found.add(stroke);
        matched.add(new MatchedStroke(stroke, c.expected(), taps.get(c.tap()).seconds()));
      }
    }
  }
}
