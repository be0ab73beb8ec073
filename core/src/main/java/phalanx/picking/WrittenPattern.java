package phalanx.picking;

import java.util.Optional;
import phalanx.theory.Meter;

/**
 * A pattern written out for one metre. Bars of another metre are played with the thumb alternating
 * and the fingers between.
 *
 * @param title what the player calls it
 * @param words what the hand does, in a few words
 * @param meter the metre it is written in
 * @param pattern the strokes; a whole number of bars long
 * @param ending what is played in the last bar of a song instead; one bar long
 * @throws IllegalArgumentException if it is not 1 to 16 whole bars long, or has no strokes in its
 *     metre
 */
public record WrittenPattern(
    String title, String words, Meter meter, Pattern pattern, Optional<Pattern> ending)
    implements PickingStyle {

  /** A pattern may span this many bars. */
  public static final int MOST_BARS = 16;

  public WrittenPattern {
    int bars = pattern.lengthTicks() / meter.barTicks();
    if (pattern.lengthTicks() % meter.barTicks() != 0 || bars < 1 || bars > MOST_BARS) {
      throw new IllegalArgumentException("a pattern is 1 to 16 whole bars long");
    }
    if (ending.isPresent() && ending.get().lengthTicks() != meter.barTicks()) {
      throw new IllegalArgumentException("an ending is one bar long");
    }
    // One name for both: that is what a file can hold.
    pattern = pattern.named(title);
    ending = ending.map(e -> e.named(title));
  }

  /** A pattern without an ending of its own. */
  public WrittenPattern(String title, String words, Meter meter, Pattern pattern) {
    this(title, words, meter, pattern, Optional.empty());
  }

  @Override
  public Pattern in(Meter other) {
    return other.equals(meter) ? pattern : AlternatingThumb.FINGERS_BETWEEN.in(other);
  }

  @Override
  public Optional<Pattern> ending(Meter other) {
    return ending.filter(e -> other.equals(meter));
  }

  /** Bars it spans. */
  public int bars() {
    return pattern.lengthTicks() / meter.barTicks();
  }

  /** With other strokes. */
  public WrittenPattern withPattern(Pattern other) {
    return new WrittenPattern(title, words, meter, other, ending);
  }

  /** Under another name, described in other words. */
  public WrittenPattern named(String name, String about) {
    return new WrittenPattern(name, about, meter, pattern, ending);
  }
}
