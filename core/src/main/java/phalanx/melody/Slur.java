package phalanx.melody;

import java.util.stream.Stream;
import phalanx.text.Texts;

/** How the fretting hand makes a note from the one before it. */
public enum Slur {
  /** A finger hammered down on a higher fret. */
  HAMMER_ON('^', Texts.of("slur.hammerOn")),
  /** A finger pulled off towards a lower one. */
  PULL_OFF('_', Texts.of("slur.pullOff")),
  /** The finger slides to the new fret. */
  SLIDE('/', Texts.of("slur.slide"));

  private final char sign;
  private final String words;

  Slur(char sign, String words) {
    this.sign = sign;
    this.words = words;
  }

  /** Its sign in a written tune. */
  char sign() {
    return sign;
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  static java.util.Optional<Slur> of(char sign) {
    return Stream.of(values()).filter(s -> s.sign == sign).findFirst();
  }
}
