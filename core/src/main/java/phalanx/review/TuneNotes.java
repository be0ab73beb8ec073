package phalanx.review;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.Sung;
import phalanx.findings.Finding;
import phalanx.theory.Ticks;

/** Notes of the tune that no finger reaches, and those a change cuts off. */
final class TuneNotes implements Rule {

  static final String OUT_OF_REACH = "tune out of reach";
  static final String CUT_OFF = "tune cut off";

  @Override
  public List<Found> in(Arrangement a) {
    List<Found> found = new ArrayList<>();
    Set<Sung> seen = new HashSet<>();
    for (Slot slot : a.slots()) {
      for (Sung sung : slot.tune()) {
        if (seen.add(sung)) {
          finding(a, sung)
              .ifPresent(
                  f -> {
                    int bar = a.timeline().barAt(sung.tick()).number();
                    found.add(new Found(f, bar, sung.tick(), sung.string()));
                  });
        }
      }
    }
    return found;
  }

  private static Optional<Finding> finding(Arrangement a, Sung sung) {
    Optional<Note> note = a.played(sung);
    double written = (double) (sung.endTick() - sung.tick()) / Ticks.PER_QUARTER;
    if (note.isEmpty()) {
      String words =
          "the tune’s %s is out of reach over this chord’s shape".formatted(sung.label());
      return Optional.of(new Finding(OUT_OF_REACH, words, 0, written, "quarters"));
    }
    double rings = (double) note.get().lengthTicks() / Ticks.PER_QUARTER;
    if (rings < written) {
      String words =
          "the tune’s %s rings %.1f of its %.1f quarters".formatted(sung.label(), rings, written);
      return Optional.of(new Finding(CUT_OFF, words, rings, written, "quarters"));
    }
    return Optional.empty();
  }
}
