package phalanx.chart;

import java.util.Optional;
import java.util.function.Function;
import phalanx.theory.Interval;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/**
 * What one must know to read or write a line of a chart.
 *
 * @param meter the metre in force where the line begins
 * @param pickupTicks length of the first bar where it is a pick-up; 0 for a full one
 * @param naming what the notes are called
 * @param up the interval that what is written lies above what is meant: that of the capo where a
 *     chart is shown as it sounds
 */
public record Notation(Meter meter, int pickupTicks, NoteNaming naming, Interval up) {

  /** English names, chords as they are meant, a full first bar. */
  public static Notation in(Meter meter) {
    return new Notation(meter, 0, NoteNaming.ENGLISH, Interval.UNISON);
  }

  /** Length of a bar in a metre, the first of the line or a later one. */
  int barTicks(Meter in, boolean first) {
    return first && pickupTicks > 0 ? Math.min(pickupTicks, in.barTicks()) : in.barTicks();
  }

  /** The same further along the line, past a change of metre. */
  Notation goingOn(Meter in) {
    return new Notation(in, 0, naming, up);
  }

  /**
   * Where bars that are borrowed from are looked up: by number when read, by identity when written.
   */
  public interface Numbers extends Function<Integer, Optional<Integer>> {
    /** No bar can be borrowed from. */
    Numbers NONE = n -> Optional.empty();
  }
}
