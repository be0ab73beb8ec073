package phalanx.theory;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Names chords from the notes that sound: every chord of a list of qualities that has all the notes
 * and lacks at most its plain fifth, its inner extensions or its root, ranked from the plainest.
 *
 * <p>The weights order names as players would say them (common practice, no source).
 */
public final class ChordNaming {

  /** Qualities from the plainest to the rarest; a name costs its place in this list. */
  private static final String[] QUALITIES = {
    "",
    "m",
    "7",
    "m7",
    "maj7",
    "sus4",
    "sus2",
    "6",
    "m6",
    "dim",
    "aug",
    "5",
    "add9",
    "m7b5",
    "dim7",
    "9",
    "m9",
    "maj9",
    "7sus4",
    "madd9",
    "6/9",
    "m6/9",
    "mMaj7",
    "7b9",
    "7#9",
    "11",
    "m11",
    "13",
    "m13",
    "maj13",
    "9sus4",
    "7b5",
    "7#5",
    "maj7#11",
    "7#11",
    "maj7#5",
    "mMaj9",
    "add11",
    "7b13",
    "13sus4",
    "9#11",
    "9b5",
    "9#5",
    "maj7b5",
    "(b5)",
    "maj11",
    "mMaj11",
    "sus4add9",
    "7sus2",
    "6sus4",
    "6sus2",
    "maj7sus4",
    "maj7sus2",
    "maj9sus4",
    "6/9sus4",
    "sus2#11",
    "7sus4b9"
  };

  private static final double QUALITY_STEP = 0.1;
  private static final double INVERSION = 1.0;
  private static final double MISSING = 0.8;
  private static final double ROOTLESS = 2.5;
  private static final double FOREIGN_BASS = 1.6;

  /** What is left of a quality's cost where fourths and fifths are stacked on the bass. */
  private static final double STACKED = 0.25;

  /** Names beyond these help nobody. */
  private static final int MOST = 5;

  /** Root spellings players use, by pitch class. */
  private static final String[] ROOTS = {
    "C", "C#", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"
  };

  /** Every quality on every root, read once: a naming looks at all of them. */
  private static final Chord[][] CATALOGUE =
      Arrays.stream(ROOTS)
          .map(root -> Arrays.stream(QUALITIES).map(q -> chord(root + q)).toArray(Chord[]::new))
          .toArray(Chord[][]::new);

  private record Scored(ChordName name, double score) {}

  private ChordNaming() {}

  /**
   * The names of sounding notes, the likeliest first, five at most. Notes without a third over a
   * root with its fifth are named from that root first, however rare the quality.
   *
   * @param midi the sounding MIDI notes, lowest first; at least two different pitch classes
   * @return the names; empty if no quality fits
   */
  public static List<ChordName> names(List<Integer> midi) {
    if (midi.isEmpty()) {
      return List.of();
    }
    int bass = Math.floorMod(midi.get(0), 12);
    int sounding = bits(midi.stream());
    List<Scored> found = new ArrayList<>();
    for (int root = 0; root < 12; root++) {
      for (int q = 0; q < QUALITIES.length; q++) {
        Chord chord = CATALOGUE[root][q];
        score(chord, bass, sounding, q * QUALITY_STEP).ifPresent(found::add);
        int upper = bits(midi.stream().skip(1)) & ~(1 << bass);
        boolean foreign = chord.intervalOf(bass).isEmpty();
        if (foreign && Integer.bitCount(upper) >= 3) {
          score(chord, bass, upper, q * QUALITY_STEP + FOREIGN_BASS)
              .filter(s -> s.name().missing().isEmpty())
              .ifPresent(found::add);
        }
      }
    }
    return found.stream()
        .sorted(Comparator.comparingDouble(Scored::score))
        .map(Scored::name)
        .limit(MOST)
        .toList();
  }

  private static int bits(Stream<Integer> midi) {
    return midi.mapToInt(m -> 1 << Math.floorMod(m, 12)).reduce(0, (a, b) -> a | b);
  }

  private static Chord chord(String symbol) {
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }

  private static Optional<Scored> score(Chord chord, int bass, int sounding, double base) {
    int all = bits(chord.notes().stream().map(NoteName::chroma));
    if ((sounding & ~all) != 0) {
      return Optional.empty();
    }
    List<Interval> missing = new ArrayList<>();
    boolean rootless = false;
    for (ChordTone tone : chord.tones()) {
      boolean sounds = (sounding >> chord.root().plus(tone.interval()).chroma() & 1) == 1;
      boolean root = tone.interval().isUnison();
      if (!sounds && tone.essential() && !root) {
        return Optional.empty();
      }
      if (!sounds) {
        missing.add(tone.interval());
        rootless |= root;
      }
    }
    // Two notes without a root and a fifth would be anything.
    if (rootless && Integer.bitCount(sounding) < 3) {
      return Optional.empty();
    }
    boolean onRoot = chord.root().chroma() == bass;
    Chord named =
        onRoot || rootless && chord.intervalOf(bass).isPresent() ? chord : over(chord, bass);
    boolean stacked = onRoot && missing.isEmpty() && isStacked(chord);
    double quality = stacked ? base * STACKED : base;
    double score = quality + (onRoot ? 0 : INVERSION) + MISSING * missing.size();
    return Optional.of(
        new Scored(new ChordName(named, missing, rootless), score + (rootless ? ROOTLESS : 0)));
  }

  private static boolean isStacked(Chord chord) {
    List<Interval> tones = chord.intervals();
    return tones.contains(Interval.of(5, 0)) && tones.stream().noneMatch(i -> i.number() == 3);
  }

  private static Chord over(Chord chord, int bass) {
    NoteName plain = NoteName.parse(ROOTS[bass]).orElseThrow();
    // No player reads E♭♭ for D, whatever the chord would spell.
    return chord.over(
        chord.spelling(bass).filter(n -> Math.abs(n.alteration()) <= 1).orElse(plain));
  }

  /** The qualities names are made of, plainest first. */
  static List<String> qualities() {
    return Arrays.asList(QUALITIES);
  }
}
