package phalanx.instrument;

import java.util.Optional;
import phalanx.text.Texts;

/**
 * One string tuned by ear against another that is right already.
 *
 * @param string the string to tune, 0 for ⑥ to 5 for ①
 * @param against the string it is held against
 * @param how what is compared
 * @param fret where that string is stopped or touched; 0 open
 * @param octaves how many octaves the string to tune lies above it, below where negative
 * @param check two harmonics that nearly agree once it is right
 */
public record TuningStep(
    int string, int against, How how, int fret, int octaves, Optional<Check> check) {

  /** What is compared. All three leave nothing over: they are exact in equal temperament. */
  public enum How {
    /** The other string, open or stopped, sounds the same note. */
    FRET,
    /** It sounds one or two octaves from it. */
    OCTAVE,
    /** Its harmonic sounds the same note. */
    HARMONIC
  }

  /**
   * Harmonics of two strings that are the same in pure tuning and nearly so in equal temperament.
   *
   * @param lowString the lower string
   * @param lowFret over which fret it is touched
   * @param highString the higher string
   * @param highFret over which fret it is touched
   * @param cents how far apart they lie when both strings are right
   * @param beats how often a second they beat then
   */
  public record Check(
      int lowString, int lowFret, int highString, int highFret, double cents, double beats) {

    /** In a player's words. */
    public String words() {
      return Texts.of(
          "tuningStep.overFretAndOver",
          StringSign.of(lowString),
          lowFret,
          StringSign.of(highString),
          highFret,
          beats);
    }
  }

  /** In a player's words, with the check: {@code ⑤ sounds an octave below ③; …}. */
  public String words() {
    return comparison() + check.map(c -> "; " + c.words()).orElse("");
  }

  /** What is compared, in a player's words: {@code ⑤ sounds an octave below ③}. */
  public String comparison() {
    String other = StringSign.of(against) + (fret == 0 ? "" : Texts.of("tuningStep.atFret", fret));
    String said =
        switch (how) {
          case FRET -> Texts.of("tuningStep.soundsLike", other);
          case OCTAVE -> Texts.of("tuningStep.sounds", octaveWords(), other);
          case HARMONIC ->
              Texts.of("tuningStep.soundsLikeTheHarmonic", StringSign.of(against), fret);
        };
    return StringSign.of(string) + said;
  }

  private String octaveWords() {
    String many =
        Math.abs(octaves) == 1
            ? Texts.of("tuningStep.anOctave")
            : Texts.of("tuningStep.octaves", Math.abs(octaves));
    return many + (octaves > 0 ? Texts.of("tuningStep.above") : Texts.of("tuningStep.below"));
  }
}
