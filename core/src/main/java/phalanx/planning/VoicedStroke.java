package phalanx.planning;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.fretting.Shape;
import phalanx.melody.Slur;
import phalanx.picking.Fingered;
import phalanx.picking.PickFinger;
import phalanx.picking.Stroke;
import phalanx.song.NoteRef;

/**
 * A string to be plucked.
 *
 * @param step where it is pressed beside the shape, if it is
 * @param rings until when a note of the tune rings
 * @param slur how the fretting hand makes it alone, if it does
 * @param slurredFrom when the note it is slurred from begins
 * @param played what is special about it
 */
record VoicedStroke(
    int string,
    Stroke.Pluck pluck,
    NoteRef ref,
    Optional<ExtraFinger> step,
    Optional<Integer> rings,
    Optional<Slur> slur,
    Optional<Integer> slurredFrom,
    Articulation played) {

  /** A stroke of the pattern. */
  VoicedStroke(int string, Stroke.Pluck pluck, NoteRef ref, Optional<ExtraFinger> step) {
    this(
        string,
        pluck,
        ref,
        step,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Articulation.of(pluck));
  }

  /** When its finger is down: for a pull-off to it with the note before already. */
  int downFrom(int tick) {
    boolean waits = slur.filter(s -> s == Slur.PULL_OFF).isPresent();
    boolean pressed = step.flatMap(ExtraFinger::finger).isPresent();
    return waits && pressed ? slurredFrom.orElse(tick) : tick;
  }

  /** If its finger slides, with more strings left for it. */
  VoicedStroke leaving(Set<Integer> strings) {
    boolean slides = slur.filter(s -> s == Slur.SLIDE).isPresent();
    Optional<ExtraFinger> more = slides ? step.map(s -> s.leaving(strings)) : step;
    return new VoicedStroke(string, pluck, ref, more, rings, slur, slurredFrom, played);
  }

  /** With its finger apart from the others beside the shape. */
  VoicedStroke apart(Shape shape, List<ExtraFinger> others) {
    return new VoicedStroke(
        string,
        pluck,
        ref,
        step.map(s -> s.apart(shape, others)),
        rings,
        slur,
        slurredFrom,
        played);
  }

  /** Whether the thumb's own row asks for it. */
  boolean byThumb() {
    return pluck.role().isThumb() && pluck.finger().filter(f -> f != PickFinger.P).isEmpty();
  }

  /** A slurred note needs no finger of the picking hand; any other is left out without one. */
  boolean isMade(Fingered fingers) {
    return slur.isPresent()
        || fingers.finger(string).isPresent()
            && (!played.isTouchedByPicking() || fingers.gesture());
  }
}
