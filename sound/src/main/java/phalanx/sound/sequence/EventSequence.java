package phalanx.sound.sequence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.strings.Beat;
import phalanx.theory.Meter;

/**
 * A performance as what is done to the strings.
 *
 * @param guitar what it is played on
 * @param events by time; where a string is stopped and plucked at one time, stopped first
 * @param bars when each bar begins, seconds, and last when the song ends
 */
public record EventSequence(Guitar guitar, List<Event> events, List<Double> bars) {

  public EventSequence {
    events = List.copyOf(events);
    bars = List.copyOf(bars);
  }

  /** A performance exactly as planned. */
  public static EventSequence of(Performance performance) {
    return of(performance, Interpretation.EXACT);
  }

  /** A performance as a player plays it. */
  public static EventSequence of(Performance performance, Interpretation interpretation) {
    List<Event> events = new PlayedNotes(performance, interpretation).events();
    List<Double> bars = new ArrayList<>();
    for (PlayedBar bar : performance.arrangement().timeline().bars()) {
      bars.add(performance.clock().seconds(bar.startTick(), 0));
      clicks(events, performance, bar);
    }
    bars.add(performance.seconds());
    return new EventSequence(performance.arrangement().song().guitar(), sorted(events), bars);
  }

  /** A score of events in any order, in one bar. */
  public static EventSequence of(Guitar guitar, List<Event> events, double seconds) {
    return new EventSequence(guitar, sorted(events), List.of(0.0, seconds));
  }

  private static List<Event> sorted(List<Event> events) {
    List<Event> all = new ArrayList<>(events);
    all.sort(
        Comparator.comparingDouble(Event::at).thenComparing(e -> e instanceof Event.Stop ? 0 : 1));
    return all;
  }

  private static void clicks(List<Event> events, Performance performance, PlayedBar bar) {
    for (Meter.Syllable word : bar.count()) {
      boolean first = word.tick() == bar.startTick() && bar.metreTick() == 0;
      Beat beat = first ? Beat.FIRST : word.onBeat() ? Beat.BEAT : Beat.BETWEEN;
      events.add(new Event.Click(performance.clock().seconds(word.tick(), 0), beat));
    }
  }

  /** How long it lasts, seconds at its own tempo. */
  public double seconds() {
    return bars.get(bars.size() - 1);
  }

  /** How many bars it has. */
  public int barCount() {
    return bars.size() - 1;
  }

  /** The place of the bar, from 0, that a time falls in. */
  public int barAt(double seconds) {
    int bar = 0;
    while (bar + 1 < barCount() && bars.get(bar + 1) <= seconds) {
      bar++;
    }
    return bar;
  }

  /** The place of the first event that is not before a time. */
  public int firstFrom(double seconds) {
    int low = 0;
    int high = events.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (events.get(middle).at() < seconds) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
