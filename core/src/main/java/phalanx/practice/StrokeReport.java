package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import phalanx.picking.PickFinger;

/**
 * How strokes went.
 *
 * @param offset when the written beginning is heard, s
 * @param matched by the time they were heard
 * @param missed expected and not heard, by time
 * @param wrong strokes for which another string was heard, by time
 * @param extra what was heard beside them, s
 * @param tempo the tempo that was played, as a share of the one asked for
 * @param drift by how much it rose from the first stroke to the last, quarter notes a minute
 */
public record StrokeReport(
    double offset,
    List<MatchedStroke> matched,
    List<ExpectedStroke> missed,
    List<WrongString> wrong,
    List<Double> extra,
    double tempo,
    double drift) {

  /** What stands for strokes between beats. */
  public static final int OFF_BEAT = 0;

  /**
   * A stroke that went to another string.
   *
   * @param stroke what was expected
   * @param string the string that was heard, 0 for ⑥ to 5 for ①
   * @param heard when, s
   */
  public record WrongString(ExpectedStroke stroke, int string, double heard) {}

  public StrokeReport {
    wrong = List.copyOf(wrong);
    matched = List.copyOf(matched);
    missed = List.copyOf(missed);
    extra = List.copyOf(extra);
  }

  /** The same while it goes on: what comes behind the last stroke that was heard is not missed. */
  public StrokeReport soFar() {
    double until =
        matched.stream().mapToDouble(m -> m.stroke().seconds()).max().orElse(Double.MIN_VALUE);
    return new StrokeReport(
        offset,
        matched,
        missed.stream().filter(s -> s.seconds() < until).toList(),
        wrong,
        extra,
        tempo,
        drift);
  }

  /** How steady those of some strokes are. */
  public Steadiness steadiness(Predicate<ExpectedStroke> of) {
    return Steadiness.of(
        matched.stream().filter(m -> of.test(m.stroke())).map(MatchedStroke::late).toList(), drift);
  }

  /** How even in loudness those of some strokes are. */
  public Evenness evenness(Predicate<ExpectedStroke> of) {
    return Evenness.of(matched.stream().filter(m -> of.test(m.stroke())).toList());
  }

  /** The thumb’s. */
  public Steadiness thumb() {
    return steadiness(ExpectedStroke::isThumbs);
  }

  /** The other fingers’. */
  public Steadiness fingers() {
    return steadiness(s -> !s.isThumbs());
  }

  /** Each finger’s. */
  public Map<PickFinger, Steadiness> byFinger() {
    return by(s -> Optional.of(s.finger()), new TreeMap<>());
  }

  /** On each felt beat of the bar, by its number; those between beats under {@link #OFF_BEAT}. */
  public Map<Integer, Steadiness> byBeat() {
    return by(
        s -> Optional.of(s.isOnBeat() ? (int) Math.rint(s.beat()) : OFF_BEAT), new TreeMap<>());
  }

  /** The first strokes after each change of chords, by both, the latest first. */
  public Map<String, Steadiness> byChange() {
    Map<String, Steadiness> found = by(ExpectedStroke::change, new TreeMap<>());
    Map<String, Steadiness> latest = new LinkedHashMap<>();
    found.entrySet().stream()
        .sorted(Comparator.comparingDouble(e -> -e.getValue().mean()))
        .forEach(e -> latest.put(e.getKey(), e.getValue()));
    return latest;
  }

  private <K> Map<K, Steadiness> by(
      Function<ExpectedStroke, Optional<K>> key, Map<K, Steadiness> into) {
    Map<K, List<Double>> late = new HashMap<>();
    for (MatchedStroke m : matched) {
      key.apply(m.stroke())
          .ifPresent(k -> late.computeIfAbsent(k, n -> new ArrayList<>()).add(m.late()));
    }
    late.forEach((k, l) -> into.put(k, Steadiness.of(l, drift)));
    return into;
  }
}
