package phalanx.practice;

/** Which hand comes first. Both ways are taught (common practice, no source). */
public enum PracticeOrder {
  /** The thumb and the layers over it, then the changes. */
  THUMB_FIRST("the thumb first: whatever the fingers add later must not disturb it"),
  /** The changes as blocks, then the picking hand. */
  FRETTING_FIRST("the fretting hand first: the shapes come by themselves before they are picked");

  private final String words;

  PracticeOrder(String words) {
    this.words = words;
  }

  /** What it is, and why. */
  public String words() {
    return words;
  }
}
