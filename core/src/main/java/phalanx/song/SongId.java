package phalanx.song;

import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;

/**
 * What a song is known by for good, so that what belongs to it is found again though its title or
 * its file change.
 *
 * @param text 1 to {@value #LONGEST} letters of the Latin alphabet, digits and hyphens
 * @throws IllegalArgumentException if the text is none that identifies a song
 */
public record SongId(String text) {

  private static final int LONGEST = 64;
  private static final Pattern FORM = Pattern.compile("[A-Za-z0-9-]{1," + LONGEST + "}");

  public SongId {
    if (!FORM.matcher(text).matches()) {
      throw new IllegalArgumentException("no id of a song: " + text);
    }
  }

  /** As it stands in a file; empty where the text has another form. */
  public static Optional<SongId> parse(String text) {
    return FORM.matcher(text).matches() ? Optional.of(new SongId(text)) : Optional.empty();
  }

  /** Made from a number that no other song has. */
  public static SongId of(UUID number) {
    return new SongId(number.toString());
  }
}
