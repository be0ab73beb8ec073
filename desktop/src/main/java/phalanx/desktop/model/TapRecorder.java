package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleSupplier;
import java.util.function.Supplier;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.MatchedStroke;
import phalanx.practice.PlayedStroke;
import phalanx.practice.SimulatedPlayer;
import phalanx.practice.StrokeMatching;
import phalanx.practice.StrokeReport;

/** Keeps what is tapped to a drill that goes round, and matches it to its strokes. */
final class TapRecorder {

  /** So many rounds are kept. */
  private static final int ROUNDS = 8;

  private final PlaybackController sound;
  private final DoubleSupplier latency;
  private List<ExpectedStroke> expected = List.of();
  private double share = 1;
  private double tempo = 60;
  private final List<List<PlayedStroke>> rounds = new ArrayList<>();
  private double last;

  /**
   * Nothing was tapped yet.
   *
   * @param latency how late taps arrive, s
   */
  TapRecorder(PlaybackController sound, DoubleSupplier latency) {
    this.sound = sound;
    this.latency = latency;
  }

  /** A drill begins, at a share of the song’s tempo. */
  void begin(Performance drill, double at) {
    share = at;
    tempo = drill.arrangement().song().tempo() * at;
    expected = scaled(drill, at);
    forget();
  }

  void forget() {
    rounds.clear();
    rounds.add(new ArrayList<>());
    last = Double.NEGATIVE_INFINITY;
  }

  /** The strokes in real seconds. */
  static List<ExpectedStroke> scaled(Performance drill, double share) {
    int first = drill.arrangement().timeline().bars().get(0).startTick();
    return ExpectedStroke.of(drill, first, Integer.MAX_VALUE).stream()
        .map(s -> s.at(s.seconds() / share))
        .toList();
  }

  /** A tap now; whether anything was playing to tap to. */
  boolean tap(PickFinger finger) {
    OptionalDouble now = sound.heardSeconds();
    if (now.isEmpty() || now.getAsDouble() < -0.1) {
      return false;
    }
    double at = now.getAsDouble() / share - latency.getAsDouble();
    if (at < last - 0.2) {
      rounds.add(new ArrayList<>());
      if (rounds.size() > ROUNDS) {
        rounds.remove(0);
      }
    }
    last = at;
    rounds.get(rounds.size() - 1).add(new PlayedStroke(at, Optional.of(finger)));
    return true;
  }

  /** How it went so far, to be worked out away from the interface’s thread. */
  Supplier<Optional<StrokeReport>> report() {
    List<List<PlayedStroke>> tapped = rounds.stream().map(List::copyOf).toList();
    List<ExpectedStroke> strokes = expected;
    double asked = tempo;
    double until = last + 0.1;
    return () -> report(strokes, tapped, asked, until);
  }

  /** All rounds together; the newest, which goes on, only as far as it has come. */
  private static Optional<StrokeReport> report(
      List<ExpectedStroke> expected, List<List<PlayedStroke>> rounds, double tempo, double until) {
    List<MatchedStroke> matched = new ArrayList<>();
    List<ExpectedStroke> missed = new ArrayList<>();
    List<Double> extra = new ArrayList<>();
    double drift = 0;
    double played = 1;
    for (int r = 0; r < rounds.size(); r++) {
      boolean going = r + 1 == rounds.size();
      List<ExpectedStroke> due =
          going ? expected.stream().filter(s -> s.seconds() < until).toList() : expected;
      StrokeReport one = StrokeMatching.ofTaps(due, rounds.get(r), tempo);
      matched.addAll(one.matched());
      missed.addAll(one.missed());
      extra.addAll(one.extra());
      drift = one.drift();
      played = one.tempo();
    }
    return matched.isEmpty()
        ? Optional.empty()
        : Optional.of(new StrokeReport(0, matched, missed, List.of(), extra, played, drift));
  }

  /** What the simulated player taps. */
  static StrokeReport simulated(Performance drill, double share, long seed) {
    List<ExpectedStroke> expected = scaled(drill, share);
    double tempo = drill.arrangement().song().tempo() * share;
    List<PlayedStroke> taps = SimulatedPlayer.steady(seed).play(expected, tempo).strokes();
    return StrokeMatching.ofTaps(expected, taps, tempo);
  }
}
