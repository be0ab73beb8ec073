package phalanx.formats.abc;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * By how many octaves a voice sounds higher than it is written: what a line {@code K:} or {@code
 * V:} says beside the key (ABC 2.1, section 4.6). A guitar is written an octave above its sound,
 * {@code clef=treble-8}.
 *
 * @param octaves octaves up, negative for down; empty where the line says nothing
 * @param odd semitones up that are no whole octaves and are not followed; 0 where there are none
 */
record AbcOctaves(Optional<Integer> octaves, int odd) {

  private static final int SEMITONES = 12;

  static final AbcOctaves UNSAID = new AbcOctaves(Optional.empty(), 0);

  private static final Pattern CLEF =
      Pattern.compile("(?:clef=\"?|\\b)(?:treble|bass|alto|tenor|none|perc)[1-5]?([+-])(8|15)\\b");
  private static final Pattern OCTAVE = Pattern.compile("\\boctave=([+-]?\\d)\\b");
  private static final Pattern TRANSPOSE = Pattern.compile("\\btranspose=([+-]?\\d{1,2})\\b");

  static AbcOctaves of(String value) {
    Matcher clef = CLEF.matcher(value);
    Matcher octave = OCTAVE.matcher(value);
    Matcher transpose = TRANSPOSE.matcher(value);
    boolean byClef = clef.find();
    boolean byOctave = octave.find();
    boolean bySemitones = transpose.find();
    if (!byClef && !byOctave && !bySemitones) {
      return UNSAID;
    }
    int up = 0;
    if (byClef) {
      int count = clef.group(2).equals("15") ? 2 : 1;
      up += clef.group(1).equals("-") ? -count : count;
    }
    if (byOctave) {
      up += Integer.parseInt(octave.group(1));
    }
    int semitones = bySemitones ? Integer.parseInt(transpose.group(1)) : 0;
    int odd = semitones % SEMITONES;
    up += odd == 0 ? semitones / SEMITONES : 0;
    return new AbcOctaves(Optional.of(up), odd);
  }
}
