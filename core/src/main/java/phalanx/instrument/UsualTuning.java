package phalanx.instrument;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;

/** Tunings that players use, by plain descriptions (common practice, no source). */
public enum UsualTuning {
  STANDARD("standard", Texts.of("usualTuning.standard"), "E2 A2 D3 G3 B3 E4"),
  DROP_D("drop-d", Texts.of("usualTuning.aToneDown"), "D2 A2 D3 G3 B3 E4"),
  DOUBLE_DROP_D("double-drop-d", Texts.of("usualTuning.andAToneDown"), "D2 A2 D3 G3 B3 D4"),
  DADGAD("dadgad", Texts.of("usualTuning.neitherMajorNorMinor"), "D2 A2 D3 G3 A3 D4"),
  DGDGBE("dgdgbe", Texts.of("usualTuning.andAToneDown2"), "D2 G2 D3 G3 B3 E4"),
  OPEN_G("open-g", Texts.of("usualTuning.openG"), "D2 G2 D3 G3 B3 D4"),
  OPEN_D("open-d", Texts.of("usualTuning.openD"), "D2 A2 D3 F#3 A3 D4"),
  OPEN_C("open-c", Texts.of("usualTuning.openC"), "C2 G2 C3 G3 C4 E4"),
  OPEN_E_MINOR("open-e-minor", Texts.of("usualTuning.openEMinor"), "E2 B2 E3 G3 B3 E4"),
  HALF_DOWN("half-down", Texts.of("usualTuning.allAHalfStep"), "Eb2 Ab2 Db3 Gb3 Bb3 Eb4"),
  WHOLE_DOWN("whole-down", Texts.of("usualTuning.allAWholeStep"), "D2 G2 C3 F3 A3 D4");

  private final String word;
  private final String words;
  private final Tuning tuning;

  UsualTuning(String word, String words, String notes) {
    this.word = word;
    this.words = words;
    tuning = Tuning.parse(notes).orElseThrow();
  }

  /** What it is called on the command line. */
  public String word() {
    return word;
  }

  /** What it is, for a player. */
  public String words() {
    return words;
  }

  public Tuning tuning() {
    return tuning;
  }

  /** A tuning by its word on the command line, or by its six notes; empty for anything else. */
  public static Optional<Tuning> read(String text) {
    return Stream.of(values())
        .filter(t -> t.word.equals(text))
        .map(UsualTuning::tuning)
        .findFirst()
        .or(() -> Tuning.parse(text));
  }
}
