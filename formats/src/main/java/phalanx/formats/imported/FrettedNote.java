package phalanx.formats.imported;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.instrument.Finger;
import phalanx.melody.Slur;
import phalanx.melody.Want;
import phalanx.picking.PickFinger;
import phalanx.technique.Technique;
import phalanx.theory.Pitch;

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
 * @param tune whether the file says that it is of the tune
 * @param goesOn whether it is tied to the one before
 * @param graces short notes before it
 * @param pitch what it is called, counted from the capo, if the file says
 */
public record FrettedNote(
    int tick,
    int lengthTicks,
    int string,
    int fret,
    Optional<Finger> finger,
    Optional<PickFinger> pick,
    Optional<Slur> slur,
    Set<Technique> techniques,
    boolean tune,
    boolean goesOn,
    List<Want> graces,
    Optional<Pitch> pitch) {

  public FrettedNote {
    graces = List.copyOf(graces);
    techniques = Set.copyOf(techniques);
  }

  /** What it wants of the neck: the pitch on its string, or the place. */
  Want want() {
    return pitch
        .map(p -> (Want) new Want.Sound(p, Optional.of(string)))
        .orElseGet(() -> new Want.Place(string, fret));
  }

  int endTick() {
    return tick + lengthTicks;
  }

  boolean isLow() {
    return string <= 2;
  }
}
