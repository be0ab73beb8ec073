package phalanx.formats.imported;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.melody.Slur;
import phalanx.melody.Want;
import phalanx.technique.Technique;

/**
 * A note of a tune as it stands in a file.
 *
 * @param tick when it begins, from the start of its bar
 * @param lengthTicks how long it lasts, as far as its bar goes
 * @param wants what sounds; one or more
 * @param goesOn whether it is tied to the one before
 * @param slur how it is made from the one before
 * @param graces short notes before it
 * @param techniques what is special about it
 */
public record ImportedNote(
    int tick,
    int lengthTicks,
    List<Want> wants,
    boolean goesOn,
    Optional<Slur> slur,
    List<Want> graces,
    Set<Technique> techniques) {

  public ImportedNote {
    wants = List.copyOf(wants);
    graces = List.copyOf(graces);
    techniques = Set.copyOf(techniques);
  }

  /** A plain note. */
  public static ImportedNote of(int tick, int lengthTicks, List<Want> wants, boolean goesOn) {
    return new ImportedNote(
        tick, lengthTicks, wants, goesOn, Optional.empty(), List.of(), Set.of());
  }

  int endTick() {
    return tick + lengthTicks;
  }
}
