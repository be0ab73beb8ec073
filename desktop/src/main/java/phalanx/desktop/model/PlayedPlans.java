package phalanx.desktop.model;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import phalanx.performance.Performance;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Interpretation;

/** The plans that are played, or were a moment ago; for several threads. */
final class PlayedPlans {

  /** Plans of which one is heard while the others wait for a bar line, or are given up. */
  private static final int MOST_WAITING = 64;

  /** A plan, and what is played of it. */
  private record Planned(EventSequence score, Performance performance) {}

  private final Deque<Planned> known = new ArrayDeque<>();

  /** What is played of a plan. */
  EventSequence score(Performance performance, Interpretation interpretation) {
    EventSequence score = EventSequence.of(performance, interpretation);
    synchronized (known) {
      known.addLast(new Planned(score, performance));
      if (known.size() > MOST_WAITING) {
        known.removeFirst();
      }
    }
    return score;
  }

  /** The plan of which something is played. */
  Optional<Performance> of(EventSequence score) {
    synchronized (known) {
      return known.stream().filter(p -> p.score() == score).map(Planned::performance).findFirst();
    }
  }
}
