package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Mark;
import phalanx.engraving.Page;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.font.Face;
import phalanx.text.Phrase;

/**
 * Sets blocks on pages: as few pages as they need, about equally full, ending before a section
 * where that costs little; what room is left is shared between them.
 */
public final class Paging {

  /** Margins on all sides, points: half an inch. */
  public static final double MARGIN = 40;

  private static final double FOOT = 22;
  private static final double NUMBER_SIZE = 9;

  /** Blocks are drawn apart by at most this much of their own gap. */
  private static final double WIDEST_GAP = 2.2;

  /** What it costs, in squared shares of a page, to end a page inside a section. */
  private static final double INSIDE = 0.04;

  private Paging() {}

  /** How wide the part of a page is that is printed on. */
  public static double width(SheetOptions options) {
    return options.paper().width(options.landscape()) - 2 * MARGIN;
  }

  /** Pages of blocks under a heading. */
  public static EngravedSheet pages(
      String title, Block heading, List<Block> blocks, SheetOptions options) {
    double height = options.paper().height(options.landscape()) - 2 * MARGIN - FOOT;
    int[] starts = starts(heading, blocks, height);
    List<Page> pages = new ArrayList<>();
    for (int p = 0; p < starts.length; p++) {
      int to = p + 1 < starts.length ? starts[p + 1] : blocks.size();
      List<Block> here = new ArrayList<>(blocks.subList(starts[p], to));
      if (p == 0) {
        here.add(0, heading);
      }
      pages.add(page(title, here, height, p + 1, starts.length, options));
    }
    return new EngravedSheet(title, pages);
  }

  /** Where pages begin: the cheapest way to part the blocks. */
  private static int[] starts(Block heading, List<Block> blocks, double height) {
    int n = blocks.size();
    double[] best = new double[n + 1];
    int[] from = new int[n + 1];
    java.util.Arrays.fill(best, Double.POSITIVE_INFINITY);
    best[0] = 0;
    for (int end = 1; end <= n; end++) {
      double used = 0;
      for (int start = end - 1; start >= 0; start--) {
        used += blocks.get(start).height() + (start > 0 ? blocks.get(start).gap() : 0);
        double whole = start == 0 ? used + heading.height() + blocks.get(0).gap() : used;
        if (whole > height && end - start > 1) {
          break;
        }
        double left = Math.max(0, 1 - whole / height);
        double cost = 1 + (end == n ? 0.3 * left * left : left * left);
        cost += end < n && !blocks.get(end).begins() ? INSIDE : 0;
        if (best[start] + cost < best[end]) {
          best[end] = best[start] + cost;
          from[end] = start;
        }
      }
    }
    List<Integer> starts = new ArrayList<>();
    for (int end = n; end > 0; end = from[end]) {
      starts.add(0, from[end]);
    }
    return starts.isEmpty() ? new int[] {0} : starts.stream().mapToInt(s -> s).toArray();
  }

  private static Page page(
      String title, List<Block> blocks, double height, int number, int count, SheetOptions o) {
    double used = blocks.stream().mapToDouble(Block::height).sum();
    double gaps = blocks.stream().skip(1).mapToDouble(Block::gap).sum();
    double wide = gaps > 0 ? Math.max(1, Math.min(WIDEST_GAP, (height - used) / gaps)) : 1;
    // A page that is far from full is not drawn apart: the eye takes the gap for an end.
    wide = used + gaps < 0.6 * height ? Math.min(wide, 1.25) : wide;
    List<Mark> marks = new ArrayList<>();
    double y = MARGIN;
    for (int b = 0; b < blocks.size(); b++) {
      Block block = blocks.get(b);
      y += b == 0 ? 0 : block.gap() * wide;
      double top = y;
      block.marks().forEach(m -> marks.add(m.placed(MARGIN, top, 1)));
      y += block.height();
    }
    double width = o.paper().width(o.landscape());
    double foot = o.paper().height(o.landscape()) - MARGIN + 4;
    if (count > 1) {
      String text = Phrase.of("%d / %d", number, count);
      double w = Face.PLAIN.width(text, NUMBER_SIZE);
      marks.add(new Mark.Text(Role.TEXT, text, width - MARGIN - w, foot, Face.PLAIN, NUMBER_SIZE));
    }
    if (number > 1) {
      String cut = Lines.cut(Face.PLAIN.shown(title), Face.PLAIN, NUMBER_SIZE, width / 2);
      marks.add(new Mark.Text(Role.TEXT, cut, MARGIN, foot, Face.PLAIN, NUMBER_SIZE));
    }
    return new Page(number, width, o.paper().height(o.landscape()), marks);
  }
}
