package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.engraving.font.Sign;
import phalanx.theory.Key;
import phalanx.theory.Letter;

/** The accidentals behind the clef, and what they make of each letter. */
final class KeySignature {

  private static final List<Letter> SHARPS =
      List.of(Letter.F, Letter.C, Letter.G, Letter.D, Letter.A, Letter.E, Letter.B);

  /** Where they stand in a treble clef, steps above the lowest line (common practice). */
  private static final int[] SHARP_PLACES = {8, 5, 9, 6, 3, 7, 4};

  private static final int[] FLAT_PLACES = {4, 7, 3, 6, 2, 5, 1};
  private static final int MOST = 7;

  private final int fifths;

  KeySignature(Optional<Key> key) {
    fifths = Math.max(-MOST, Math.min(MOST, key.map(Key::fifths).orElse(0)));
  }

  /** Semitones by which a letter is altered. */
  int alteration(Letter letter) {
    int place = SHARPS.indexOf(letter);
    return fifths > 0 && place < fifths ? 1 : fifths < 0 && place >= MOST + fifths ? -1 : 0;
  }

  Sign sign() {
    return fifths > 0 ? Sign.SHARP : Sign.FLAT;
  }

  /** The places of its accidentals in order, steps above the lowest line. */
  List<Integer> places() {
    List<Integer> places = new ArrayList<>();
    for (int k = 0; k < Math.abs(fifths); k++) {
      places.add(fifths > 0 ? SHARP_PLACES[k] : FLAT_PLACES[k]);
    }
    return places;
  }
}
