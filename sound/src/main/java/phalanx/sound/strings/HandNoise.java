package phalanx.sound.strings;

/** Small noises that hands make beside the notes. */
public enum HandNoise {
  /** A nail or pick comes to lie on a ringing string. */
  CONTACT,
  /** A finger moves along a wound string. */
  SQUEAK,
  /** A string leaves a fret. */
  RELEASE
}
