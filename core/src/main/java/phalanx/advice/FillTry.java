package phalanx.advice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.embellishment.Fill;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Chord;

/**
 * A fill tried at the end of a bar.
 *
 * @param fitted how it is played there; empty where it has no room or no place on the neck
 * @param why why it does not fit there; empty if it does
 * @param landing how it meets the next chord, if one follows
 */
public record FillTry(
    Fill fill,
    Fill.Colour colour,
    Optional<FittedRun> fitted,
    Optional<String> why,
    Optional<Landing> landing) {

  /**
   * How a fill meets the chord that follows.
   *
   * @param chord the chord
   * @param way semitones from its last note to the nearest tone of the chord
   */
  public record Landing(Chord chord, int way) {

    /** Whether it ends on a tone of the chord, or a step away. */
    public boolean leadsThere() {
      return way <= STEP;
    }

    /** In the player's words. */
    public String words() {
      return way == 0
          ? Texts.of("fillTry.endsOnATone", chord)
          : Phrase.of(
              leadsThere() ? Texts.of("fillTry.endsAStepFrom") : Texts.of("fillTry.endsAwayFrom"),
              chord);
    }
  }

  private static final int STEP = 2;

  /** Those that fit first, then those that lead best to the next chord. */
  public static final Comparator<FillTry> ORDER =
      Comparator.<FillTry, Boolean>comparing(t -> !t.fits())
          .thenComparing(t -> t.landing().map(Landing::way).orElse(0));

  /** Whether both hands can play it there and it goes with the chord. */
  public boolean fits() {
    return why.isEmpty();
  }

  /** The fill most like another among those that fit. */
  public static Optional<FillTry> nearest(Fill to, List<FillTry> tried) {
    return tried.stream()
        .filter(FillTry::fits)
        .filter(t -> !t.fill().equals(to))
        .min(Comparator.comparingInt(t -> to.unlike(t.fill(), t.colour())));
  }
}
