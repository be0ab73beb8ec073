package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.font.Face;
import phalanx.song.BarLyrics;
import phalanx.song.Song;

/** The words of a song as they stand under the bars of one system. */
final class WordLines {

  private WordLines() {}

  /**
   * Words with the room that they have.
   *
   * @param verse which time through, from 0
   * @param x where they begin
   * @param right where the next of the same verse begin, or the system ends
   */
  record Piece(int verse, double x, double right, String text) {

    /** The words in lines no wider than their room; a word alone may be wider. */
    List<String> lines(double size) {
      List<String> lines = new ArrayList<>();
      StringBuilder line = new StringBuilder();
      for (String word : Face.PLAIN.shown(text).split(" +")) {
        String longer = line.isEmpty() ? word : line + " " + word;
        if (!line.isEmpty() && Face.PLAIN.width(longer, size) > right - x - 0.4) {
          lines.add(line.toString());
          line.setLength(0);
          longer = word;
        }
        line.setLength(0);
        line.append(longer);
      }
      lines.add(line.toString());
      return lines;
    }
  }

  /** Everything under some bars, verse by verse. */
  static List<Piece> pieces(Song song, List<Placed> bars) {
    List<Piece> pieces = new ArrayList<>();
    for (int verse = 0; verse < BarLyrics.MOST_VERSES; verse++) {
      List<Piece> row = new ArrayList<>();
      for (Placed bar : bars) {
        List<List<BarLyrics.Piece>> verses =
            song.words().at(bar.written().bar().written()).verses();
        for (BarLyrics.Piece piece :
            verse < verses.size() ? verses.get(verse) : List.<BarLyrics.Piece>of()) {
          row.add(new Piece(verse, x(bar, piece.tick()), 0, piece.text()));
        }
      }
      double end = bars.get(bars.size() - 1).right();
      for (int p = 0; p < row.size(); p++) {
        Piece here = row.get(p);
        double right = p + 1 < row.size() ? row.get(p + 1).x() : end;
        pieces.add(new Piece(verse, here.x(), right, here.text()));
      }
    }
    return pieces;
  }

  private static double x(Placed bar, int tick) {
    int at = bar.written().bar().startTick() + tick;
    Integer column = bar.columns().floorKey(at);
    return column == null ? bar.left() + 0.8 : bar.x(column);
  }
}
