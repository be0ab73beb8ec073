package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.performance.Performance;
import phalanx.technique.Technique;
import phalanx.text.Texts;

/**
 * Bends that a hand hardly makes: near the nut, with no finger free behind the one that pushes, or
 * far on nylon, which gives way little (common practice, no source).
 */
public final class HardBends implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "hard bend";

  /** Up to this fret a string is stiff. */
  private static final int STIFF = 3;

  /** A nylon string is bent by a half tone at most, semitones. */
  private static final double MOST_NYLON = 1;

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    for (Note note : a.notes()) {
      for (Technique technique : note.techniques()) {
        if (technique instanceof Technique.Bend bend) {
          List<String> reasons = reasons(a, note, bend);
          if (!reasons.isEmpty()) {
            found.add(found(a, note, reasons));
          }
        }
      }
    }
    return found;
  }

  private static List<String> reasons(Arrangement a, Note note, Technique.Bend bend) {
    List<String> reasons = new ArrayList<>();
    if (note.fret() + a.song().guitar().capo() <= STIFF) {
      reasons.add(Texts.of("hardBends.theStringIsStiff"));
    }
    if (helpers(a, note) == 0) {
      reasons.add(Texts.of("hardBends.noFingerIsFree"));
    }
    if (a.song().guitar().build().equals(Guitar.NYLON.build()) && bend.semitones() > MOST_NYLON) {
      reasons.add(Texts.of("hardBends.nylonGivesWayLittle"));
    }
    return reasons;
  }

  /** Fingers below the one that pushes that hold nothing else meanwhile. */
  private static long helpers(Arrangement a, Note note) {
    List<Finger> busy =
        a.holds().stream()
            .filter(h -> h.fromTick() <= note.tick() && note.tick() < h.toTick())
            .map(Hold::finger)
            .toList();
    return note.fretFinger().stream()
        .flatMap(f -> List.of(Finger.values()).stream().filter(o -> o.compareTo(f) < 0))
        .filter(o -> o != Finger.THUMB && !busy.contains(o))
        .count();
  }

  private static Found found(Arrangement a, Note note, List<String> reasons) {
    String words =
        Texts.of(
            "hardBends.atFretIsHard",
            StringSign.of(note.string()),
            note.fret(),
            String.join(", ", reasons));
    Grade grade = reasons.size() > 1 ? Grade.HEARD : Grade.NOTE;
    Finding finding = new Finding(NAME, grade, words, reasons.size(), 0, "reasons");
    return Found.at(a, finding, note.tick(), Optional.of(note.string()));
  }
}
