package phalanx.formats.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.formats.imported.ImportedBar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.theory.Meter;

/**
 * Proposes bars for chords that stand in words: a bar a chord, unless two stand close together and
 * share one, or one has words for two; lines of four, two or eight bars are preferred. The cheapest
 * way to part each line is found exactly. The weights are judged on songs as they are commonly
 * written down.
 */
final class BarProposal {

  /** Words of one bar, signs, where a song has too few lines to tell. */
  private static final double USUAL = 12;

  private static final double SHARED = 0.62;
  private static final double LONG = 0.9;

  /** The last chord of a line often rings on where nothing is sung. */
  private static final double LAST_LONG = 0.25;

  private static final double OFF = 0.3;
  private static final double CLOSE = 0.55;

  /** A chord with so few of a bar’s words hardly has a bar of its own. */
  private static final double TIGHT = 0.3;

  private static final double SQUEEZED = 0.6;

  /** What lines of so many bars cost, from one bar on. */
  private static final double[] LINE = {0.35, 0.1, 0.5, 0, 0.7, 0.3, 0.8, 0.1};

  private static final double OTHER_LINE = 0.7;
  private static final int MOST_BARS = 16;

  /** The lines of a song are mostly of one length. */
  private static final double ALIKE = 0.25;

  private final double bar;

  /** How many bars most lines have; 0 while that is not known. */
  private int usual;

  /** Learns from all lines of a song how many signs a bar has. */
  BarProposal(List<ChordedLine> lines) {
    List<Integer> gaps = new ArrayList<>();
    for (ChordedLine line : lines) {
      if (line.isSung()) {
        List<Integer> all = line.gaps();
        // What follows the last chord of a line is as long as the words happen to be.
        gaps.addAll(all.subList(0, Math.max(0, all.size() - 1)));
      }
    }
    gaps.removeIf(g -> g < 3);
    gaps.sort(null);
    bar = gaps.size() < 3 ? USUAL : Math.max(6, gaps.get(gaps.size() / 2));
    Map<Integer, Integer> lengths = new HashMap<>();
    for (ChordedLine line : lines) {
      if (line.isSung() && line.chords().size() > 1) {
        lengths.merge(bars(halves(line)), 1, Integer::sum);
      }
    }
    int all = lengths.values().stream().mapToInt(n -> n).sum();
    usual =
        lengths.entrySet().stream()
            .filter(e -> e.getValue() > 1 && 2 * e.getValue() >= all)
            .map(Map.Entry::getKey)
            .findFirst()
            .orElse(0);
  }

  private static int bars(List<Integer> halves) {
    return (halves.stream().mapToInt(h -> h).sum() + 1) / 2;
  }

  /** How the chords of a line fall into bars: each number is how many halves of a bar it lasts. */
  List<Integer> halves(ChordedLine line) {
    int n = line.chords().size();
    if (!line.isSung()) {
      return new ArrayList<>(java.util.Collections.nCopies(n, 2));
    }
    double[] gaps = line.gaps().stream().mapToDouble(g -> g).toArray();
    gaps[n - 1] = Math.max(gaps[n - 1], bar);
    double[][] best = new double[n + 1][MOST_BARS + 1];
    int[][] step = new int[n + 1][MOST_BARS + 1];
    for (double[] row : best) {
      Arrays.fill(row, Double.POSITIVE_INFINITY);
    }
    best[0][0] = 0;
    for (int c = 0; c < n; c++) {
      for (int bars = 0; bars < MOST_BARS; bars++) {
        if (best[c][bars] == Double.POSITIVE_INFINITY) {
          continue;
        }
        take(best, step, c, bars, 1, 1, alone(gaps[c], 1), 1);
        if (bars + 2 <= MOST_BARS) {
          boolean last = n > 1 && c == n - 1;
          double held = last ? LAST_LONG : LONG + alone(gaps[c], 2);
          take(best, step, c, bars, 1, 2, held, 2);
        }
        if (c + 1 < n) {
          take(best, step, c, bars, 2, 1, pair(gaps[c], gaps[c + 1]), 3);
        }
      }
    }
    return traced(best, step, n);
  }

  private static void take(
      double[][] best, int[][] step, int c, int bars, int chords, int more, double cost, int how) {
    double sum = best[c][bars] + cost;
    if (sum < best[c + chords][bars + more]) {
      best[c + chords][bars + more] = sum;
      step[c + chords][bars + more] = how;
    }
  }

  private double alone(double gap, int bars) {
    double tight = gap < TIGHT * bar ? SQUEEZED : 0;
    return tight + OFF * Math.abs(log2(Math.max(2, gap) / (bar * bars)));
  }

  /** Two chords in a bar: the first stands close before the second. */
  private double pair(double first, double second) {
    double close = first < CLOSE * bar ? 0 : 1.2;
    return SHARED + close + OFF * Math.abs(log2(Math.max(3, first + Math.min(second, bar)) / bar));
  }

  private static double log2(double x) {
    return Math.log(x) / Math.log(2);
  }

  private List<Integer> traced(double[][] best, int[][] step, int n) {
    int bars = 1;
    double cheapest = Double.POSITIVE_INFINITY;
    for (int b = 1; b <= MOST_BARS; b++) {
      double line = (b <= LINE.length ? LINE[b - 1] : OTHER_LINE) - (b == usual ? ALIKE : 0);
      if (best[n][b] + line < cheapest) {
        cheapest = best[n][b] + line;
        bars = b;
      }
    }
    if (cheapest == Double.POSITIVE_INFINITY) {
      return new ArrayList<>(java.util.Collections.nCopies(n, 2));
    }
    List<Integer> halves = new ArrayList<>();
    int c = n;
    while (c > 0) {
      int how = step[c][bars];
      switch (how) {
        case 1 -> {
          halves.add(0, 2);
          c--;
          bars--;
        }
        case 2 -> {
          halves.add(0, 4);
          c--;
          bars -= 2;
        }
        default -> {
          halves.add(0, 1);
          halves.add(0, 1);
          c -= 2;
          bars--;
        }
      }
    }
    return halves;
  }

  /** So many words before a line's first chord are sung over the chord before, a bar of it. */
  private static final double LEAD = 0.9;

  /**
   * The bars of one line with their words.
   *
   * @param goesOn whether a chord before the line sounds on over its first words
   */
  List<ImportedBar> bars(ChordedLine line, Meter meter, Optional<String> label, boolean goesOn) {
    List<Integer> halves = halves(line);
    List<String> pieces = line.pieces();
    List<ImportedBar> bars = new ArrayList<>();
    int half = half(meter);
    int at = 0;
    ImportedBar now = null;
    List<BarLyrics.Piece> words = new ArrayList<>();
    String lead = line.lead();
    if (goesOn && lead.length() >= LEAD * bar) {
      ImportedBar held = new ImportedBar(meter);
      held.words = BarLyrics.of(lead);
      bars.add(held);
      pieces.set(
          0, pieces.get(0).substring(Math.min(lead.length(), pieces.get(0).length())).strip());
    }
    for (int c = 0; c < halves.size(); c++) {
      if (at % 2 == 0) {
        flush(now, words);
        now = new ImportedBar(meter);
        bars.add(now);
      }
      int tick = at % 2 == 0 ? 0 : half;
      now.chord(new ChordChange(tick, line.chords().get(c).harmony()));
      if (!pieces.get(c).isEmpty()) {
        words.add(new BarLyrics.Piece(tick, pieces.get(c)));
      }
      at += halves.get(c);
      if (halves.get(c) == 4) {
        flush(now, words);
        now = new ImportedBar(meter);
        bars.add(now);
        split(bars);
      }
    }
    flush(now, words);
    if (!bars.isEmpty()) {
      bars.get(0).label = label;
    }
    return bars;
  }

  /** Half of a bar on a beat: in three quarters the second chord comes on the third. */
  static int half(Meter meter) {
    int beats = meter.beats();
    return beats % 2 == 0
        ? meter.barTicks() / 2
        : (beats + 1) / 2 * meter.beatTicks() % meter.barTicks();
  }

  /** The words of a chord of two bars stand half under each. */
  private static void split(List<ImportedBar> bars) {
    ImportedBar first = bars.get(bars.size() - 2);
    ImportedBar second = bars.get(bars.size() - 1);
    String all = first.words.verse(0);
    int middle = all.indexOf(' ', all.length() / 2);
    if (first.words.verses().isEmpty() || first.words.verses().get(0).size() != 1 || middle < 0) {
      return;
    }
    first.words = BarLyrics.of(all.substring(0, middle));
    second.words = BarLyrics.of(all.substring(middle));
  }

  private static void flush(ImportedBar bar, List<BarLyrics.Piece> words) {
    if (bar != null && !words.isEmpty()) {
      bar.words = new BarLyrics(List.of(List.copyOf(words)));
    }
    words.clear();
  }
}
