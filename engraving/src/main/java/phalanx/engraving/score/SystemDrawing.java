package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.font.Sign;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.theory.Meter;

/** One system: its staves, what stands above them in rows, and what stands below. */
final class SystemDrawing {

  private static final double CLEF_ROOM = 3.6;
  private static final double METRE_ROOM = 2.6;
  private static final double BETWEEN = 1.4;

  private final Arrangement arrangement;
  private final SheetOptions options;
  private final KeySignature key;
  private final List<Placed> bars = new ArrayList<>();
  private final double width;
  private final double music;
  private final boolean last;
  private final Optional<Meter> metre;

  /**
   * A system.
   *
   * @param spacings its bars
   * @param width how wide it is
   * @param metre the metre that stands at its beginning, if one does
   * @param justified whether its bars fill the line
   * @param last whether the song ends with it
   */
  SystemDrawing(
      Arrangement arrangement,
      SheetOptions options,
      KeySignature key,
      List<Spacing> spacings,
      double width,
      Optional<Meter> metre,
      boolean justified,
      boolean last) {
    this.arrangement = arrangement;
    this.options = options;
    this.key = key;
    this.metre = metre;
    this.last = last;
    music = music(options, key, metre);
    double stretch = justified ? stretch(spacings, width - music) : 1;
    double x = music;
    for (Spacing spacing : spacings) {
      bars.add(Placed.of(spacing, x, stretch));
      x = bars.get(bars.size() - 1).right();
    }
    this.width = x;
  }

  /** Where music begins, behind clef, key and metre. */
  static double music(SheetOptions options, KeySignature key, Optional<Meter> metre) {
    double signs = options.has(Show.NOTATION) ? key.places().size() * 1.0 : 0;
    return CLEF_ROOM + signs + (metre.isPresent() ? METRE_ROOM : 0);
  }

  /** How far springs are stretched so that bars fill a width; found by halving. */
  static double stretch(List<Spacing> spacings, double width) {
    double low = 0;
    double high = 1;
    while (natural(spacings, high) < width && high < 64) {
      high *= 2;
    }
    for (int k = 0; k < 40; k++) {
      double middle = (low + high) / 2;
      if (natural(spacings, middle) < width) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  static double natural(List<Spacing> spacings, double stretch) {
    return spacings.stream().mapToDouble(s -> s.width(stretch)).sum();
  }

  /** Everything of the system; its upper staff's top line is at 0. */
  Drawing draw() {
    Drawing all = new Drawing();
    boolean notation = options.has(Show.NOTATION);
    boolean tablature = options.has(Show.TABLATURE) || !notation;
    double bottom = 0;
    if (notation) {
      Drawing staff = StaffDrawing.of(arrangement, bars, music, width);
      if (!tablature) {
        NoteSigns signs = new NoteSigns(staff, bars, music);
        signs.techniques(false);
        signs.strings(arrangement.song().guitar().tuning());
      }
      all.addAll(staff, 0);
      for (int line = 0; line < 5; line++) {
        all.add(new Mark.Line(Role.STAFF, 0, line, width, line, Measures.STAFF_LINE));
      }
      all.add(new Mark.Glyph(Role.CLEF, Sign.TREBLE_CLEF, 0.6, 3, 1));
      signature(all, key, metre);
      bottom = Math.max(4, all.box().bottom());
      barLines(all, 0, 4, 2);
    }
    if (tablature) {
      Drawing tab = TabDrawing.of(arrangement, bars, 0, music, width);
      double top = tab.top(0, width, 0);
      double at = notation ? Math.max(bottom + BETWEEN - top, 4 + 4) : 0;
      all.addAll(tab, at);
      all.add(new Mark.Glyph(Role.CLEF, Sign.TAB_CLEF, 0.9, at + Measures.TAB_HEIGHT / 2, 1.1));
      if (!notation && metre.isPresent()) {
        metre(all, metre.get(), CLEF_ROOM, at + Measures.TAB_HEIGHT / 2);
      }
      barLines(all, at, at + Measures.TAB_HEIGHT, at + Measures.TAB_HEIGHT / 2);
      if (notation) {
        all.add(new Mark.Line(Role.BARLINE, 0, 0, 0, at + Measures.TAB_HEIGHT, Measures.THIN));
      }
    }
    new RowsBelow(arrangement, options, bars, all).draw(!notation);
    new RowsAbove(arrangement, bars, all).draw();
    return all;
  }

  /** Key and metre behind the clef. */
  static void signature(Drawing all, KeySignature key, Optional<Meter> metre) {
    double x = CLEF_ROOM - 0.2;
    for (int place : key.places()) {
      all.add(new Mark.Glyph(Role.CLEF, key.sign(), x, Head.y(place), 1));
      x += 1.0;
    }
    metre.ifPresent(m -> metre(all, m, CLEF_ROOM + key.places().size(), 2));
  }

  private static void metre(Drawing all, Meter metre, double x, double middle) {
    figures(all, String.valueOf(metre.count()), x, middle - 1);
    figures(all, String.valueOf(metre.unit()), x, middle + 1);
  }

  private static void figures(Drawing all, String number, double x, double y) {
    double at = x + (number.length() == 1 ? 0.3 : -0.4);
    for (char figure : number.toCharArray()) {
      Sign sign = Sign.time(figure - '0');
      all.add(new Mark.Glyph(Role.CLEF, sign, at, y, 1));
      at += Measures.FONT.box(sign).right() + 0.05;
    }
  }

  /** The bar lines of one staff. */
  private void barLines(Drawing all, double top, double bottom, double middle) {
    for (int b = 0; b < bars.size(); b++) {
      Placed bar = bars.get(b);
      WrittenBar written = bar.written();
      boolean end = last && b + 1 == bars.size();
      if (written.repeatStart()) {
        double x = bar.left() + (b == 0 ? -0.2 : 0);
        bar(all, x + Measures.THICK / 2, top, bottom, Measures.THICK);
        bar(all, x + Measures.THICK + Measures.BAR_GAP, top, bottom, Measures.THIN);
        dots(all, x + Measures.THICK + 2 * Measures.BAR_GAP, middle, bottom - top);
      }
      if (written.plays() > 1) {
        double x = bar.right();
        bar(all, x - Measures.THICK / 2, top, bottom, Measures.THICK);
        bar(all, x - Measures.THICK - Measures.BAR_GAP, top, bottom, Measures.THIN);
        dots(all, x - Measures.THICK - 2 * Measures.BAR_GAP - 0.4, middle, bottom - top);
      } else if (end) {
        bar(all, bar.right() - Measures.THICK / 2, top, bottom, Measures.THICK);
        bar(all, bar.right() - Measures.THICK - Measures.BAR_GAP, top, bottom, Measures.THIN);
      } else if (b + 1 == bars.size() || !bars.get(b + 1).written().repeatStart()) {
        bar(all, bar.right() - Measures.THIN / 2, top, bottom, Measures.THIN);
      }
      metreChange(all, b, middle);
    }
  }

  private static void bar(Drawing all, double x, double top, double bottom, double width) {
    all.add(new Mark.Line(Role.BARLINE, x, top, x, bottom, width));
  }

  private static void dots(Drawing all, double x, double middle, double height) {
    double away = height > 5 ? Measures.STRING_GAP : 0.5;
    all.add(new Mark.Glyph(Role.BARLINE, Sign.REPEAT_DOT, x, middle - away, 1));
    all.add(new Mark.Glyph(Role.BARLINE, Sign.REPEAT_DOT, x, middle + away, 1));
  }

  /** A new metre inside a system stands behind its bar line. */
  private void metreChange(Drawing all, int b, double middle) {
    Placed bar = bars.get(b);
    Meter now = bar.written().bar().meter();
    if (b > 0 && !now.equals(bars.get(b - 1).written().bar().meter()) && middle <= 4) {
      metre(all, now, bar.left() + (bar.written().repeatStart() ? Spacing.REPEAT : 0.4), middle);
    }
  }

  double width() {
    return width;
  }
}
