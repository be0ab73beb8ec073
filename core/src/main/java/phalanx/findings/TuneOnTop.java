package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.text.Texts;

/**
 * Notes struck above the tune at its beginning and through its first beat, so that they are heard
 * as the tune, unless they may be.
 */
public final class TuneOnTop implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "tune not on top";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    for (Note tune : a.notes()) {
      if (a.song().tune().onTop() && tune.part() == Note.Part.TUNE && isHighest(a, tune)) {
        a.notesFrom(tune.tick(), end(a, tune)).stream()
            .filter(n -> n.part() != Note.Part.TUNE && n.midi() > tune.midi())
            .forEach(n -> found.add(found(a, n, tune)));
      }
    }
    return found;
  }

  /** Up to when a note is the tune: through its first beat, and no longer than to the next. */
  private static int end(Arrangement a, Note tune) {
    int beat = a.timeline().barAt(tune.tick()).meter().beatTicks();
    int end = tune.tick() + Math.min(beat, tune.lengthTicks());
    return a.notesFrom(tune.tick() + 1, end).stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .map(Note::tick)
        .findFirst()
        .orElse(end);
  }

  /** Of notes that begin together only the highest is the tune’s top. */
  private static boolean isHighest(Arrangement a, Note tune) {
    return a.notesFrom(tune.tick(), tune.tick() + 1).stream()
        .noneMatch(n -> n.part() == Note.Part.TUNE && n.midi() > tune.midi());
  }

  private static Found found(Arrangement a, Note above, Note tune) {
    int semitones = above.midi() - tune.midi();
    String words =
        Texts.of(
            "tuneOnTop.aNoteIsStruck",
            semitones,
            semitones == 1 ? Texts.of("tuneOnTop.semitone") : Texts.of("tuneOnTop.semitones"));
    Finding finding =
        new Finding(NAME, Grade.HEARD, words, semitones, 0, Texts.of("tuneOnTop.semitones"));
    return Found.at(a, finding, above.tick(), Optional.of(above.string()));
  }
}
