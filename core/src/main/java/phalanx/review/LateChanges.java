package phalanx.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Finding;
import phalanx.theory.Ticks;

/** Changes of shape that need more time than there is at the song's tempo. */
final class LateChanges implements Rule {

  static final String NAME = "late change";

  @Override
  public List<Found> in(Arrangement a) {
    List<Found> found = new ArrayList<>();
    for (Changes.Change change : Changes.of(a)) {
      double has = Ticks.millis(change.ticks(), a.song().tempo());
      if (has < change.needed()) {
        String words =
            "the change to %s needs %.0f ms and has %.0f"
                .formatted(change.slot().played().harmony().label(), change.needed(), has);
        Finding finding = new Finding(NAME, words, change.needed(), has, "ms");
        found.add(Found.at(a, finding, change.slot().fromTick(), Optional.empty()));
      }
    }
    return found;
  }
}
