package phalanx.picking;

import java.util.Optional;
import java.util.stream.Stream;

/** What a stroke does in the texture, whatever string that turns out to be on a shape. */
public enum Role {
  /** The thumb on the chord's bass. */
  ROOT(true, 0),
  /** The thumb on the other bass string. */
  ALTERNATE(true, 2),
  /** A finger on the lowest string above the thumb. */
  INNER(false, 2),
  /** A finger on string ③. */
  MIDDLE(false, 3),
  /** A finger on string ②. */
  UPPER(false, 4),
  /** A finger on string ①, where a tune lies. */
  TUNE(false, 5);

  private final boolean thumb;
  private final int home;

  Role(boolean thumb, int home) {
    this.thumb = thumb;
    this.home = home;
  }

  /** What a row of it is called in a written pattern; one row is all the thumb needs. */
  String written() {
    return thumb ? "thumb" : name().toLowerCase();
  }

  /** The role whose row has a name. */
  static Optional<Role> written(String word) {
    return Stream.of(values()).filter(r -> r.written().equals(word)).findFirst();
  }

  /** Whether the thumb plays it. */
  public boolean isThumb() {
    return thumb;
  }

  /** The string a finger role means where that string sounds, 0 for ⑥ to 5 for ①. */
  int home() {
    return home;
  }
}
