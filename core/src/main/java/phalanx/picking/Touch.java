package phalanx.picking;

import java.util.Set;
import phalanx.text.Texts;

/** What brushes across the strings. */
public enum Touch {
  /** The flesh of the thumb, round and soft. */
  FLESH(Texts.of("touch.thumb"), Set.of(PickFinger.P)),
  /** The nails of the fingers, bright. */
  NAILS(Texts.of("touch.nails"), Set.of(PickFinger.I, PickFinger.M, PickFinger.A));

  private final String words;
  private final Set<PickFinger> fingers;

  Touch(String words, Set<PickFinger> fingers) {
    this.words = words;
    this.fingers = fingers;
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The fingers it takes. */
  public Set<PickFinger> fingers() {
    return fingers;
  }

  /** The finger whose letter and colour stand for it. */
  public PickFinger letter() {
    return this == FLESH ? PickFinger.P : PickFinger.I;
  }
}
