package phalanx.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * Proposes a key and chords for notes that come without any. The key is the one whose profile
 * correlates best with how long each pitch class sounds (Krumhansl, Cognitive Foundations of
 * Musical Pitch, 1990, with the profiles of Krumhansl and Kessler 1982). A chord is scored by what
 * of it sounds, less what sounds beside it and what of it is missing (Pardo and Birmingham,
 * “Algorithms for chordal analysis”, Computer Music Journal 26:2, 2002); chords of the key and a
 * root in the bass are preferred, and of two halves of a bar with one chord each the bar is parted
 * only where that pays. The weights beside the published score are judged.
 */
public final class ChordProposal {

  /** How well each pitch class fits a major key on C, and a minor one (Krumhansl and Kessler). */
  private static final double[] MAJOR = {
    6.35, 2.23, 3.48, 2.33, 4.38, 4.09, 2.52, 5.19, 2.39, 3.66, 2.29, 2.88
  };

  private static final double[] MINOR = {
    6.33, 2.68, 3.52, 5.38, 2.60, 3.53, 2.54, 4.75, 3.98, 2.69, 3.34, 3.17
  };

  /** The kinds of chords that are proposed, with their semitones above the root. */
  private static final String[] SUFFIXES = {"", "m", "7", "dim", "m7", "maj7", "m7b5"};

  private static final int[][] TONES = {
    {0, 4, 7}, {0, 3, 7}, {0, 4, 7, 10}, {0, 3, 6}, {0, 3, 7, 10}, {0, 4, 7, 11}, {0, 3, 6, 10}
  };

  /** What a kind costs against a plain triad, in shares of the time that sounds. */
  private static final double[] RARITY = {0, 0, 0.05, 0.2, 0.12, 0.12, 0.25};

  private static final double IN_KEY = 0.22;
  private static final double TONIC = 0.08;
  private static final double BASS = 0.30;
  private static final double MISSING = 0.16;
  private static final double FOREIGN = 1.0;
  private static final double STAYS = 0.12;

  /** A bar is parted only where its halves score this much better. */
  private static final double PARTING = 0.22;

  private final Key key;
  private final Chord[][] chords = new Chord[12][TONES.length];
  private final boolean[][] inKey = new boolean[12][TONES.length];
  private Optional<Chord> last = Optional.empty();

  /** A note: when, from the start of its bar, how long, how high. */
  public record Tone(int tick, int lengthTicks, int midi) {}

  /** Chords in a key. */
  public ChordProposal(Key key) {
    this.key = key;
    for (int root = 0; root < 12; root++) {
      for (int kind = 0; kind < TONES.length; kind++) {
        chords[root][kind] = chord(root, kind);
        inKey[root][kind] = isInKey(root, kind);
      }
    }
  }

  /** Whether all tones of a chord belong to the key; in minor the dominant has its leading note. */
  private boolean isInKey(int root, int kind) {
    boolean all = true;
    for (int above : TONES[kind]) {
      int chroma = Math.floorMod(root + above, 12);
      boolean leading =
          key.mode() == Mode.MINOR
              && Math.floorMod(chroma - key.tonic().chroma(), 12) == 11
              && Math.floorMod(root - key.tonic().chroma(), 12) == 7;
      all &= key.degreeOf(chroma).isPresent() || leading;
    }
    return all;
  }

  /** The key that notes speak for; C major where nothing sounds. */
  public static Key key(List<Tone> tones) {
    double[] sounds = new double[12];
    tones.forEach(t -> sounds[Math.floorMod(t.midi(), 12)] += t.lengthTicks());
    double best = Double.NEGATIVE_INFINITY;
    Key found = new Key(name(0, false), Mode.MAJOR);
    for (int tonic = 0; tonic < 12; tonic++) {
      for (Mode mode : List.of(Mode.MAJOR, Mode.MINOR)) {
        double fit = correlation(sounds, mode == Mode.MAJOR ? MAJOR : MINOR, tonic);
        if (fit > best + 1e-9) {
          best = fit;
          found = named(tonic, mode);
        }
      }
    }
    return found;
  }

  /** The spelling of a key with the fewest accidentals. */
  private static Key named(int tonic, Mode mode) {
    Key sharp = new Key(name(tonic, false), mode);
    Key flat = new Key(name(tonic, true), mode);
    return Math.abs(flat.fifths()) < Math.abs(sharp.fifths()) ? flat : sharp;
  }

  private static NoteName name(int chroma, boolean flats) {
    String[] names =
        (flats ? "C Db D Eb E F Gb G Ab A Bb B" : "C C# D D# E F F# G G# A A# B").split(" ");
    return NoteName.parse(names[chroma]).orElseThrow();
  }

  private static double correlation(double[] sounds, double[] profile, int tonic) {
    double meanS = 0;
    double meanP = 0;
    for (int c = 0; c < 12; c++) {
      meanS += sounds[c] / 12;
      meanP += profile[c] / 12;
    }
    double sp = 0;
    double ss = 0;
    double pp = 0;
    for (int c = 0; c < 12; c++) {
      double s = sounds[c] - meanS;
      double p = profile[Math.floorMod(c - tonic, 12)] - meanP;
      sp += s * p;
      ss += s * s;
      pp += p * p;
    }
    return ss == 0 ? 0 : sp / Math.sqrt(ss * pp);
  }

  /**
   * The chords of the next bar; none where nothing sounds in it or the chord before goes on.
   *
   * @param tones its notes
   * @param barTicks how long it is
   */
  public List<ChordChange> bar(List<Tone> tones, int barTicks) {
    if (tones.isEmpty()) {
      return List.of();
    }
    Scored whole = best(tones, 0, barTicks);
    int half = barTicks / 2;
    List<ChordChange> chords = new ArrayList<>();
    if (barTicks % 2 == 0) {
      Scored first = best(tones, 0, half);
      Scored second = best(tones, half, barTicks);
      boolean parts =
          !first.chord().equals(second.chord())
              && first.share() + second.share() > 2 * (whole.share() + PARTING);
      if (parts) {
        add(chords, 0, first.chord());
        add(chords, half, second.chord());
        return chords;
      }
    }
    add(chords, 0, whole.chord());
    return chords;
  }

  private void add(List<ChordChange> chords, int tick, Chord chord) {
    if (last.filter(chord::equals).isEmpty()) {
      chords.add(new ChordChange(tick, new Harmony.Sounding(chord)));
      last = Optional.of(chord);
    }
  }

  /** A chord and its score, in shares of the time that sounds. */
  private record Scored(Chord chord, double share) {}

  private Scored best(List<Tone> tones, int from, int to) {
    double[] sounds = new double[12];
    double all = 0;
    int lowest = Integer.MAX_VALUE;
    int lowestTick = Integer.MAX_VALUE;
    for (Tone tone : tones) {
      int start = Math.max(from, tone.tick());
      int end = Math.min(to, tone.tick() + tone.lengthTicks());
      if (end > start) {
        // What is struck on the first beat says more than what passes.
        double weight = (end - start) * (tone.tick() == from ? 1.4 : 1);
        sounds[Math.floorMod(tone.midi(), 12)] += weight;
        all += weight;
        if (tone.midi() < lowest - 2 || tone.midi() <= lowest && tone.tick() < lowestTick) {
          lowest = tone.midi();
          lowestTick = tone.tick();
        }
      }
    }
    if (all == 0) {
      return new Scored(
          last.orElse(chords[key.tonic().chroma()][key.mode() == Mode.MINOR ? 1 : 0]), 0);
    }
    Scored best = null;
    for (int root = 0; root < 12; root++) {
      for (int kind = 0; kind < TONES.length; kind++) {
        double share = share(sounds, all, root, kind, Math.floorMod(lowest, 12));
        if (best == null || share > best.share()) {
          Chord chord = chords[root][kind];
          double stays = last.filter(chord::equals).isPresent() ? STAYS : 0;
          if (best == null || share + stays > best.share()) {
            best = new Scored(chord, share + stays);
          }
        }
      }
    }
    return best;
  }

  private double share(double[] sounds, double all, int root, int kind, int bass) {
    double within = 0;
    double missing = 0;
    for (int above : TONES[kind]) {
      int chroma = Math.floorMod(root + above, 12);
      within += sounds[chroma];
      missing += sounds[chroma] == 0 ? MISSING : 0;
    }
    double share = within / all - FOREIGN * (all - within) / all - missing - RARITY[kind];
    share += inKey[root][kind] ? IN_KEY : 0;
    share += root == key.tonic().chroma() ? TONIC : 0;
    return share + (root == bass ? BASS : 0);
  }

  private Chord chord(int root, int kind) {
    String symbol = key.nameOf(root).simplified().ascii() + SUFFIXES[kind];
    return ChordReader.read(symbol) instanceof ChordReading.Read read
        ? read.chord()
        : ((ChordReading.Read) ChordReader.read("C")).chord();
  }
}
