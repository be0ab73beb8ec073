package phalanx.theory;

import java.util.List;

/**
 * A name that sounding notes may have.
 *
 * @param chord the chord, over the bass that sounds
 * @param missing tones of it that do not sound
 * @param rootless whether the root is among them
 */
public record ChordName(Chord chord, List<Interval> missing, boolean rootless) {

  public ChordName {
    missing = List.copyOf(missing);
  }
}
