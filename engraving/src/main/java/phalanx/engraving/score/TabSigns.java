package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Note;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;

/** How tablature writes what is special about a note (common practice, no source). */
final class TabSigns {

  private TabSigns() {}

  /** A fret on its line, in angle brackets where the string is only touched. */
  static String figure(Note note) {
    boolean touched =
        note.harmonic().filter(Technique.NaturalHarmonic.class::isInstance).isPresent();
    if (touched) {
      String at = note.harmonic().map(Technique::text).orElse("").replaceFirst("^h", "");
      return "<" + (at.isEmpty() ? String.valueOf(note.fret()) : at) + ">";
    }
    return String.valueOf(note.fret());
  }

  /** The words above a staff; a vibrato is drawn instead. */
  static List<String> above(Note note, boolean bendDrawn) {
    List<String> words = new ArrayList<>();
    if (note.attack().isSlur()) {
      words.add(note.attack().sign().equals("S") ? "sl." : note.attack().sign());
    }
    for (Technique technique : note.techniques()) {
      if (!bendDrawn || !(technique instanceof Technique.Bend)) {
        word(technique).ifPresent(words::add);
      }
    }
    return words;
  }

  private static Optional<String> word(Technique technique) {
    if (technique instanceof Technique.NaturalHarmonic) {
      return Optional.of("harm.");
    } else if (technique instanceof Technique.TouchedHarmonic touched) {
      return Optional.of("t.h. +" + touched.above());
    } else if (technique instanceof Technique.Bend bend) {
      return Optional.of(
          (bend.before() ? "p" : "")
              + "b "
              + amount(bend.quarters())
              + (bend.release() ? " r" : ""));
    } else if (technique == Technique.Plain.PALM_MUTE) {
      return Optional.of("P.M.");
    } else if (technique == Technique.Plain.SLAP) {
      return Optional.of("slap");
    } else if (technique == Technique.Plain.POP) {
      return Optional.of("pop");
    } else if (TechniqueText.isPlace(technique)) {
      return Optional.of(technique.sign());
    }
    return Optional.empty();
  }

  /** How far a bend goes, in whole tones. */
  static String amount(int quarters) {
    String[] parts = {"", "¼", "½", "¾"};
    int whole = quarters / 4;
    return whole == 0 ? parts[quarters % 4] : quarters == 4 ? "full" : whole + parts[quarters % 4];
  }
}
