package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.desktop.drawing.ShapeWords;
import phalanx.desktop.texts.Texts;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** The tune of a bar in words, for those who hear the screen instead of seeing it. */
final class StaffWords {

  private StaffWords() {}

  /** {@code tune of bar 3: G4 on beat 1, A4 on beat 2.5, hammer-on}. */
  static String of(int number, BarTune tune, Meter meter, NoteNaming naming) {
    List<String> parts = new ArrayList<>();
    if (tune.heldTicks() > 0) {
      parts.add(Texts.of("staffWords.held"));
    }
    for (TuneNote note : tune.notes()) {
      double beat = 1 + note.tick() / (double) meter.beatTicks();
      String sounds =
          note.wants().stream().map(w -> words(w, naming)).collect(Collectors.joining(" + "));
      String when = beat == Math.rint(beat) ? Phrase.of("%.0f", beat) : Phrase.shown("%.2f", beat);
      parts.add(Texts.of("staffWords.note", sounds, when));
      note.slur().map(s -> s.words()).ifPresent(parts::add);
      note.techniques().stream().map(t -> t.meaning()).sorted().forEach(parts::add);
    }
    if (parts.isEmpty()) {
      parts.add(Texts.of("staffWords.silent"));
    }
    return Texts.of("staffWords.bar", number) + ": " + String.join(", ", parts);
  }

  private static String words(Want want, NoteNaming naming) {
    return want instanceof Want.Sound s
        ? naming.name(s.pitch().name()) + s.pitch().octave()
        : place((Want.Place) want);
  }

  private static String place(Want.Place place) {
    return Texts.of("staffWords.place", ShapeWords.number(place.string()), place.fret());
  }
}
