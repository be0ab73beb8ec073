package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.engraving.score.TuneStaff;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Pitch;

/**
 * Where bars and notes are on the staves of a tune, in pixels from the top left of the whole sheet.
 * Pure geometry. As guitarists read it, a staff's lowest line is e3, an octave below a treble
 * clef's.
 */
final class StaffLayout {

  static final double LINE_GAP = 9;

  /** How wide a head is, in gaps. */
  static final double HEAD = 1.18;

  static final double ROW = 150;
  static final double HEADING = 30;

  private static final double LOWEST_STRING = 130;
  private static final double STRING_GAP = 14;
  private static final int PER_ROW = 4;
  private static final double MARGIN = 6;
  private static final double STAFF_TOP = 76;
  private static final double LEAD = 20;

  /** The letter step of e3: octave times seven and the letter's place. */
  private static final int LOWEST_LINE = 3 * 7 + 2;

  private final List<Cell> cells = new ArrayList<>();
  private final double left;
  private final double barWidth;
  private double height = 8;

  /**
   * One bar.
   *
   * @param bar the bar as written
   * @param number its place, from 1
   * @param heading the section's name where one begins
   * @param x its left bar line
   * @param y the top of its row
   */
  record Cell(Bar bar, int number, Optional<String> heading, double x, double y) {}

  StaffLayout(Song song, double width) {
    // Clef, key and metre stand before the first bar of a row.
    TuneStaff staff = new TuneStaff(song.key());
    left = MARGIN + staff.signatureWidth(Optional.of(song.meter())) * LINE_GAP;
    barWidth = (width - left - 4) / PER_ROW;
    int number = 1;
    for (Section section : song.sections()) {
      height += HEADING;
      for (int b = 0; b < section.bars().size(); b++) {
        if (b > 0 && b % PER_ROW == 0) {
          height += ROW;
        }
        Optional<String> heading = b == 0 ? Optional.of(section.label()) : Optional.empty();
        double x = left + b % PER_ROW * barWidth;
        cells.add(new Cell(section.bars().get(b), number++, heading, x, height));
      }
      height += ROW;
    }
  }

  double height() {
    return height;
  }

  /** Whether a bar is the first of its row. */
  boolean beginsRow(Cell cell) {
    return cell.x() < left + 1;
  }

  /** Where the lines of a row begin, before clef and key. */
  double rowStart() {
    return MARGIN;
  }

  double barWidth() {
    return barWidth;
  }

  List<Cell> cells() {
    return cells;
  }

  /** The bars that show between two heights. */
  List<Cell> visible(double top, double bottom) {
    return cells.stream().filter(c -> c.y() + ROW >= top && c.y() - HEADING <= bottom).toList();
  }

  /** The line from the top, 0 to 4. */
  double lineY(Cell cell, int line) {
    return cell.y() + STAFF_TOP + line * LINE_GAP;
  }

  /** Steps of a pitch above the lowest line. */
  static int step(Pitch pitch) {
    return pitch.octave() * 7 + pitch.name().letter().ordinal() - LOWEST_LINE;
  }

  double noteY(Cell cell, int step) {
    return lineY(cell, 4) - step * LINE_GAP / 2;
  }

  double noteX(Cell cell, int tick, int barTicks) {
    return cell.x() + LEAD + (barWidth - LEAD - 10) * tick / barTicks;
  }

  /** The time in a bar that a place across it stands for. */
  int tickAt(Cell cell, double x, int barTicks) {
    double share = (x - cell.x() - LEAD) / (barWidth - LEAD - 10);
    return (int) Math.round(Math.max(0, Math.min(1, share)) * barTicks);
  }

  /** A string's line (0 for ⑥), where frets stand instead of notes. */
  double stringY(Cell cell, int string) {
    return cell.y() + LOWEST_STRING - string * STRING_GAP;
  }

  Optional<Cell> cell(int bar) {
    return cells.stream().filter(c -> c.bar().id() == bar).findFirst();
  }

  /** The bar at a point. */
  Optional<Cell> at(double x, double y) {
    return cells.stream()
        .filter(c -> y >= c.y() && y < c.y() + ROW && x >= c.x() && x < c.x() + barWidth)
        .findFirst();
  }
}
