package phalanx.sound.strings;

/** What a click of the metronome stands for. */
public enum Beat {
  FIRST,
  BEAT,
  BETWEEN
}
