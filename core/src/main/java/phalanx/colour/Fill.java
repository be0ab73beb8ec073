package phalanx.colour;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * A short run at a phrase's end, written by the degrees of its chord, so that it goes over any of
 * its kind.
 *
 * @param name what it is called
 * @param about what it does, in a few words
 * @param beats how long it is, quarters
 * @param lines its notes in each colour: as docs/tune.md writes them, with degrees for letters
 */
public record Fill(String name, String about, int beats, Map<Colour, String> lines) {

  /** Longest fill, quarters. */
  public static final int MOST_BEATS = 8;

  /** Which notes it uses where there is a choice. */
  public enum Colour {
    MAJOR,
    BLUESY;

    /** Its word in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private static final int OCTAVE = 12;

  /** A degree; what stands in brackets behind a note is left as it is. */
  private static final Pattern DEGREE =
      Pattern.compile("\\([^)]*\\)|(bb|[b#]?)([1-7])('{0,2}|,{0,2})");

  public Fill {
    lines = new EnumMap<>(lines);
    if (beats < 1 || beats > MOST_BEATS || lines.size() < Colour.values().length) {
      throw new IllegalArgumentException("a fill has 1 to 8 beats and both colours");
    }
  }

  /** Its metre on its own. */
  public Meter meter() {
    return new Meter(beats, 4);
  }

  /**
   * Its notes over a chord, from the time it begins.
   *
   * @param root MIDI note of its first degree
   * @param name what that is called
   */
  public BarTune over(Colour colour, int root, NoteName name) {
    return read(colour, root, name).tune();
  }

  /** The same with what could not be read of it. */
  TuneReader.Result read(Colour colour, int root, NoteName name) {
    Matcher m = DEGREE.matcher(lines.get(colour));
    StringBuilder text = new StringBuilder();
    while (m.find()) {
      String word = m.group(2) == null ? m.group() : note(m, root, name);
      m.appendReplacement(text, Matcher.quoteReplacement(word));
    }
    return TuneReader.read(m.appendTail(text).toString(), meter());
  }

  private static String note(Matcher m, int root, NoteName tonic) {
    int degree = Integer.parseInt(m.group(2)) - 1;
    int shift = m.group(3).startsWith("'") ? m.group(3).length() : -m.group(3).length();
    int altered = m.group(1).startsWith("b") ? -m.group(1).length() : m.group(1).length();
    int midi = root + Mode.MAJOR.degree(degree).semitones() + altered + OCTAVE * shift;
    Mode mode = altered < 0 ? Mode.MINOR : Mode.MAJOR;
    NoteName name = new Key(tonic, mode).nameOf(Math.floorMod(midi, OCTAVE)).simplified();
    String letter = name.ascii();
    return letter.substring(0, 1).toLowerCase(Locale.ROOT)
        + letter.substring(1)
        + Pitch.of(midi, name).octave();
  }
}
