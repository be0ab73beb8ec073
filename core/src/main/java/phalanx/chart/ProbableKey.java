package phalanx.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * The key that a chart’s chords speak for: the one to whose scale most of their tones belong, in
 * which they begin and end, whose dominant is there. Proposed, never set: a song may be in another.
 * The weights are judged.
 */
public final class ProbableKey {

  /** Chords that differ before anything is proposed. */
  private static final int FEWEST = 2;

  private static final double TONE = 1;
  private static final double FOREIGN = -4;
  private static final double ENDS = 1.6;
  private static final double BEGINS = 1.6;

  /** A dominant, above all one with a seventh, that goes to the tonic. */
  private static final double CADENCE = 1.2;

  private static final double SEVENTH = 2;

  /** A minor key that never has its dominant is heard as the major one beside it. */
  private static final double MODAL = 2.2;

  /** For each time the tonic chord sounds. */
  private static final double TONIC = 0.5;

  private ProbableKey() {}

  /** The likeliest key; empty while there are too few chords to say. */
  public static Optional<Key> of(Chart chart) {
    List<Chord> chords = new ArrayList<>();
    for (Bar bar : chart.bars()) {
      for (ChordChange change : chart.changes(bar)) {
        if (change.harmony() instanceof Harmony.Sounding s) {
          chords.add(s.chord());
        }
      }
    }
    if (chords.stream().map(Chord::withoutSlash).distinct().count() < FEWEST) {
      return Optional.empty();
    }
    return keys(chords).stream().max(Comparator.comparingDouble(k -> score(k, chords)));
  }

  /** Major and minor on every root of the chart and on the roots around them, as they are spelt. */
  private static List<Key> keys(List<Chord> chords) {
    List<NoteName> tonics = new ArrayList<>();
    for (Chord chord : chords) {
      tonics.add(chord.root());
    }
    for (Chord chord : chords) {
      tonics.add(chord.root().plus(Interval.of(4, 0)).simplified());
      tonics.add(chord.root().plus(Interval.of(5, 0)).simplified());
    }
    List<Key> keys = new ArrayList<>();
    boolean[][] known = new boolean[12][2];
    for (NoteName tonic : tonics) {
      for (Mode mode : List.of(Mode.MAJOR, Mode.MINOR)) {
        int which = mode == Mode.MAJOR ? 0 : 1;
        Key key = new Key(tonic, mode);
        if (!known[tonic.chroma()][which] && Math.abs(key.fifths()) <= 7) {
          known[tonic.chroma()][which] = true;
          keys.add(key);
        }
      }
    }
    return keys;
  }

  private static double score(Key key, List<Chord> chords) {
    double score = 0;
    for (int c = 0; c < chords.size(); c++) {
      Chord chord = chords.get(c);
      score += tones(key, chord) + (isTonic(key, chord) ? TONIC : 0);
      if (c + 1 < chords.size() && isTonic(key, chords.get(c + 1)) && isDominant(key, chord)) {
        score += CADENCE + (isSeventh(chord) ? SEVENTH : 0);
      }
    }
    boolean dominant = chords.stream().anyMatch(c -> isDominant(key, c));
    score -= key.mode() == Mode.MINOR && !dominant ? MODAL : 0;
    score += isTonic(key, chords.get(0)) ? BEGINS : 0;
    return score + (isTonic(key, chords.get(chords.size() - 1)) ? ENDS : 0);
  }

  /** On average over the tones of a chord; in minor the leading note of the dominant belongs. */
  private static double tones(Key key, Chord chord) {
    double sum = 0;
    List<NoteName> tones = chord.notes();
    for (NoteName tone : tones) {
      boolean leading =
          key.mode() == Mode.MINOR
              && isDominant(key, chord)
              && Math.floorMod(tone.chroma() - key.tonic().chroma(), 12) == 11;
      sum += key.has(tone) || leading ? TONE : FOREIGN;
    }
    return sum / tones.size();
  }

  private static boolean isTonic(Key key, Chord chord) {
    boolean minor = chord.intervals().contains(Interval.of(3, -1));
    return chord.root().chroma() == key.tonic().chroma() && minor == (key.mode() == Mode.MINOR);
  }

  private static boolean isDominant(Key key, Chord chord) {
    return Math.floorMod(chord.root().chroma() - key.tonic().chroma(), 12) == 7
        && !chord.intervals().contains(Interval.of(3, -1));
  }

  private static boolean isSeventh(Chord chord) {
    return chord.intervals().contains(Interval.of(7, -1));
  }
}
