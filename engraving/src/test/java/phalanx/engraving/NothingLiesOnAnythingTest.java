package phalanx.engraving;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.SheetOptions.Kind;
import phalanx.engraving.SheetOptions.Show;
import phalanx.planning.Arranger;
import phalanx.song.DrawnSongs;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.testing.Draws;

/**
 * Law: on no page do two signs or words lie on each other, and nothing leaves the paper. Copyists
 * ask no less (common practice, no source).
 */
class NothingLiesOnAnythingTest {

  /** What two marks may have in common, points: less than a printer’s dot in a proof. */
  private static final double HAIR = 0.25;

  private static final double STEM_WIDTH = 0.75;
  private static final int DRAWN = 200;

  private static final SheetOptions EVERYTHING =
      new SheetOptions(
          Kind.TAB,
          Paper.A4,
          false,
          SheetOptions.USUAL_STAFF,
          EnumSet.allOf(Show.class),
          java.util.Optional.empty());

  static List<String> faults(EngravedSheet sheet) {
    List<String> faults = new ArrayList<>();
    for (Page page : sheet.pages()) {
      List<Mark> ink =
          page.marks().stream()
              .filter(m -> m.role().isOwnInk())
              .sorted(Comparator.comparingDouble(m -> m.box().left()))
              .toList();
      for (int i = 0; i < ink.size(); i++) {
        Mark.Box a = ink.get(i).box();
        for (int j = i + 1; j < ink.size() && ink.get(j).box().left() < a.right(); j++) {
          if (a.overlaps(ink.get(j).box(), HAIR) && !belong(ink.get(i), ink.get(j))) {
            faults.add("page " + page.number() + ": " + ink.get(i) + " on " + ink.get(j));
          }
        }
      }
      for (Mark mark : page.marks()) {
        Mark.Box box = mark.box();
        if (box.left() < 0
            || box.top() < 0
            || box.right() > page.width()
            || box.bottom() > page.height()) {
          faults.add("page " + page.number() + ": off the paper " + mark);
        }
      }
    }
    return faults;
  }

  /**
   * Beams of one group lie over each other’s rectangles where they slope; waves are one line; a
   * flag begins at the stem, which stands in its head’s edge.
   */
  private static boolean belong(Mark a, Mark b) {
    boolean flagged =
        a.role() == Role.HEAD
            && b.role() == Role.FLAG
            && a.box().right() - b.box().left() < STEM_WIDTH;
    return flagged
        || a.role() == Role.BEAM && b.role() == Role.BEAM
        || a instanceof Mark.Glyph x
            && b instanceof Mark.Glyph y
            && x.sign() == y.sign()
            && a.role() == Role.SIGN;
  }

  private static List<String> check(Song song) {
    Arrangement arrangement = new Arranger().arrange(song);
    List<SheetOptions> sheets = new ArrayList<>();
    for (Kind kind : Kind.values()) {
      sheets.add(EVERYTHING.of(kind));
    }
    sheets.add(SheetOptions.USUAL.on(Paper.LETTER, true).with(Show.NOTATION, false));
    sheets.add(SheetOptions.USUAL.with(Show.TABLATURE, false));
    List<String> all = new ArrayList<>();
    for (SheetOptions options : sheets) {
      for (String fault : faults(Engraver.engrave(arrangement, options))) {
        all.add(song.title() + " " + options.kind() + options.shows().size() + " " + fault);
      }
    }
    return all;
  }

  @Test
  void inSongsOfOurOwn() {
    List<String> all = new ArrayList<>();
    OwnSongs.all().values().forEach(s -> all.addAll(check(s)));
    assertThat(all).isEmpty();
  }

  private static List<Integer> row(int seed) {
    return new Random(seed).ints(120, 0, 10_000).boxed().toList();
  }

  @Test
  void inDrawnSongs() {
    List<String> all = new ArrayList<>();
    for (int seed = 0; seed < DRAWN; seed++) {
      Draws draws = new Draws(row(seed));
      int drawn = seed;
      check(seed % 2 == 0 ? DrawnSongs.withTune(draws) : DrawnSongs.withTechniques(draws))
          .forEach(f -> all.add(drawn + ": " + f));
    }
    assertThat(all).isEmpty();
  }
}
