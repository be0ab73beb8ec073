package phalanx.picking;

import phalanx.text.Texts;

/** The way the thumb takes over the bass strings while a chord lasts. */
public enum ThumbRoute {
  /** Root and one other bass string in turn: 5-4-5-4. */
  ALTERNATING("alternating", Texts.of("thumbRoute.alternating")),
  /** Root, the string between, a third bass string, the string between: 5-4-6-4. */
  THREE_VOICES("three voices", Texts.of("thumbRoute.threeVoices")),
  /** Always the chord's bass string. */
  STEADY("steady", Texts.of("thumbRoute.steady")),
  /** One open bass string, that of the key's tonic, under changing chords. */
  PEDAL("pedal", Texts.of("thumbRoute.pedal")),
  /**
   * Root and one other string in turn; where a phrase begins on another root, the last strokes
   * before it lead there by steps.
   */
  WALKING("walking", Texts.of("thumbRoute.walking")),
  /** The same before every other root. */
  WALKING_ALWAYS("walking always", Texts.of("thumbRoute.walkingAlways"));

  private final String written;
  private final String words;

  ThumbRoute(String written, String words) {
    this.written = written;
    this.words = words;
  }

  /** Its word in a file. */
  public String written() {
    return written;
  }

  /** What a player calls it. */
  public String words() {
    return words;
  }
}
