package phalanx.arrangement.tune;

import java.util.Comparator;
import java.util.Set;
import phalanx.instrument.HarmonicNode;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.TunePitches;
import phalanx.technique.Technique;
import phalanx.theory.Pitch;

/**
 * What sounds where a player asks for a place and touches the string there: at a natural harmonic's
 * place the nearest node's overtone, above a fretted place the overtone of the touch.
 */
final class TouchedPlaces {

  /** A node further from the fret than this is another one. */
  private static final double NEAR = 0.5;

  private TouchedPlaces() {}

  /**
   * The pitch of a note of the tune, counted from the capo, with its string if one is asked for.
   */
  static Want.Sound of(Song song, Want want, Set<Technique> techniques) {
    Want.Sound plain = TunePitches.of(song, want);
    if (!(want instanceof Want.Place place)) {
      return plain;
    }
    int higher = 0;
    for (Technique technique : techniques) {
      if (technique instanceof Technique.TouchedHarmonic t) {
        higher = (int) Math.round(t.higher());
      } else if (technique instanceof Technique.NaturalHarmonic natural) {
        higher = overtone(song, place, natural) - plain.pitch().midi();
      }
    }
    int midi = plain.pitch().midi() + higher;
    return higher == 0
        ? plain
        : new Want.Sound(Pitch.of(midi, TunePitches.name(song, midi)), plain.string());
  }

  /** What sounds at the node nearest to a fret, counted from the capo; the fret's own with none. */
  private static int overtone(Song song, Want.Place place, Technique.NaturalHarmonic natural) {
    return HarmonicNode.all(song.guitar()).stream()
        .filter(n -> n.string() == place.string() && natural.allows(n))
        .filter(n -> Math.abs(n.fret() - place.fret()) <= NEAR)
        .min(Comparator.comparing(HarmonicNode::harmonic))
        .map(n -> n.midi() - song.guitar().capo())
        .orElseGet(() -> song.guitar().shapeMidi(place.string(), place.fret()));
  }
}
