package phalanx.picking;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;

/** What a stroke does in the texture, whatever string that turns out to be on a shape. */
public enum Role {
  /** The thumb on the chord's bass, whatever its route. */
  ROOT(true, 0),
  /** The thumb on the other bass string, whatever its route. */
  ALTERNATE(true, 2),
  /** The thumb where its route takes it. */
  THUMB(true, 0),
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

  /** What a row of it is called on the screen. */
  public String words() {
    return switch (this) {
      case ROOT -> Texts.of("role.root");
      case ALTERNATE -> Texts.of("role.alternate");
      case THUMB -> Texts.of("role.thumb");
      case INNER -> Texts.of("role.inner");
      case MIDDLE -> Texts.of("role.middle");
      case UPPER -> Texts.of("role.upper");
      case TUNE -> Texts.of("role.tune");
    };
  }

  /** What a row of it is called in a written pattern. */
  public String written() {
    return name().toLowerCase(Locale.ROOT);
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
  public int home() {
    return home;
  }
}
