package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;

/**
 * The chord is heard under a tune: its third, or what stands for it, is struck while it is held,
 * and the thumb has two strings. Over tunes printed before 1900, written down from memory.
 */
class HeardChordsTest {

  private static final double THIRDS = 0.92;
  private static final double BASSES = 0.95;

  private static OldTunesTest.Old tune(
      String name, String source, String meter, String key, String chords, String bars) {
    return new OldTunesTest.Old(name, source, meter, key, chords, bars);
  }

  static List<OldTunesTest.Old> tunes() {
    List<OldTunesTest.Old> all = new ArrayList<>(OldTunesTest.tunes());
    all.add(
        tune(
            "Auld Lang Syne",
            "Thomson’s Select Collection, 1799",
            "4/4",
            "G",
            "G | D7 | G | C | G | D7 | C D7 | G",
            "g4 . . g | a . g a | b . g . | [d5 .] e . . | d b4 b g | a . g a | b g [e .] d | g . . ."));
    all.add(
        tune(
            "Home, Sweet Home",
            "Henry Bishop, 1823",
            "4/4",
            "C",
            "C | F C | C G7 | C | C | F C | C G7 | C",
            "e4 . f f | a g . e | g . [f e] f | e . . . | e . f f | a g . e | g . f d | c . . ."));
    all.add(
        tune(
            "Oh! Susanna",
            "Stephen Foster, 1848",
            "4/4",
            "D",
            "D | D | D | A7 | D | D | D A7 | D",
            "d4 e f# a | a b a f# | d e f# f# | e d e . | d e f# a | a b a f# | d e f# f# | e e d ."));
    all.add(
        tune(
            "Old Folks at Home",
            "Stephen Foster, 1851",
            "4/4",
            "D",
            "D | G | D | A7 | D | G | D A7 | D",
            "f#4 . e d f# . e d | d5 . b4 d5 . . . . | a4 . f# d e . . . | e . . . . . . . | f# . e d f# . e d | d5 . b4 d5 . . . . | a4 . f# d e e d . | d . . . . . . ."));
    all.add(
        tune(
            "Clementine",
            "Percy Montrose, 1884",
            "3/4",
            "G",
            "G | G | G | D7 | D7 | G | D7 | G",
            "[g4 g] g d | [b b] b g | [g b] d5 d | [c5 b4] a . | [a b] c5 c | [b4 a] b g | [g b] a d | [f# a] g ."));
    all.add(
        tune(
            "Silent Night",
            "Franz Xaver Gruber, 1818",
            "6/8",
            "C",
            "C | C | G7 | C | F | C | F | C",
            "g4 . a g e . | g . a g e . | d5 . d b4 . . | c5 . c g4 . . | a . a c5 . b4 | a . g . a g | a . a c5 . b4 | a . g e . ."));
    all.add(
        tune(
            "God Rest Ye Merry, Gentlemen",
            "Sandys’ Christmas Carols, 1833",
            "4/4",
            "Em",
            "Em | Em | C | B7 | Em | Em | C B7 | Em",
            "e4 e b b | a g f# e | d e f# g | a b . . | e e b b | a g f# e | d e f# g | a b . ."));
    return all;
  }

  @Test
  void thirdAndSecondBassAreHeard() {
    int chords = 0;
    int thirds = 0;
    int basses = 0;
    List<String> without = new ArrayList<>();
    for (OldTunesTest.Old old : tunes()) {
      Arrangement a = new Arranger().arrange(OldTunesTest.song(old));
      for (Slot slot : a.slots()) {
        Harmony.Sounding harmony = (Harmony.Sounding) slot.played().harmony();
        List<Note> notes = a.notesFrom(slot.fromTick(), slot.toTick());
        Optional<Integer> third = PatternHeard.third(harmony.chord());
        boolean struck = notes.stream().anyMatch(n -> n.midi() % 12 == third.orElseThrow());
        long strings =
            notes.stream()
                .filter(n -> n.part() == Note.Part.BASS)
                .map(Note::string)
                .distinct()
                .count();
        chords++;
        thirds += struck ? 1 : 0;
        basses += strings > 1 ? 1 : 0;
        if (!struck || strings < 2) {
          without.add(old.name() + " " + slot.played().bar() + " " + slot.held());
        }
      }
    }
    System.out.printf(
        "old tunes: %d chords, third struck %.1f %%, two basses %.1f %%; not %s%n",
        chords, 100.0 * thirds / chords, 100.0 * basses / chords, without);
    assertThat((double) thirds / chords).isGreaterThanOrEqualTo(THIRDS);
    assertThat((double) basses / chords).isGreaterThanOrEqualTo(BASSES);
  }
}
