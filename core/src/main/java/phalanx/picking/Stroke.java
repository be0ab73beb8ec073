package phalanx.picking;

import java.util.Optional;
import java.util.Set;
import phalanx.technique.Technique;

/** One thing the picking hand does at an instant. */
public sealed interface Stroke {

  /** How strongly. */
  Force force();

  /** A stroke on the string of a role. */
  sealed interface OnRole extends Stroke permits Pluck, Tremolo, Stop {

    /** What it does in the texture. */
    Role role();
  }

  /**
   * A string plucked. Several at one instant are a pinch or a block.
   *
   * @param finger the finger the player insists on, if one
   * @param techniques what is special about it
   */
  record Pluck(Role role, Force force, Optional<PickFinger> finger, Set<Technique> techniques)
      implements OnRole {

    public Pluck {
      techniques = Set.copyOf(techniques);
    }

    /** A stroke with nothing special about it. */
    public Pluck(Role role, Force force, Optional<PickFinger> finger) {
      this(role, force, finger, Set.of());
    }

    /** The same played with other techniques. */
    public Pluck played(Set<Technique> others) {
      return new Pluck(role, force, finger, others);
    }

    /** A plain stroke; the finger follows from the hand school. */
    public static Pluck of(Role role) {
      return new Pluck(role, Force.PLAIN, Optional.empty());
    }
  }

  /**
   * A string plucked by ring, middle and index finger in turn.
   *
   * @param strokes how often, 2 to 8
   * @param parts how many would fill a beat, 2 to 8
   * @throws IllegalArgumentException if there are not 2 to 8 strokes in all, or to a beat
   */
  record Tremolo(Role role, Force force, int strokes, int parts) implements OnRole {

    public static final int MOST = 8;

    public Tremolo {
      if (strokes < 2 || strokes > MOST || parts < 2 || parts > MOST) {
        throw new IllegalArgumentException("a tremolo has 2 to 8 strokes, 2 to 8 to a beat");
      }
    }
  }

  /** The string of a role stops ringing: a rest, or a note cut short. */
  record Stop(Role role) implements OnRole {
    @Override
    public Force force() {
      return Force.PLAIN;
    }
  }

  /**
   * A sweep across neighbouring strings.
   *
   * @param from the string it starts on, 0 for ⑥ to 5 for ①
   * @param to the string it ends on
   * @param touch what sweeps
   */
  record Brush(int from, int to, Touch touch, Force force) implements Stroke {

    public Brush {
      if (from < 0 || from > 5 || to < 0 || to > 5 || from == to) {
        throw new IllegalArgumentException("a brush crosses two to six strings");
      }
    }

    /** Whether it goes from the low strings to the high ones. */
    public boolean towardsTreble() {
      return to > from;
    }

    /** The lowest string it may touch. */
    public int low() {
      return Math.min(from, to);
    }

    /** The highest string it may touch. */
    public int high() {
      return Math.max(from, to);
    }
  }

  /** A percussive hit. */
  record Knock(HitKind hit, Force force) implements Stroke {}

  /** The fingers it takes whatever the school; none where the school chooses. */
  default Set<PickFinger> fixedFingers() {
    if (this instanceof Knock k) {
      return k.hit().fingers();
    } else if (this instanceof Brush b) {
      return b.touch().fingers();
    } else if (this instanceof Pluck p && p.finger().isPresent()) {
      return Set.of(p.finger().get());
    }
    return this instanceof OnRole r && r.role().isThumb() && !(this instanceof Stop)
        ? Set.of(PickFinger.P)
        : Set.of();
  }
}
