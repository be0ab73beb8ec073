package phalanx.planning;

import java.util.Optional;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.StringRoles;
import phalanx.picking.Stroke;
import phalanx.planning.TimedSteps.TimedStep;
import phalanx.song.NoteRef;
import phalanx.song.Pins;

/**
 * The strokes of the tune over one chord, the thumb's where the tune lies at the bass or below.
 *
 * @param roles the strings of the chord's shape
 * @param toTick when the chord is over
 */
record TuneNotes(Pins pins, StringRoles roles, int toTick) {

  /**
   * Whether the thumb plays the tune instead of its stroke, because it lies where the bass does.
   */
  boolean replaces(Stroke.Pluck pluck, NoteRef ref, int belowTune) {
    return pluck.role().isThumb() && isBass(belowTune) && pins.string(ref).isEmpty();
  }

  /** Whether a string is the bass's, or lies below it. */
  private boolean isBass(int string) {
    return roles.string(Role.ROOT).filter(root -> string <= root).isPresent();
  }

  /**
   * A note of the tune.
   *
   * @param low the lowest string of the tune at that moment, which is the thumb's where the bass is
   */
  VoicedStroke stroke(TimedStep placed, TuneStrokes.Struck struck, int low) {
    TunePlace place = struck.place();
    boolean thumb = place.string() == low && isBass(low);
    Optional<PickFinger> finger = thumb ? Optional.of(PickFinger.P) : Optional.empty();
    Optional<ExtraFinger> beside =
        place.inShape()
            ? Optional.empty()
            : Optional.of(
                new ExtraFinger(place.string(), place.fret(), place.finger(), place.left()));
    return new VoicedStroke(
        place.string(),
        new Stroke.Pluck(Role.TUNE, Force.PLAIN, finger),
        SlotNotes.ref(placed, Role.TUNE),
        beside,
        Optional.of(end(struck)),
        struck.slur(),
        struck.slurredFrom(),
        Articulation.of(struck.note(), place));
  }

  /** A note that is to ring on does so while the chord lasts, where no finger is asked for it. */
  private int end(TuneStrokes.Struck struck) {
    TunePlace place = struck.place();
    boolean free = place.inShape() || place.finger().isEmpty() && place.node().isEmpty();
    return struck.note().rings() && free ? Math.max(struck.endTick(), toTick) : struck.endTick();
  }
}
