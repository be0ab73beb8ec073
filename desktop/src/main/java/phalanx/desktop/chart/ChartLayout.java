package phalanx.desktop.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Song;

/**
 * Where the bars of a lead sheet are, in pixels from the top left of the whole sheet. Pure
 * geometry: rows of bars below each other, a section's name above its first row.
 */
public final class ChartLayout {

  static final double ROW = 84;
  static final double ROW_GAP = 18;
  static final double HEADING = 44;
  static final double TOP = 6;

  /** Room above a row in which the arcs of its phrases are. */
  static final double PHRASES = 14;

  /** So near to the beginning of a phrase it is taken hold of. */
  private static final double HANDLE = 14;

  /** A line of words under the bars. */
  static final double WORDS = 16;

  /** Verses that are shown; a song with more is read on paper. */
  private static final int MOST_VERSES = 3;

  /** Room beside the first bar line of a row. */
  static final double MARGIN = 2;

  /** From a bar line to the first chord, past a repeat sign. */
  private static final double INDENT = 20;

  private static final double USUAL_BAR = 200;

  private final double barWidth;
  private final int perRow;
  private final List<Row> rows = new ArrayList<>();
  private final Map<Integer, Cell> cells = new HashMap<>();
  private double height = TOP;

  /**
   * One bar on the sheet.
   *
   * @param bar the bar
   * @param number its number: from 1, or from 0 where a pick-up comes first
   * @param x left edge
   * @param y top edge
   * @param height its height with the words of its row
   */
  record Cell(Bar bar, int number, double x, double y, double height) {}

  /**
   * One row of bars.
   *
   * @param y its top
   * @param heading the section that begins with it, drawn above
   * @param cells its bars
   * @param height its height with the words under its bars
   */
  record Row(double y, Optional<Section> heading, List<Cell> cells, double height) {}

  /** Lays a song's chart out in a width, px. */
  public ChartLayout(Song song, double width) {
    perRow = (int) Math.max(1, Math.min(8, (width - 2 * MARGIN) / USUAL_BAR));
    barWidth = (width - 2 * MARGIN) / perRow;
    int number = song.firstBarNumber();
    for (Section section : song.sections()) {
      height += HEADING;
      for (int from = 0; from < section.bars().size(); from += perRow) {
        int to = Math.min(section.bars().size(), from + perRow);
        List<Cell> row = new ArrayList<>();
        double high = ROW + words(song, section.bars().subList(from, to)) * WORDS;
        for (Bar bar : section.bars().subList(from, to)) {
          Cell cell = new Cell(bar, number++, MARGIN + row.size() * barWidth, height, high);
          row.add(cell);
          cells.put(bar.id(), cell);
        }
        rows.add(new Row(height, from == 0 ? Optional.of(section) : Optional.empty(), row, high));
        height += high + ROW_GAP;
      }
    }
  }

  /** How many verses stand under some bars. */
  private static int words(Song song, List<Bar> bars) {
    int most = bars.stream().mapToInt(b -> song.words().at(b.id()).verses().size()).max().orElse(0);
    return Math.min(MOST_VERSES, most);
  }

  /** Height of the whole sheet, px. */
  public double height() {
    return height;
  }

  double barWidth() {
    return barWidth;
  }

  /** Bars in a full row. */
  public int perRow() {
    return perRow;
  }

  /** Where a bar is, by its identity. */
  Optional<Cell> cell(int bar) {
    return Optional.ofNullable(cells.get(bar));
  }

  /** The rows that show between two heights; found without looking at the others. */
  List<Row> visible(double top, double bottom) {
    int first = firstEndingBelow(top);
    int last = first;
    while (last < rows.size() && rows.get(last).y() - HEADING < bottom) {
      last++;
    }
    return rows.subList(first, last);
  }

  private int firstEndingBelow(double y) {
    int low = 0;
    int high = rows.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (rows.get(middle).y() + rows.get(middle).height() < y) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The bar at a point of the sheet. */
  Optional<Integer> barAt(double x, double y) {
    return visible(y, y).stream()
        .flatMap(r -> r.cells().stream())
        .filter(c -> y >= c.y() && y <= c.y() + c.height() && x >= c.x() && x < c.x() + barWidth)
        .map(c -> c.bar().id())
        .findFirst();
  }

  /** The bar whose beginning is nearest to a point just above a row, where phrases are drawn. */
  Optional<Integer> beginningAt(double x, double y) {
    return visible(y, y + ROW_GAP).stream()
        .flatMap(r -> r.cells().stream())
        .filter(c -> y >= c.y() - PHRASES && y < c.y())
        .filter(c -> Math.abs(x - c.x()) <= HANDLE)
        .map(c -> c.bar().id())
        .findFirst();
  }

  /** The bar whose beginning is nearest to a point in its row or just above. */
  Optional<Integer> nearest(double x, double y) {
    return visible(y, y + ROW_GAP).stream()
        .flatMap(r -> r.cells().stream())
        .filter(c -> y >= c.y() - PHRASES && y <= c.y() + c.height())
        .min(Comparator.comparingDouble(c -> Math.abs(x - c.x())))
        .map(c -> c.bar().id());
  }

  /** The section whose heading is at a point of the sheet. */
  Optional<Section> headingAt(double y) {
    return visible(y, y + HEADING).stream()
        .filter(r -> y < r.y() && y >= r.y() - HEADING)
        .flatMap(r -> r.heading().stream())
        .findFirst();
  }

  /** Where in its cell a tick of a bar is. */
  double x(Cell cell, int tick, int barTicks) {
    return cell.x() + INDENT + (barWidth - INDENT - 8) * tick / barTicks;
  }
}
