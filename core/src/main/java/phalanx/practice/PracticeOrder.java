package phalanx.practice;

import phalanx.text.Texts;

/** Which hand comes first. Both ways are taught (common practice, no source). */
public enum PracticeOrder {
  /** The thumb and the layers over it, then the changes. */
  THUMB_FIRST(Texts.of("practiceOrder.theThumbFirstWhatever")),
  /** The changes as blocks, then the picking hand. */
  FRETTING_FIRST(Texts.of("practiceOrder.theFrettingHandFirst"));

  private final String words;

  PracticeOrder(String words) {
    this.words = words;
  }

  /** What it is, and why. */
  public String words() {
    return words;
  }
}
