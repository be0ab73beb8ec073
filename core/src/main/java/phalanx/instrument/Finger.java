package phalanx.instrument;

/** A finger of the fretting hand. */
public enum Finger {
  /** The thumb, reaching over the neck to string ⑥. */
  THUMB("T"),
  INDEX("1"),
  MIDDLE("2"),
  RING("3"),
  LITTLE("4");

  private final String sign;

  Finger(String sign) {
    this.sign = sign;
  }

  /** What players write: T, 1, 2, 3, 4. */
  public String sign() {
    return sign;
  }

  /** The finger with this sign's number, 1 to 4. */
  public static Finger numbered(int number) {
    return values()[number];
  }
}
