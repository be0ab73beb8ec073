package phalanx.picking;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.text.Texts;

/** How much is played beside the bass (docs/patterns.md). */
public enum Density {
  /** The thumb alone; a tune is left to whoever sings it. */
  THUMB(Texts.of("density.thumbAlone")),
  /** Thumb and tune. */
  TUNE(Texts.of("density.thumbAndTune")),
  /** Inner notes where the tune holds or rests. */
  HELD(Texts.of("density.innerNotesWhereThe")),
  /** The whole pattern, whatever the tune does. */
  FULL(Texts.of("density.theWholePattern"));

  private final String words;

  Density(String words) {
    this.words = words;
  }

  /** In the player's words. */
  public String words() {
    return words;
  }

  /** As files have it: 0 to 3. */
  public int number() {
    return ordinal();
  }

  /** The one of a number; empty beyond 0 to 3. */
  public static Optional<Density> of(int number) {
    return Stream.of(values()).filter(d -> d.ordinal() == number).findFirst();
  }

  /** Its name in styles and ids. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
