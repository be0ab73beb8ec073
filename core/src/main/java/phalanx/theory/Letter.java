package phalanx.theory;

/** The seven note letters in scale order, C first, each with its distance above C. */
public enum Letter {
  C(0),
  D(2),
  E(4),
  F(5),
  G(7),
  A(9),
  B(11);

  private final int semitones;

  Letter(int semitones) {
    this.semitones = semitones;
  }

  /** Semitones above C, 0 to 11. */
  public int semitones() {
    return semitones;
  }

  /** The letter {@code steps} scale steps higher (negative: lower), wrapping from B to C. */
  public Letter plus(int steps) {
    return values()[Math.floorMod(ordinal() + steps, 7)];
  }
}
