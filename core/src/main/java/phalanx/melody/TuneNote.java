package phalanx.melody;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import phalanx.technique.Technique;
import phalanx.theory.Ticks;

/**
 * One note of the tune, or several at once.
 *
 * @param tick where in its bar it begins
 * @param lengthTicks how long it lasts in this bar, more than 0
 * @param wants what sounds; one or more
 * @param slur how it is made from the note before, if it is not plucked
 * @param graces short notes just before it
 * @param techniques what is special about how it is played
 * @throws IllegalArgumentException if its time is below 0, its length not above 0 or it has no
 *     pitch
 */
public record TuneNote(
    int tick,
    int lengthTicks,
    List<Want> wants,
    Optional<Slur> slur,
    List<Want> graces,
    Set<Technique> techniques) {

  /** A guitar sounds this many notes at once. */
  public static final int MOST_TOGETHER = 6;

  /** Short notes that fit before one. */
  public static final int MOST_GRACES = 8;

  /** How long a grace note sounds, in ticks: a thirty-second note. */
  public static final int GRACE_TICKS = Ticks.PER_WHOLE / 32;

  public TuneNote {
    wants = List.copyOf(wants);
    graces = List.copyOf(graces);
    techniques = Set.copyOf(techniques);
    if (tick < 0 || lengthTicks < 1 || wants.isEmpty()) {
      throw new IllegalArgumentException("a note of the tune has a time, a length and a pitch");
    }
    if (wants.size() > MOST_TOGETHER || graces.size() > MOST_GRACES) {
      throw new IllegalArgumentException("too many notes at once, or before one");
    }
  }

  /** A note with nothing special about it. */
  public TuneNote(
      int tick, int lengthTicks, List<Want> wants, Optional<Slur> slur, List<Want> graces) {
    this(tick, lengthTicks, wants, slur, graces, Set.of());
  }

  /** The same played with other techniques. */
  public TuneNote played(Set<Technique> others) {
    return new TuneNote(tick, lengthTicks, wants, slur, graces, others);
  }

  /** The same plucked, not slurred. */
  public TuneNote plucked() {
    return new TuneNote(tick, lengthTicks, wants, Optional.empty(), graces, techniques);
  }

  /** With every pitch and place changed. */
  public TuneNote moved(UnaryOperator<Want> change) {
    return new TuneNote(
        tick,
        lengthTicks,
        wants.stream().map(change).toList(),
        slur,
        graces.stream().map(change).toList(),
        techniques);
  }

  /** With another length, more than 0. */
  public TuneNote lasting(int ticks) {
    return new TuneNote(tick, ticks, wants, slur, graces, techniques);
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
            graces,
            techniques);
  }

  /** When it ends in its bar. */
  public int endTick() {
    return tick + lengthTicks;
  }
}
