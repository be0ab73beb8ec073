package phalanx.song;

/**
 * Who made a song and who arranged it; either may be empty.
 *
 * @param composer who made tune or words
 * @param arranger who set it for the guitar
 */
public record Credits(String composer, String arranger) {
  public static final Credits NONE = new Credits("", "");

  public Credits {
    composer = composer.strip();
    arranger = arranger.strip();
  }
}
