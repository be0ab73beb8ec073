package phalanx.formats.abc;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.formats.imported.ImportedBar;
import phalanx.melody.Want;
import phalanx.theory.Letter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * What pitches the letters of a voice stand for: by its key, by its clef and by the accidentals
 * since the last bar line (ABC 2.1, sections 4.1, 4.2 and 4.6).
 */
final class AbcPitches {

  /** A note: its accidental, letter, octave marks, and what its length is multiplied by. */
  static final Pattern NOTE =
      Pattern.compile("(\\^{1,2}|_{1,2}|=)?([a-gA-G])([,']{0,8})(\\d{0,4})(/{1,6}\\d{0,4})?");

  private static final int HIGHEST_OCTAVE = 9;

  /** The accidentals that count up to the next bar line, by letter and octave. */
  private final Map<String, Integer> signs = new HashMap<>();

  private ImportedBar bar;
  private AbcHead.Signed key;
  private int octavesUp;

  AbcPitches(AbcHead.Signed key) {
    this.key = key;
  }

  void key(AbcHead.Signed other) {
    key = other;
  }

  /** What follows sounds so many octaves above what is written. */
  void octavesUp(int octaves) {
    octavesUp = octaves;
  }

  /**
   * The pitch of a note.
   *
   * @param note a match of {@link #NOTE}
   * @param in the bar it is in
   */
  Want.Sound of(Matcher note, ImportedBar in) {
    char written = note.group(2).charAt(0);
    Letter letter = Letter.valueOf(String.valueOf(written).toUpperCase(Locale.ROOT));
    int octave = Character.isLowerCase(written) ? 5 : 4;
    for (char mark : note.group(3).toCharArray()) {
      octave += mark == '\'' ? 1 : -1;
    }
    if (bar != in) {
      signs.clear();
      bar = in;
    }
    int alteration = alteration(note.group(1), letter, letter.name() + octave);
    int sounding = Math.max(0, Math.min(HIGHEST_OCTAVE, octave + octavesUp));
    return new Want.Sound(new Pitch(new NoteName(letter, alteration), sounding), Optional.empty());
  }

  private int alteration(String sign, Letter letter, String place) {
    if (sign == null) {
      return signs.getOrDefault(place, key.signs().getOrDefault(letter, 0));
    }
    int alteration = sign.equals("=") ? 0 : (sign.charAt(0) == '^' ? 1 : -1) * sign.length();
    signs.put(place, alteration);
    return alteration;
  }
}
