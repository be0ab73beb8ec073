package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Sign;
import phalanx.notation.Rhythm;
import phalanx.song.Timeline.PlayedBar;

/** The rhythm under a tablature that stands alone: a stem for everything struck together. */
final class TabStems {

  private static final double FROM = 0.9;
  private static final double TO = 3.6;

  private final Placed bar;
  private final Drawing all;
  private final double floor = Measures.TAB_HEIGHT;

  TabStems(Placed bar, Drawing all) {
    this.bar = bar;
    this.all = all;
  }

  void draw() {
    PlayedBar played = bar.written().bar();
    TreeSet<Integer> ticks = new TreeSet<>();
    bar.content().notes().stream()
        .filter(n -> !bar.content().graces().containsKey(n))
        .forEach(n -> ticks.add(n.tick()));
    List<Rhythm.Span> spans = new ArrayList<>();
    for (int tick : ticks) {
      Integer next = ticks.higher(tick);
      spans.add(
          new Rhythm.Span(
              played.inMetre(tick), played.inMetre(next == null ? played.endTick() : next)));
    }
    List<Integer> struck = List.copyOf(ticks);
    List<Rhythm.Piece> open = new ArrayList<>();
    int beat = -1;
    for (Rhythm.Piece piece : Rhythm.of(spans, played.meter())) {
      if (!piece.first()) {
        continue;
      }
      int now = played.inMetre(struck.get(piece.span())) / played.meter().beatTicks();
      boolean beams = piece.value().flags() > 0;
      if (!open.isEmpty() && (!beams || now != beat)) {
        group(open, struck);
        open.clear();
      }
      if (beams) {
        open.add(piece);
        beat = now;
      } else {
        group(List.of(piece), struck);
      }
    }
    if (!open.isEmpty()) {
      group(open, struck);
    }
  }

  private void group(List<Rhythm.Piece> pieces, List<Integer> struck) {
    int most = pieces.stream().mapToInt(p -> p.value().flags()).max().orElse(0);
    double flag = pieces.size() == 1 && most > 0 ? 0.8 : 0;
    double end = floor + TO + flag + Math.max(0, most - 2) * Measures.BEAM_STEP;
    for (Rhythm.Piece piece : pieces) {
      if (piece.value().hasStem()) {
        double x = bar.middle(struck.get(piece.span()));
        double from = piece.value().isBlack() ? FROM : FROM + 1.3;
        all.add(new Mark.Line(Role.STEM, x, floor + from, x, end, Measures.STEM));
        if (piece.value().dotted()) {
          all.add(new Mark.Glyph(Role.DOT, Sign.DOT, x + (flag > 0 ? 1.4 : 0.35), floor + 1.3, 1));
        }
      }
    }
    if (pieces.size() == 1 && most > 0) {
      double x = bar.middle(struck.get(pieces.get(0).span()));
      all.add(new Mark.Glyph(Role.FLAG, Sign.flag(most, false), x - Measures.STEM / 2, end, 1));
      return;
    }
    for (int level = 1; level <= most; level++) {
      level(pieces, struck, level, end);
    }
  }

  private void level(List<Rhythm.Piece> pieces, List<Integer> struck, int level, double end) {
    double y = end - Measures.BEAM - (level - 1) * Measures.BEAM_STEP;
    int from = 0;
    while (from < pieces.size()) {
      int to = from;
      while (to < pieces.size() && pieces.get(to).value().flags() >= level) {
        to++;
      }
      if (to > from) {
        double a = bar.middle(struck.get(pieces.get(from).span()));
        double b = bar.middle(struck.get(pieces.get(to - 1).span()));
        boolean alone = to == from + 1;
        a = alone && from > 0 ? a - 0.9 : a;
        b = alone && from == 0 ? b + 0.9 : b;
        all.add(new Mark.Beam(Role.BEAM, a, y, b, y, Measures.BEAM));
      }
      from = to + 1;
    }
  }
}
