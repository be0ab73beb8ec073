package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.List;
import phalanx.sound.strings.Beat;

/**
 * Clicks before the first bar that is heard.
 *
 * @param clicks by time, before 0
 * @param seconds how long before, at the song's own tempo
 */
public record CountIn(List<Event.Click> clicks, double seconds) {

  public static final CountIn NONE = new CountIn(List.of(), 0);

  /** Most bars that are counted in. */
  public static final int MOST = 8;

  public CountIn {
    clicks = List.copyOf(clicks);
  }

  /**
   * The beats of a bar, some bars long.
   *
   * @param bar place of the bar whose metre and tempo are counted, from 0
   */
  public static CountIn of(EventSequence score, int bar, int bars) {
    int counted = fullBar(score, bar);
    if (bars == 0 || counted >= score.barCount()) {
      return NONE;
    }
    double start = score.bars().get(counted);
    double end = score.bars().get(counted + 1);
    double seconds = bars * (end - start);
    List<Event.Click> clicks = new ArrayList<>();
    for (int b = 0; b < bars; b++) {
      double shift = b * (end - start) - seconds - start;
      score.events().subList(score.firstFrom(start), score.firstFrom(end)).stream()
          .filter(Event.Click.class::isInstance)
          .map(Event.Click.class::cast)
          .filter(c -> c.beat() != Beat.BETWEEN)
          .forEach(c -> clicks.add(new Event.Click(c.at() + shift, c.beat())));
    }
    return new CountIn(clicks, seconds);
  }

  /** A pick-up is no bar to count by: the one after it is. */
  private static int fullBar(EventSequence score, int bar) {
    boolean pickUp =
        bar == 0
            && score.barCount() > 1
            && score.bars().get(1) - score.bars().get(0)
                < 0.99 * (score.bars().get(2) - score.bars().get(1));
    return pickUp ? 1 : bar;
  }
}
