package phalanx.instrument;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.theory.NoteName;

/**
 * A chord over all six strings to check a tuning by: a triad with as few fingers as there is one,
 * rather with its root lowest, rather major, near the nut.
 *
 * @param root its root
 * @param minor whether its third is minor
 * @param frets from ⑥ to ①, 0 open
 */
public record TuningCheck(NoteName root, boolean minor, List<Integer> frets) {

  private static final int HIGHEST_FRET = 4;
  private static final int FINGERS = 3;
  private static final int OCTAVE = 12;
  private static final int MINOR_THIRD = 3;
  private static final int FIFTH = 7;
  private static final List<String> ROOTS =
      List.of("C", "C#", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B");

  public TuningCheck {
    frets = List.copyOf(frets);
  }

  /** The chord for the open strings of a tuning; empty where three fingers reach none. */
  public static Optional<TuningCheck> of(Tuning tuning) {
    List<TuningCheck> all = new ArrayList<>();
    press(tuning, new int[Tuning.STRINGS], 0, FINGERS, all);
    return all.stream().min(easiest(tuning));
  }

  private static Comparator<TuningCheck> easiest(Tuning tuning) {
    return Comparator.<TuningCheck>comparingLong(c -> c.frets.stream().filter(f -> f > 0).count())
        .thenComparing(c -> chroma(tuning, 0, c.frets.get(0)) != c.root.chroma())
        .thenComparing(TuningCheck::minor)
        .thenComparing(c -> c.frets.stream().mapToInt(f -> f).sum())
        .thenComparing(c -> c.frets.toString());
  }

  private static int chroma(Tuning tuning, int string, int fret) {
    return Math.floorMod(tuning.midi(string) + fret, OCTAVE);
  }

  /** Every way to press so many strings, from one on. */
  private static void press(
      Tuning tuning, int[] frets, int string, int fingers, List<TuningCheck> found) {
    if (string == frets.length) {
      triad(tuning, frets).ifPresent(found::add);
      return;
    }
    for (int fret = 0; fret <= (fingers > 0 ? HIGHEST_FRET : 0); fret++) {
      frets[string] = fret;
      press(tuning, frets, string + 1, fret > 0 ? fingers - 1 : fingers, found);
    }
  }

  private static Optional<TuningCheck> triad(Tuning tuning, int[] frets) {
    int sounds = 0;
    for (int s = 0; s < frets.length; s++) {
      sounds |= 1 << chroma(tuning, s, frets[s]);
    }
    if (Integer.bitCount(sounds) != 3) {
      return Optional.empty();
    }
    int all = sounds;
    List<Integer> row = Arrays.stream(frets).boxed().toList();
    return IntStream.range(0, 2 * OCTAVE)
        .filter(n -> all == tones(n % OCTAVE, n >= OCTAVE))
        .mapToObj(
            n ->
                new TuningCheck(
                    NoteName.parse(ROOTS.get(n % OCTAVE)).orElseThrow(), n >= OCTAVE, row))
        .findFirst();
  }

  private static int tones(int root, boolean minor) {
    int third = root + (minor ? MINOR_THIRD : MINOR_THIRD + 1);
    return 1 << root | 1 << third % OCTAVE | 1 << (root + FIFTH) % OCTAVE;
  }
}
