package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.Texts;
import phalanx.engraving.font.Face;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.Song;

/** Title, composer and arranger, and the guitar it is for. */
public final class Heading {

  private static final double TITLE_SIZE = 21;
  private static final double NAME_SIZE = 10;
  private static final double LINE = 13;

  private Heading() {}

  /** The heading of a song's first page. */
  public static Block of(Song song, double width) {
    List<Mark> marks = new ArrayList<>();
    double y = TITLE_SIZE;
    double size = TITLE_SIZE;
    String title = Face.BOLD.shown(song.title());
    while (size > NAME_SIZE && Face.BOLD.width(title, size) > width) {
      size -= 1;
    }
    title = Lines.cut(title, Face.BOLD, size, width);
    double middle = (width - Face.BOLD.width(title, size)) / 2;
    marks.add(new Mark.Text(Role.TITLE, title, middle, y, Face.BOLD, size));
    y += LINE + 6;
    List<String> left = guitar(song.guitar());
    List<String> right = new ArrayList<>();
    if (!song.credits().composer().isEmpty()) {
      right.add(song.credits().composer());
    }
    if (!song.credits().arranger().isEmpty()) {
      right.add("arr. " + song.credits().arranger());
    }
    for (int k = 0; k < Math.max(left.size(), right.size()); k++) {
      if (k < left.size()) {
        text(marks, left.get(k), 0, y, width / 2 - 6, false);
      }
      if (k < right.size()) {
        text(marks, right.get(k), width, y, width / 2 - 6, true);
      }
      y += LINE;
    }
    return new Block(marks, y - LINE + 4, 0, false);
  }

  private static void text(
      List<Mark> marks, String text, double x, double y, double most, boolean fromRight) {
    String cut = Lines.cut(Face.PLAIN.shown(text), Face.PLAIN, NAME_SIZE, most);
    double at = fromRight ? x - Face.PLAIN.width(cut, NAME_SIZE) : x;
    marks.add(new Mark.Text(Role.TEXT, cut, at, y, Face.PLAIN, NAME_SIZE));
  }

  private static List<String> guitar(Guitar guitar) {
    List<String> lines = new ArrayList<>();
    String tuning =
        guitar.tuning().strings().stream()
            .map(p -> p.name().toString())
            .collect(Collectors.joining(" "));
    boolean standard = guitar.tuning().equals(Tuning.STANDARD);
    lines.add(Texts.of("heading.tuning", tuning, standard ? "" : Texts.of("heading.lowToHigh")));
    if (guitar.capo() > 0) {
      lines.add(Texts.of("heading.capoFretsCountFrom", guitar.capoWords()));
    }
    return lines;
  }
}
