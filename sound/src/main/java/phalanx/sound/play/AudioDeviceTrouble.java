package phalanx.sound.play;

/** A card cannot be opened, or is gone. The message is for players. */
public final class AudioDeviceTrouble extends Exception {

  private static final long serialVersionUID = 1;

  public AudioDeviceTrouble(String words, Throwable cause) {
    super(words, cause);
  }

  public AudioDeviceTrouble(String words) {
    super(words);
  }
}
