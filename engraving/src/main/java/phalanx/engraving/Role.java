package phalanx.engraving;

/** What a mark is on the page: painters choose its colour by it, tests what may touch it. */
public enum Role {
  STAFF,
  BARLINE,
  CLEF,
  STEM,
  BEAM,
  FLAG,
  HEAD,
  LEDGER,
  ACCIDENTAL,
  DOT,
  REST,
  CURVE,
  FIGURE,
  FINGER,
  LETTER,
  COUNT,
  CHORD,
  SECTION,
  SIGN,
  WORDS,
  TITLE,
  TEXT,
  DIAGRAM,
  HOLD;

  /** Whether it is a sign or a word of its own, which nothing else may lie on. */
  public boolean isOwnInk() {
    return switch (this) {
      case STAFF, BARLINE, STEM, LEDGER, CURVE, DIAGRAM, HOLD -> false;
      default -> true;
    };
  }
}
