package phalanx.level;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.performance.Performance;
import phalanx.text.Phrase;
import phalanx.text.Texts;

/**
 * How hard a plan is to play: 1.0 for what somebody plays in the first weeks, 5.0 for what hardly
 * anybody does. Each demand counts half by its mean over the bars and half by the hardest quarter
 * of them, so that one hard bar is not lost in a long song; what all add up to goes into 1 + 4·(1 −
 * e^(−(sum/1.35)²)): flat for beginners and for virtuosos, steep between them, where players ask.
 * Whatever is slower, shorter or less of something never has a higher level.
 *
 * @param level 1.0 to 5.0
 * @param parts what it comes from, the most first; those that add nothing are left out
 * @param bars the level of each bar by itself, by its number as played
 */
public record PlanLevel(double level, List<Part> parts, Map<Integer, Double> bars) {

  public static final double LOWEST = 1;
  public static final double HIGHEST = 5;

  /** So that a song of four open chords with an easy figure lies near 2. */
  private static final double MIDDLE = 1.35;

  /** A bar belongs to a part that has this share of the part’s hardest bar. */
  private static final double HARD = 0.75;

  /**
   * One demand.
   *
   * @param demand which
   * @param share of the level, 0 to 1; all parts together have 1
   * @param bars where it is hardest, by their numbers as played, rising
   * @param words in a sentence
   */
  public record Part(Demand demand, double share, List<Integer> bars, String words) {
    public Part {
      bars = List.copyOf(bars);
    }
  }

  public PlanLevel {
    parts = List.copyOf(parts);
    bars = Map.copyOf(bars);
  }

  /** The level of a plan. */
  public static PlanLevel of(Arrangement a) {
    return of(Performance.of(a));
  }

  /** The same of a plan whose times are known already. */
  public static PlanLevel of(Performance performance) {
    BarDemands demands = BarDemands.of(performance);
    Map<Demand, Double> weighed = new EnumMap<>(Demand.class);
    double sum = 0;
    for (Demand demand : Demand.values()) {
      double value = demand.weight() * demands.overall(demand);
      weighed.put(demand, value);
      sum += value;
    }
    List<Part> parts = new ArrayList<>();
    for (Demand demand : Demand.values()) {
      if (weighed.get(demand) > 1e-6) {
        List<Integer> where = hardest(demands.of(demand));
        parts.add(
            new Part(demand, weighed.get(demand) / sum, where, words(demand, demands, where)));
      }
    }
    parts.sort(Comparator.comparingDouble((Part p) -> -p.share()));
    return new PlanLevel(level(sum), parts, byBar(demands));
  }

  private static double level(double sum) {
    return LOWEST + (HIGHEST - LOWEST) * (1 - Math.exp(-Math.pow(sum / MIDDLE, 2)));
  }

  private static Map<Integer, Double> byBar(BarDemands demands) {
    Map<Integer, Double> bars = new TreeMap<>();
    for (int bar : demands.bars()) {
      double sum = 0;
      for (Demand demand : Demand.values()) {
        sum += demand.weight() * demands.of(demand).getOrDefault(bar, 0.0);
      }
      bars.put(bar, level(sum));
    }
    return bars;
  }

  private static List<Integer> hardest(Map<Integer, Double> bars) {
    double most = bars.values().stream().mapToDouble(v -> v).max().orElse(0);
    return bars.entrySet().stream()
        .filter(e -> e.getValue() > 0 && e.getValue() >= HARD * most)
        .map(Map.Entry::getKey)
        .sorted()
        .toList();
  }

  private static String words(Demand demand, BarDemands demands, List<Integer> where) {
    String bar = where.isEmpty() ? "" : Texts.of("planLevel.mostInBar", where.get(0));
    return switch (demand) {
      case CHANGES -> Texts.of("planLevel.changesTakeMuchOf", bar);
      case SPANS -> Texts.of("planLevel.fingersAreSpreadOr", bar);
      case BARRES -> Texts.of("planLevel.aFingerLiesAcross", bar);
      case STROKES -> Texts.of("planLevel.strokesASecondIn", demands.mostStrokes());
      case INDEPENDENCE -> Texts.of("planLevel.fingersPlayWhereThe", bar);
      case SLURS -> Texts.of("planLevel.hammerOnsPullOffs", bar);
      case HITS -> Texts.of("planLevel.hitsBesideTheNotes", bar);
      case TECHNIQUES -> Texts.of("planLevel.bendsHarmonicsAndThe", bar);
      case POSITIONS -> Texts.of("planLevel.shiftsAlongTheNeck", bar);
      case LENGTH -> Texts.of("planLevel.differentBarsToRemember", demands.distinctBars());
    };
  }

  /** As players read it, with one decimal. */
  public String words() {
    return Phrase.shown("%.1f", level);
  }
}
