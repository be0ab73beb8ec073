package phalanx.desktop.model;

import java.util.Map;
import java.util.TreeMap;
import phalanx.practice.LadderRules;

/**
 * How the player practises.
 *
 * @param rules when ladders go up and down
 * @param latencies how much later than they were meant taps arrive, s, by device
 */
public record PracticeSettings(LadderRules rules, Map<String, Double> latencies) {

  /** The usual rules; nothing was measured. */
  public static final PracticeSettings USUAL = new PracticeSettings(LadderRules.USUAL, Map.of());

  public PracticeSettings {
    latencies = Map.copyOf(latencies);
  }

  /** How much later taps on a device arrive, s; 0 where nobody measured it. */
  double latency(String device) {
    return latencies.getOrDefault(device, 0.0);
  }

  PracticeSettings withLatency(String device, double seconds) {
    Map<String, Double> more = new TreeMap<>(latencies);
    more.put(device, seconds);
    return new PracticeSettings(rules, more);
  }

  /** With other rules for ladders. */
  public PracticeSettings withRules(LadderRules other) {
    return new PracticeSettings(other, latencies);
  }
}
