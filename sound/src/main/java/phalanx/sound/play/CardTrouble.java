package phalanx.sound.play;

/** A card cannot be opened, or is gone. The message is for players. */
public final class CardTrouble extends Exception {

  private static final long serialVersionUID = 1;

  public CardTrouble(String words, Throwable cause) {
    super(words, cause);
  }

  public CardTrouble(String words) {
    super(words);
  }
}
