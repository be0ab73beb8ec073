package phalanx.formats.imported;

import java.util.Optional;
import java.util.Set;
import phalanx.instrument.Finger;
import phalanx.melody.Slur;
import phalanx.picking.PickFinger;
import phalanx.technique.Technique;

/**
 * A note of a guitar part with its place on the neck.
 *
 * @param tick when it begins, from the start of its bar
 * @param lengthTicks how long it lasts in its bar
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param finger the finger that presses it, if the file says
 * @param pick the finger that plucks it, if the file says
 * @param slur how it is made from the note before on its string
 * @param techniques what is special about it
 */
public record FrettedNote(
    int tick,
    int lengthTicks,
    int string,
    int fret,
    Optional<Finger> finger,
    Optional<PickFinger> pick,
    Optional<Slur> slur,
    Set<Technique> techniques) {

  public FrettedNote {
    techniques = Set.copyOf(techniques);
  }

  int endTick() {
    return tick + lengthTicks;
  }

  boolean isLow() {
    return string <= 2;
  }
}
