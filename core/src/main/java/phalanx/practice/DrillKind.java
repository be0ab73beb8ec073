package phalanx.practice;

/** What a drill is about, in the order in which they are taught (common practice, no source). */
public enum DrillKind {
  OPEN_STRINGS("open-strings"),
  THUMB("thumb"),
  LAYER("layer"),
  SLURS("slurs"),
  CHANGE("change"),
  JOIN("join"),
  SECTION("section"),
  SONG("song");

  private final String word;

  DrillKind(String word) {
    this.word = word;
  }

  /** As files and the command line have it. */
  public String word() {
    return word;
  }
}
