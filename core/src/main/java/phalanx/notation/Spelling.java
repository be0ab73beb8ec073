package phalanx.notation;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * What the notes of an arrangement are called on paper, counted from the capo as if it were the
 * nut: a note of the tune as it was typed, a chord’s tone as the chord spells it, every other one
 * as the key has it.
 */
public final class Spelling {

  /** Where a song says no key, accidentals are those nearest to C major. */
  private static final Key PLAIN = new Key(NoteName.parse("C").orElseThrow(), Mode.MAJOR);

  private final Arrangement arrangement;
  private final Key key;
  private final int capo;
  private final Map<Integer, Map<Integer, NoteName>> typed = new HashMap<>();

  /** The spelling of an arrangement. */
  public Spelling(Arrangement arrangement) {
    this.arrangement = arrangement;
    Song song = arrangement.song();
    key = song.key().orElse(PLAIN);
    capo = song.guitar().capo();
    song.tune().along(song.chart()).forEach((bar, tune) -> typed.put(bar, names(tune)));
  }

  private static Map<Integer, NoteName> names(BarTune tune) {
    Map<Integer, NoteName> names = new HashMap<>();
    for (TuneNote note : tune.notes()) {
      for (Want want : note.wants()) {
        if (want instanceof Want.Sound sound) {
          names.putIfAbsent(sound.pitch().name().chroma(), sound.pitch().name());
        }
      }
    }
    return names;
  }

  /** How a note is written: as fretted, an octave above what sounds left aside. */
  public Pitch of(Note note) {
    int fretted = note.midi() - capo;
    int chroma = Math.floorMod(fretted, 12);
    Optional<NoteName> name =
        note.part() == Note.Part.TUNE
            ? Optional.ofNullable(typed.getOrDefault(note.ref().bar(), Map.of()).get(chroma))
            : Optional.empty();
    return Pitch.of(
        fretted, name.or(() -> inChord(note, chroma)).orElseGet(() -> key.nameOf(chroma)));
  }

  private Optional<NoteName> inChord(Note note, int chroma) {
    if (arrangement.slots().isEmpty()) {
      return Optional.empty();
    }
    Slot slot = arrangement.slots().get(arrangement.slotAt(note.tick()));
    return slot.played()
        .harmony()
        .sounding()
        .flatMap(c -> c.spelling(chroma))
        .filter(n -> Math.abs(n.alteration()) <= 2);
  }
}
