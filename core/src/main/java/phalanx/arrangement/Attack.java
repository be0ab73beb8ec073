package phalanx.arrangement;

import phalanx.melody.Slur;

/**
 * How a note starts. The one table of its kinds: the word files use, the sign that stands for the
 * stroke in the strip and in text tablature.
 */
public enum Attack {
  PLUCKED("pluck", ""),
  HAMMERED("hammer", "H"),
  PULLED("pull", "P"),
  SLID("slide", "S");

  private final String word;
  private final String sign;

  Attack(String word, String sign) {
    this.word = word;
    this.sign = sign;
  }

  /** How a note starts that is slurred from the one before. */
  public static Attack of(Slur slur) {
    return switch (slur) {
      case HAMMER_ON -> HAMMERED;
      case PULL_OFF -> PULLED;
      case SLIDE -> SLID;
    };
  }

  /** Its word in files. */
  public String word() {
    return word;
  }

  /** The letter under the strings; empty where the plucking finger's own stands there. */
  public String sign() {
    return sign;
  }

  /** Whether the fretting hand makes it alone, from the note before on the same string. */
  public boolean isSlur() {
    return this != PLUCKED;
  }
}
