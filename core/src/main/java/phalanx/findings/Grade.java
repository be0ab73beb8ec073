package phalanx.findings;

import phalanx.text.Texts;

/** How much a finding matters. */
public enum Grade {
  /** No hand can do it, or what the player insists on contradicts itself. */
  CANNOT("cannot", Texts.of("grade.cannotBeDone"), "✕"),
  /** It is heard, or makes the music stumble. */
  HEARD("heard", Texts.of("grade.willBeHeard"), "!"),
  /** Nothing is wrong; something is done otherwise than written. */
  NOTE("note", Texts.of("grade.worthKnowing"), "i");

  private final String word;
  private final String words;
  private final String sign;

  Grade(String word, String words, String sign) {
    this.word = word;
    this.words = words;
    this.sign = sign;
  }

  /** Its word in files. */
  public String word() {
    return word;
  }

  /** In the player's words. */
  public String words() {
    return words;
  }

  /** The sign that stands for it. */
  public String sign() {
    return sign;
  }

  /** Whether something has to be done about it. */
  public boolean isHard() {
    return this != NOTE;
  }
}
