package phalanx.findings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/** Notes of the tune that do not ring as long as they are written. */
public final class TuneCutOff implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "tune cut off";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    Map<Note, Sounded> sounded = new HashMap<>();
    p.notes().forEach(n -> sounded.put(n.note(), n));
    Set<MelodyNote> seen = new HashSet<>();
    for (Slot slot : a.slots()) {
      for (MelodyNote sung : slot.tune()) {
        if (seen.add(sung)) {
          a.played(sung)
              .flatMap(n -> finding(sung, sounded.get(n)))
              .ifPresent(f -> found.add(Found.at(a, f, sung.tick(), sung.string())));
        }
      }
    }
    return found;
  }

  private static Optional<Finding> finding(MelodyNote sung, Sounded note) {
    double written = (double) (sung.endTick() - sung.tick()) / Ticks.PER_QUARTER;
    double rings = (double) note.ringTicks() / Ticks.PER_QUARTER;
    String words = Texts.of("tuneCutOff.theTuneSRings");
    return rings < written
        ? Optional.of(
            new Finding(
                NAME,
                Grade.HEARD,
                Phrase.of(words, sung.label(), rings, written),
                rings,
                written,
                "quarters"))
        : Optional.empty();
  }
}
