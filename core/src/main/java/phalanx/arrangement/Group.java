package phalanx.arrangement;

/** What a note is struck together with. */
public enum Group {
  /** Nothing. */
  ALONE("alone"),
  /** Other strings at the same instant. */
  PINCH("pinch"),
  /** Other strings one after another, each by its finger. */
  ROLL("roll"),
  /** Other strings in one sweep. */
  BRUSH("brush");

  private final String word;

  Group(String word) {
    this.word = word;
  }

  /** Its word in files. */
  public String word() {
    return word;
  }
}
