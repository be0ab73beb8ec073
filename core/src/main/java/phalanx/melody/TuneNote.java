package phalanx.melody;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * One note of the tune, or several at once.
 *
 * @param tick where in its bar it begins
 * @param lengthTicks how long it lasts in this bar, more than 0
 * @param wants what sounds; one or more
 * @param slur how it is made from the note before, if it is not plucked
 * @param graces short notes just before it
 */
public record TuneNote(
    int tick, int lengthTicks, List<Want> wants, Optional<Slur> slur, List<Want> graces) {

  /** A guitar sounds this many notes at once. */
  public static final int MOST_TOGETHER = 6;

  /** Short notes that fit before one. */
  public static final int MOST_GRACES = 8;

  public TuneNote {
    wants = List.copyOf(wants);
    graces = List.copyOf(graces);
    if (tick < 0 || lengthTicks < 1 || wants.isEmpty()) {
      throw new IllegalArgumentException("a note of the tune has a time, a length and a pitch");
    }
    if (wants.size() > MOST_TOGETHER || graces.size() > MOST_GRACES) {
      throw new IllegalArgumentException("too many notes at once, or before one");
    }
  }

  /** With every pitch and place changed. */
  public TuneNote moved(UnaryOperator<Want> change) {
    return new TuneNote(
        tick,
        lengthTicks,
        wants.stream().map(change).toList(),
        slur,
        graces.stream().map(change).toList());
  }

  /** With another length, more than 0. */
  public TuneNote lasting(int ticks) {
    return new TuneNote(tick, ticks, wants, slur, graces);
  }

  /** With one more sounding at the same time, unless it sounds already or six do. */
  public TuneNote with(Want more) {
    return wants.contains(more) || wants.size() == MOST_TOGETHER
        ? this
        : new TuneNote(
            tick,
            lengthTicks,
            Stream.concat(wants.stream(), Stream.of(more)).toList(),
            slur,
            graces);
  }

  /** When it ends in its bar. */
  public int endTick() {
    return tick + lengthTicks;
  }
}
