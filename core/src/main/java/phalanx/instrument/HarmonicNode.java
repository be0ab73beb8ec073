package phalanx.instrument;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.text.Phrase;
import phalanx.text.Texts;

/**
 * A place where a string that is touched, not pressed, sounds one of its overtones. Physics of the
 * ideal string: touched at the share k/n of its length it sounds n times its open frequency.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param harmonic n, 2 to 7
 * @param node k, 1 to n − 1, without a divisor in common with n
 * @param fret where that is, in frets from the nut or the capo: 12·log2(1 / (1 − k/n))
 * @param midi the nearest tempered note
 * @param cents how far the overtone lies above it, below where negative
 */
public record HarmonicNode(
    int string, int harmonic, int node, double fret, int midi, double cents) {

  /** The highest overtone that speaks well enough to be played. */
  public static final int HIGHEST = 7;

  /** A place this near to a fret is called by it. */
  private static final double NEAR = 0.06;

  /** Every node of all strings, ⑥ to ①, along each string from the nut. */
  public static List<HarmonicNode> all(Guitar guitar) {
    List<HarmonicNode> nodes = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      List<HarmonicNode> along = new ArrayList<>();
      for (int n = 2; n <= HIGHEST; n++) {
        for (int k = 1; k < n; k++) {
          if (isOwn(n, k)) {
            along.add(of(guitar, s, n, k));
          }
        }
      }
      along.sort(Comparator.comparingDouble(HarmonicNode::fret));
      nodes.addAll(along);
    }
    return nodes;
  }

  /** Every place that gives a note. */
  public static List<HarmonicNode> sounding(Guitar guitar, int midi) {
    return all(guitar).stream().filter(n -> n.midi() == midi).toList();
  }

  private static HarmonicNode of(Guitar guitar, int string, int n, int k) {
    double above = semitones(n);
    int nearest = (int) Math.round(above);
    return new HarmonicNode(
        string, n, k, fret(n, k), guitar.midi(string, 0) + nearest, 100 * (above - nearest));
  }

  /**
   * Over which fret a node lies, counted from the nut or the capo.
   *
   * @param n the overtone
   * @param k which of its nodes, from the nut
   */
  public static double fret(int n, int k) {
    return semitones(n / (double) (n - k));
  }

  /** Whether an overtone's node is no lower overtone's. */
  public static boolean isOwn(int n, int k) {
    return greatestDivisor(k, n) == 1;
  }

  /** A fret as players say it, {@code 12}, {@code 3.2}. */
  public static String over(double fret) {
    boolean onFret = Math.abs(fret - Math.rint(fret)) < NEAR;
    return Phrase.of(onFret ? "%.0f" : "%.1f", fret);
  }

  private static double semitones(double ratio) {
    return 12 * Math.log(ratio) / Math.log(2);
  }

  private static int greatestDivisor(int a, int b) {
    return b == 0 ? a : greatestDivisor(b, a % b);
  }

  /** Where it is touched, as players say it: {@code ② over 12}, {@code ⑤ over 3.2}. */
  public String where() {
    return Texts.of("harmonicNode.over", StringSign.of(string), over(fret));
  }

  /**
   * How easily it speaks, 1 for the octave at half the string, less the higher the overtone (common
   * practice, no source).
   */
  public double ease() {
    return 2.0 / harmonic;
  }
}
