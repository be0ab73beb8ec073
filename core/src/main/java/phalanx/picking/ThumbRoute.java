package phalanx.picking;

/** The way the thumb takes over the bass strings while a chord lasts. */
public enum ThumbRoute {
  /** Root and one other bass string in turn: 5-4-5-4. */
  ALTERNATING("alternating"),
  /** Root, the string between, a third bass string, the string between: 5-4-6-4. */
  THREE_VOICES("three voices"),
  /** Always the chord's bass string. */
  STEADY("steady"),
  /** One open bass string, that of the key's tonic, under changing chords. */
  PEDAL("pedal"),
  /**
   * Root and one other string in turn; where a phrase begins on another root, the last strokes
   * before it lead there by steps.
   */
  WALKING("walking"),
  /** The same before every other root. */
  WALKING_ALWAYS("walking always");

  private final String words;

  ThumbRoute(String words) {
    this.words = words;
  }

  /** What a player calls it. */
  public String words() {
    return words;
  }
}
