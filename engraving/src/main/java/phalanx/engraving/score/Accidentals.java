package phalanx.engraving.score;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import phalanx.theory.Pitch;

/** Which accidentals stand where: once a bar, and again where the bar before said otherwise. */
final class Accidentals {

  private final KeySignature key;
  private Map<Integer, Integer> before = new HashMap<>();
  private Map<Integer, Integer> now = new HashMap<>();

  Accidentals(KeySignature key) {
    this.key = key;
  }

  /** A bar line: what was said holds no longer, but is still remembered by who reads. */
  void nextBar() {
    before = now;
    now = new HashMap<>();
  }

  /** What stands before the next note, semitones. */
  Optional<Integer> before(Pitch pitch, int position) {
    int usual = key.alteration(pitch.name().letter());
    int wanted = pitch.name().alteration();
    Integer said = now.put(position, wanted);
    boolean courtesy = said == null && before.getOrDefault(position, wanted) != wanted;
    boolean needed = wanted != (said == null ? usual : said);
    return needed || courtesy ? Optional.of(wanted) : Optional.empty();
  }
}
