package phalanx.instrument;

import java.util.Optional;
import java.util.stream.Stream;

/** Tunings that players use, by plain descriptions (common practice, no source). */
public enum UsualTuning {
  STANDARD("standard", "standard", "E2 A2 D3 G3 B3 E4"),
  DROP_D("drop-d", "⑥ a tone down", "D2 A2 D3 G3 B3 E4"),
  DOUBLE_DROP_D("double-drop-d", "⑥ and ① a tone down", "D2 A2 D3 G3 B3 D4"),
  DADGAD("dadgad", "neither major nor minor", "D2 A2 D3 G3 A3 D4"),
  DGDGBE("dgdgbe", "⑥ and ⑤ a tone down", "D2 G2 D3 G3 B3 E4"),
  OPEN_G("open-g", "open G", "D2 G2 D3 G3 B3 D4"),
  OPEN_D("open-d", "open D", "D2 A2 D3 F#3 A3 D4"),
  OPEN_C("open-c", "open C", "C2 G2 C3 G3 C4 E4"),
  OPEN_E_MINOR("open-e-minor", "open E minor", "E2 B2 E3 G3 B3 E4"),
  HALF_DOWN("half-down", "all a half step down", "Eb2 Ab2 Db3 Gb3 Bb3 Eb4"),
  WHOLE_DOWN("whole-down", "all a whole step down", "D2 G2 C3 F3 A3 D4");

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
