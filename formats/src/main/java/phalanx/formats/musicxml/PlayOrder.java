package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The order in which the measures of a score are played: repeats with their endings, D.C., D.S.,
 * Fine and Coda (common practice, no source: after a jump back no repeat is taken again and of the
 * endings the last one is played). One instance unrolls one score.
 */
final class PlayOrder {

  /** More measures than this are not played; a damaged file could go round for ever. */
  static final int MOST_PLAYED = 20_000;

  /**
   * What decides where the player goes from a measure.
   *
   * @param repeatStart whether a repeat starts with it
   * @param plays how often what ends with it is played; 1 without a repeat
   * @param ending the times through in which it is played; empty for all
   * @param way jumps and marks
   */
  record Signs(boolean repeatStart, int plays, Set<Integer> ending, Wayfinding way) {}

  private final List<Signs> measures;
  private final int[] passes;
  private final List<Integer> order = new ArrayList<>();
  private int at;
  private int from;
  private int pass = 1;
  private boolean passageOver;
  private boolean jumped;

  private PlayOrder(List<Signs> measures) {
    this.measures = measures;
    passes = passes(measures);
  }

  /** The places of the measures, from 0, in the order they are played. */
  static List<Integer> of(List<Signs> measures) {
    PlayOrder order = new PlayOrder(measures);
    while (order.at < measures.size() && order.order.size() < MOST_PLAYED) {
      order.step();
    }
    return List.copyOf(order.order);
  }

  /**
   * How often each measure's repeat is played in all: its endings say it, or its sign, or twice.
   */
  static int[] passes(List<Signs> measures) {
    int[] passes = new int[measures.size()];
    int first = 0;
    while (first < measures.size()) {
      int last = first;
      while (last + 1 < measures.size()
          && !measures.get(first).ending().isEmpty()
          && !measures.get(last + 1).ending().isEmpty()
          && !measures.get(last + 1).repeatStart()) {
        last++;
      }
      int most = 1;
      for (int m = first; m <= last; m++) {
        Signs signs = measures.get(m);
        int named = signs.ending().stream().mapToInt(n -> n).max().orElse(1);
        most = Math.max(most, Math.max(named, signs.plays()));
      }
      for (int m = first; m <= last; m++) {
        passes[m] = most;
      }
      first = last + 1;
    }
    return passes;
  }

  private void step() {
    Signs signs = measures.get(at);
    if (signs.repeatStart() && at > from || passageOver && signs.ending().isEmpty()) {
      from = at;
      pass = 1;
      passageOver = false;
    }
    if (!signs.ending().isEmpty() && !isTaken(signs.ending())) {
      at++;
      return;
    }
    order.add(at);
    if (jumped && signs.way().fine()) {
      at = measures.size();
    } else if (jumped && signs.way().toCoda() && coda().isPresent()) {
      land(coda().get());
    } else if (signs.plays() > 1 && !jumped && pass < passes[at]) {
      pass++;
      at = from;
    } else if (!jumped && signs.way().jump() != Wayfinding.Jump.NONE) {
      jumped = true;
      land(signs.way().jump() == Wayfinding.Jump.DA_CAPO ? 0 : segno());
    } else {
      passageOver |= signs.plays() > 1 || !signs.ending().isEmpty() && pass >= passes[at];
      at++;
    }
  }

  private void land(int measure) {
    at = measure;
    from = measure;
    pass = 1;
    passageOver = false;
  }

  /** After a jump the last ending alone is played. */
  private boolean isTaken(Set<Integer> ending) {
    return jumped ? ending.contains(passes[at]) : ending.contains(pass);
  }

  private int segno() {
    for (int m = at; m >= 0; m--) {
      if (measures.get(m).way().segno()) {
        return m;
      }
    }
    return 0;
  }

  private Optional<Integer> coda() {
    for (int m = at + 1; m < measures.size(); m++) {
      if (measures.get(m).way().coda()) {
        return Optional.of(m);
      }
    }
    return Optional.empty();
  }
}
