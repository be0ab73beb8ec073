package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.sequence.Sequencer.Loop;

/**
 * Bars that are played round and round, by their numbers as played.
 *
 * @param first the first
 * @param last the last
 */
public record LoopBars(int first, int last) {

  /** In a player's words: {@code 5}, {@code 5–8}. */
  public String words() {
    return first == last ? String.valueOf(first) : first + "–" + last;
  }

  /** From when to when they are played, as far as a song has them; empty where it has none. */
  static Optional<Loop> in(Performance performance, Optional<LoopBars> bars) {
    if (bars.isEmpty()) {
      return Optional.empty();
    }
    List<PlayedBar> there =
        performance.arrangement().timeline().bars().stream()
            .filter(b -> b.number() >= bars.get().first && b.number() <= bars.get().last)
            .toList();
    if (there.isEmpty()) {
      return Optional.empty();
    }
    double from = performance.clock().seconds(there.get(0).startTick(), 0);
    double to = performance.clock().startOfNext(there.get(there.size() - 1));
    return Optional.of(new Loop(from, to));
  }
}
