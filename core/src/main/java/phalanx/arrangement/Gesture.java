package phalanx.arrangement;

import java.util.List;
import java.util.Set;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.picking.PickFinger;
import phalanx.picking.Touch;

/** What the picking hand does across strings or beside them, at its time. */
public sealed interface Gesture {

  /** When, in ticks from the start of the song. */
  int tick();

  /** The same gesture at another time. */
  default Gesture at(int other) {
    if (this instanceof Hit h) {
      return new Hit(other, h.kind(), h.fingers(), h.damped(), h.force());
    } else if (this instanceof Brush b) {
      return new Brush(other, b.from(), b.to(), b.touch(), b.force());
    }
    Roll r = (Roll) this;
    return new Roll(other, r.from(), r.to(), r.stepTicks());
  }

  /** The fingers it takes away from the strings; none for a roll, whose plucks are notes. */
  default Set<PickFinger> fingers() {
    if (this instanceof Brush b) {
      return b.touch().fingers();
    }
    return this instanceof Hit h ? h.fingers() : Set.of();
  }

  /**
   * A percussive hit.
   *
   * @param kind which
   * @param fingers the fingers it takes
   * @param damped the strings that stop ringing under it, 0 for ⑥ to 5 for ①
   */
  record Hit(int tick, HitKind kind, Set<PickFinger> fingers, List<Integer> damped, Force force)
      implements Gesture {

    public Hit {
      fingers = Set.copyOf(fingers);
      damped = List.copyOf(damped);
    }
  }

  /**
   * A sweep over the strings that sound.
   *
   * @param from the string it starts on, 0 for ⑥ to 5 for ①
   * @param to the string it ends on
   */
  record Brush(int tick, int from, int to, Touch touch, Force force) implements Gesture {

    /** Whether it goes from the low strings to the high ones. */
    public boolean towardsTreble() {
      return to >= from;
    }
  }

  /**
   * Plucked strings one after another.
   *
   * @param from the string struck first
   * @param to the string struck last
   * @param stepTicks time from string to string
   */
  record Roll(int tick, int from, int to, int stepTicks) implements Gesture {

    /** Whether it goes from the low strings to the high ones. */
    public boolean towardsTreble() {
      return to >= from;
    }
  }
}
