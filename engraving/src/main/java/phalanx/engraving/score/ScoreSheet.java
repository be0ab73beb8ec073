package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Mark;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.sheet.Block;
import phalanx.engraving.sheet.Heading;
import phalanx.engraving.sheet.Paging;
import phalanx.notation.WrittenForm;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.theory.Meter;

/** A song in notation and tablature, system by system. */
public final class ScoreSheet {

  /** A staff has four spaces. */
  private static final double SPACES = 4;

  /** Between systems, staff spaces. */
  private static final double GAP = 4.5;

  /** Bars are set as wide as this stretch of their springs where there is a choice. */
  private static final double IDEAL = 1.35;

  private static final int MOST_BARS = 8;

  private final Arrangement arrangement;
  private final SheetOptions options;
  private final KeySignature key;
  private final double space;
  private final double width;

  private ScoreSheet(Arrangement arrangement, SheetOptions options) {
    this.arrangement = arrangement;
    this.options = options;
    key = new KeySignature(arrangement.song().key());
    space = options.staff() / SPACES;
    width = Paging.width(options) / space;
  }

  /** The pages of an arrangement. */
  public static EngravedSheet of(Arrangement arrangement, SheetOptions options) {
    ScoreSheet sheet = new ScoreSheet(arrangement, options);
    Block heading = Heading.of(arrangement.song(), Paging.width(options));
    return Paging.pages(arrangement.song().title(), heading, sheet.systems(), options);
  }

  private List<Block> systems() {
    List<WrittenBar> shown = shown();
    BarContent.Reader reader = new BarContent.Reader(arrangement, key);
    List<Spacing> spacings = new ArrayList<>();
    for (int b = 0; b < shown.size(); b++) {
      boolean turns = b > 0 && !shown.get(b).bar().meter().equals(shown.get(b - 1).bar().meter());
      spacings.add(new Spacing(reader.read(shown.get(b)), options, turns));
    }
    List<Block> blocks = new ArrayList<>();
    Meter last = null;
    int from = 0;
    while (from < shown.size()) {
      int end = from + 1;
      while (end < shown.size() && !shown.get(end).opens()) {
        end++;
      }
      for (List<Spacing> line : lines(spacings.subList(from, end))) {
        boolean ends = line.get(line.size() - 1).bar() == spacings.get(spacings.size() - 1).bar();
        Meter now = line.get(0).bar().written().bar().meter();
        Optional<Meter> metre = now.equals(last) ? Optional.empty() : Optional.of(now);
        last = line.get(line.size() - 1).bar().written().bar().meter();
        blocks.add(system(line, metre, ends));
      }
      from = end;
    }
    return blocks;
  }

  /** The bars that are asked for, by their place on the page. */
  private List<WrittenBar> shown() {
    List<WrittenBar> all = WrittenForm.of(arrangement).bars();
    return options
        .bars()
        .map(
            range ->
                all.stream()
                    .filter(b -> b.number() >= range.from() && b.number() <= range.to())
                    .toList())
        .orElse(all);
  }

  /** Parts the bars of a section into lines, so that all are about as widely set. */
  private List<List<Spacing>> lines(List<Spacing> bars) {
    double room = width - SystemDrawing.music(options, key, Optional.empty());
    int n = bars.size();
    double[] natural = new double[n];
    for (int b = 0; b < n; b++) {
      natural[b] = bars.get(b).width(1);
    }
    double[] best = new double[n + 1];
    int[] from = new int[n + 1];
    Arrays.fill(best, Double.POSITIVE_INFINITY);
    best[0] = 0;
    for (int end = 1; end <= n; end++) {
      double used = 0;
      for (int start = end - 1; start >= 0 && end - start <= MOST_BARS; start--) {
        used += natural[start];
        if (used > room && end - start > 1) {
          break;
        }
        double off = room / used / IDEAL - 1;
        boolean odd = (end - start) % 2 == 1 && n % 2 == 0;
        double loose = end == n ? Math.max(0, off) * 0.3 : off;
        double cost = loose * loose + 0.05 + (odd ? 0.08 : 0);
        if (best[start] + cost < best[end]) {
          best[end] = best[start] + cost;
          from[end] = start;
        }
      }
    }
    List<List<Spacing>> lines = new ArrayList<>();
    for (int end = n; end > 0; end = from[end]) {
      List<Spacing> line = new ArrayList<>(bars.subList(from[end], end));
      line.set(0, line.get(0).first());
      lines.add(0, line);
    }
    return lines;
  }

  private Block system(List<Spacing> line, Optional<Meter> metre, boolean last) {
    double room = width - SystemDrawing.music(options, key, metre);
    double natural = SystemDrawing.natural(line, 1);
    // A short last line is set as the others are, not torn over the whole width.
    boolean fills = natural * 2.1 > room;
    Drawing drawing =
        new SystemDrawing(arrangement, options, key, line, width, metre, fills, last).draw();
    Mark.Box box = drawing.box();
    List<Mark> marks = new ArrayList<>();
    drawing.marks().forEach(m -> marks.add(m.placed(0, -box.top() * space, space)));
    boolean begins = line.get(0).bar().written().opens();
    return new Block(marks, (box.bottom() - box.top()) * space, GAP * space, begins);
  }
}
