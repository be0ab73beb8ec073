package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.instrument.StringSign;
import phalanx.performance.Performance;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/** Ways of the fretting hand that need more time than there is at the song's tempo. */
public final class LateChanges implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "late change";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    for (Changes.Change change : Changes.of(a, p)) {
      double has = Ticks.millis(change.ticks(), a.song().tempo());
      if (has < change.needed()) {
        String words = Texts.of("lateChanges.needsMsAndHas", way(change), change.needed(), has);
        Finding finding = new Finding(NAME, Grade.HEARD, words, change.needed(), has, "ms");
        found.add(Found.at(a, finding, change.tick(), change.note().map(Note::string)));
      }
    }
    return found;
  }

  private static String way(Changes.Change change) {
    return change
        .note()
        .map(
            n ->
                Texts.of(
                    "lateChanges.fingerSWayTo",
                    n.fretFinger().orElseThrow().sign(),
                    n.fret(),
                    StringSign.of(n.string())))
        .orElse(Texts.of("lateChanges.theChangeTo", change.slot().played().harmony().label()));
  }
}
