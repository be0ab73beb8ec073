package phalanx.instrument;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.text.Texts;
import phalanx.theory.Pitch;

/**
 * One string of a tuning: its pitch and how hard it pulls.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param note its open note
 * @param hz the same in Hz
 * @param semitones above standard tuning, below where negative
 * @param newtons how hard it pulls
 * @param standardNewtons how hard it pulls in standard tuning on the same guitar
 * @param share of the pull the string is made for
 */
public record StringPull(
    int string,
    Pitch note,
    double hz,
    int semitones,
    double newtons,
    double standardNewtons,
    double share) {

  /** Scales that guitars are built with, mm. */
  public static final double SHORTEST_SCALE = 600;

  public static final double LONGEST_SCALE = 680;

  /**
   * How a pull feels, by its share of the one the string is made for: down to three semitones lower
   * (0.71) strings are played, further down they rattle; one semitone higher (1.12) is held to be
   * safe (common practice, no source).
   */
  public enum Zone {
    SLACK,
    FIT,
    TIGHT;

    /** In a player's word. */
    public String words() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Below this share a string is slack. */
    public static final double SLACK_BELOW = 0.70;

    /** Above this share it is tight. */
    public static final double TIGHT_ABOVE = 1.13;

    static Zone of(double share) {
      return share < SLACK_BELOW ? SLACK : share > TIGHT_ABOVE ? TIGHT : FIT;
    }
  }

  /**
   * All strings of a tuning, ⑥ to ①. A capo changes nothing here: it stops strings at a fret and,
   * but for what pressing them down adds, leaves their pull as it is.
   *
   * @param scaleLength from nut to bridge, mm
   * @param a4 frequency of A4, Hz
   */
  public static List<StringPull> of(Tuning tuning, StringSet set, double scaleLength, double a4) {
    return IntStream.range(0, Tuning.STRINGS)
        .mapToObj(s -> of(s, tuning, set, scaleLength, a4))
        .toList();
  }

  private static StringPull of(
      int string, Tuning tuning, StringSet set, double scaleLength, double a4) {
    Pitch note = tuning.strings().get(string);
    int standard = Tuning.STANDARD.midi(string);
    double hz = Pitch.frequency(note.midi(), a4);
    double newtons = set.newtons(string, hz, scaleLength);
    return new StringPull(
        string,
        note,
        hz,
        note.midi() - standard,
        newtons,
        set.newtons(string, Pitch.frequency(standard, a4), scaleLength),
        newtons / set.madeFor(string));
  }

  /** How far it is from standard tuning: {@code −2}, {@code 0}, {@code +1}. */
  public String changeWords() {
    return semitones < 0 ? "−" + -semitones : semitones == 0 ? "0" : "+" + semitones;
  }

  /** How hard strings pull together, newtons. */
  public static double newtons(List<StringPull> pulls) {
    return pulls.stream().mapToDouble(StringPull::newtons).sum();
  }

  /** The same in standard tuning. */
  public static double standardNewtons(List<StringPull> pulls) {
    return pulls.stream().mapToDouble(StringPull::standardNewtons).sum();
  }

  /** What is to be minded where a string goes up; empty where none does. */
  public static Optional<String> caution(List<StringPull> pulls) {
    return goUp(pulls) ? Optional.of(Texts.of("stringPull.aStringThatGoes")) : Optional.empty();
  }

  /** Whether a string is tuned higher than standard. */
  public static boolean goUp(List<StringPull> pulls) {
    return pulls.stream().anyMatch(p -> p.semitones() > 0);
  }

  /** How that feels. */
  public Zone zone() {
    return Zone.of(share);
  }

  /** How hard it pulls, kilogram-force. */
  public double kilogramsForce() {
    return newtons / StringSet.NEWTONS_PER_KGF;
  }
}
