package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;

/** How the strings a shape leaves out are kept quiet. */
public final class Muting {

  private Muting() {}

  /** Why a string does not sound. */
  public enum Reason {
    /** The tip of the finger on the next lower string touches it. */
    TIP,
    /** It lies under a barre pressed elsewhere, or the barre's finger touches it. */
    BARRE,
    /** The thumb, coming over the neck, touches it. */
    THUMB,
    /** Nothing touches it: the picking hand must leave it out. */
    NOT_STRUCK
  }

  /**
   * A string kept quiet.
   *
   * @param string the string, 0 for ⑥ to 5 for ①
   * @param reason how
   * @param by the finger that touches it; empty where none need
   * @param words the same in the player's words
   */
  public record Muted(int string, Reason reason, Optional<Finger> by, String words) {}

  /** Every silent string of a shape, low to high, with what keeps it quiet. */
  public static List<Muted> of(Shape shape) {
    List<Muted> muted = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (!shape.sounds(s)) {
        muted.add(muted(shape, s));
      }
    }
    return muted;
  }

  private static Muted muted(Shape shape, int s) {
    for (var grip : shape.grips().entrySet()) {
      Grip g = grip.getValue();
      if (g.isBarre() && g.lowString() < s && s < g.highString()) {
        return new Muted(
            s,
            Reason.BARRE,
            Optional.of(grip.getKey()),
            Texts.of("muting.mutedByTheUnderside", grip.getKey().sign()));
      }
    }
    if (s > 0 && shape.finger(s - 1).isPresent()) {
      Finger below = shape.finger(s - 1).orElseThrow();
      return below == Finger.THUMB
          ? new Muted(s, Reason.THUMB, Optional.of(below), Texts.of("muting.mutedByTheThumb"))
          : new Muted(
              s, Reason.TIP, Optional.of(below), Texts.of("muting.mutedByTheTip", below.sign()));
    }
    boolean byThumb = s == 0 && shape.grips().size() > 0 && shape.finger(1).isEmpty();
    return byThumb
        ? new Muted(s, Reason.THUMB, Optional.empty(), Texts.of("muting.notStruckOrTouched"))
        : new Muted(s, Reason.NOT_STRUCK, Optional.empty(), Texts.of("muting.notStruck"));
  }
}
