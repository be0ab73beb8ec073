package phalanx.theory;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A spelled pitch in scientific octaves: C4 is middle C, MIDI note 60.
 *
 * @param name the spelled note
 * @param octave the octave its letter stands in
 */
public record Pitch(NoteName name, int octave) {

  /** Reference for A4, Hz. Source: ISO 16:1975. */
  public static final double A4_HZ = 440;

  /** The lowest pitch of A4 anybody tunes to, Hz. */
  public static final int LOWEST_A4_HZ = 390;

  /** The highest, Hz. */
  public static final int HIGHEST_A4_HZ = 490;

  private static final int A4_MIDI = 69;
  private static final Pattern WITH_OCTAVE = Pattern.compile("([A-G][#b♯♭]*)(-?\\d)");

  /** Reads {@code F#3} or {@code B♭2}; empty for anything else. */
  public static Optional<Pitch> parse(String text) {
    Matcher m = WITH_OCTAVE.matcher(text);
    if (!m.matches()) {
      return Optional.empty();
    }
    return NoteName.parse(m.group(1)).map(n -> new Pitch(n, Integer.parseInt(m.group(2))));
  }

  /**
   * The pitch with this MIDI number that carries the given name.
   *
   * @throws IllegalArgumentException if the name is not of that pitch class
   */
  public static Pitch of(int midi, NoteName name) {
    if (Math.floorMod(midi, 12) != name.chroma()) {
      throw new IllegalArgumentException(name + " is not MIDI note " + midi);
    }
    int natural = midi - name.alteration();
    return new Pitch(name, Math.floorDiv(natural, 12) - 1);
  }

  /** MIDI note number; 60 for C4. */
  public int midi() {
    return 12 * (octave + 1) + name.letter().semitones() + name.alteration();
  }

  /** Frequency in Hz with A4 at {@link #A4_HZ}, twelve equal semitones to the octave. */
  public double frequency() {
    return frequency(midi(), A4_HZ);
  }

  /** Frequency in Hz of a MIDI note, given the frequency of A4. */
  public static double frequency(int midi, double a4) {
    return a4 * Math.pow(2, (midi - A4_MIDI) / 12.0);
  }

  @Override
  public String toString() {
    return name.toString() + octave;
  }
}
