package phalanx.picking;

/** A finger of the picking hand, by its usual Spanish letter; thumb first. */
public enum PickFinger {
  P("p"),
  I("i"),
  M("m"),
  A("a"),
  C("c");

  private final String letter;

  PickFinger(String letter) {
    this.letter = letter;
  }

  /** p thumb, i index, m middle, a ring, c little finger. */
  public String letter() {
    return letter;
  }
}
