package phalanx.planning;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import phalanx.picking.PickFinger;
import phalanx.picking.Stroke;

/**
 * A hit as it falls on strings over which a tune rings on.
 *
 * @param knock what the pattern asks for
 * @param fingers the fingers it takes
 * @param damped the strings that stop ringing under it, 0 for ⑥ to 5 for ①
 */
record VoicedHit(Stroke.Knock knock, Set<PickFinger> fingers, List<Integer> damped) {

  /** With fewer fingers than this a click is hardly heard. */
  private static final int FEWEST = 2;

  VoicedHit {
    fingers = Set.copyOf(fingers);
    damped = List.copyOf(damped);
  }

  /**
   * A hit that lets the tune ring: the finger that would drop on its string stays above it (common
   * practice, no source). Empty where it stops the tune all the same.
   *
   * @param rings whether the tune rings on on a string
   */
  static Optional<VoicedHit> beside(Stroke.Knock knock, IntPredicate rings) {
    Set<PickFinger> fingers = new HashSet<>(knock.hit().fingers());
    List<Integer> tune = knock.hit().damped().stream().filter(rings::test).toList();
    for (int string : tune) {
      Optional<PickFinger> over = knock.hit().over(string);
      over.ifPresent(fingers::remove);
      if (over.isEmpty() || fingers.size() < FEWEST) {
        return Optional.empty();
      }
    }
    List<Integer> damped = knock.hit().damped().stream().filter(s -> !tune.contains(s)).toList();
    return Optional.of(new VoicedHit(knock, fingers, damped));
  }

  /** With which other fingers it can be made while one plucks the tune, the most first. */
  List<Set<PickFinger>> besideTheTune() {
    // One that spares a string has fewer than it wants already.
    return isSparing() ? List.of() : knock.hit().besideTheTune();
  }

  /** Whether the tune rings on beside it on a string that it would stop. */
  boolean isSparing() {
    return damped.size() < knock.hit().damped().size();
  }
}
