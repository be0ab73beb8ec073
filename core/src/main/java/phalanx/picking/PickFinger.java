package phalanx.picking;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;

/** A finger of the picking hand, by its usual Spanish letter; thumb first. */
public enum PickFinger {
  P("p", Texts.of("pickFinger.theThumb")),
  I("i", Texts.of("pickFinger.theIndexFinger")),
  M("m", Texts.of("pickFinger.theMiddleFinger")),
  A("a", Texts.of("pickFinger.theRingFinger")),
  C("c", Texts.of("pickFinger.theLittleFinger"));

  private final String letter;
  private final String words;

  PickFinger(String letter, String words) {
    this.letter = letter;
    this.words = words;
  }

  /** p thumb, i index, m middle, a ring, c little finger. */
  public String letter() {
    return letter;
  }

  /** What it is called in a sentence. */
  public String words() {
    return words;
  }

  /** The finger of a letter. */
  public static Optional<PickFinger> lettered(String letter) {
    return Stream.of(values()).filter(f -> f.letter.equals(letter)).findFirst();
  }
}
