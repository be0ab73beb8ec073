package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.picking.ThumbRoute;
import phalanx.song.Harmony;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Chord;

/**
 * Chords that the thumb starts on another note than their bass; a pedal means to, and so does a
 * part of a chord that goes on, where the bass may walk, and a second bar of one, which the thumb
 * may begin on the fifth.
 */
public final class ForeignBass implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "bass is not the chord’s";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    for (int i = 0; i < a.slots().size(); i++) {
      Slot slot = a.slots().get(i);
      boolean pedal = a.song().thumbAt(slot.played().ref().bar()) == ThumbRoute.PEDAL;
      boolean goesOn = i > 0 && slot.played().goesOnFrom(a.slots().get(i - 1).played());
      if (slot.played().harmony() instanceof Harmony.Sounding s
          && !slot.played().isPart()
          && !pedal) {
        a.notesFrom(slot.fromTick(), slot.toTick()).stream()
            .filter(n -> n.part() == Note.Part.BASS)
            .findFirst()
            .filter(n -> !isHeardBefore(a, slot, s.chord(), n))
            .filter(n -> !(goesOn && s.chord().isFifth(a.chroma(n))))
            .flatMap(n -> finding(a, s.chord(), n).map(f -> at(a, f, n)))
            .ifPresent(found::add);
      }
    }
    return found;
  }

  /** Whether the thumb played the bass already, as a note of the tune. */
  private static boolean isHeardBefore(Arrangement a, Slot slot, Chord chord, Note first) {
    return a.notesFrom(slot.fromTick(), first.tick()).stream()
        .filter(n -> n.part() == Note.Part.TUNE && n.pick().equals(Optional.of(PickFinger.P)))
        .anyMatch(n -> a.chroma(n) == chord.bass().chroma());
  }

  private static Found at(Arrangement a, Finding finding, Note bass) {
    return Found.at(a, finding, bass.tick(), Optional.of(bass.string()));
  }

  private static Optional<Finding> finding(Arrangement a, Chord chord, Note bass) {
    int chroma = a.chroma(bass);
    int away = Math.floorMod(chroma - chord.bass().chroma(), 12);
    if (away == 0) {
      return Optional.empty();
    }
    String words = Texts.of("foreignBass.theThumbStartsOn");
    String name =
        chord.spelling(chroma).map(Object::toString).orElse(Texts.of("foreignBass.another"));
    return Optional.of(
        new Finding(
            NAME,
            Grade.HEARD,
            Phrase.of(words, chord, name, chord.bass()),
            Math.min(away, 12 - away),
            0,
            "semitones"));
  }
}
