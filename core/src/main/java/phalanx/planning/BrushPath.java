package phalanx.planning;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.arrangement.Remark;
import phalanx.arrangement.tune.TuneRing;
import phalanx.fretting.Muting;
import phalanx.fretting.Shape;
import phalanx.instrument.StringSign;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.text.Texts;

/** Which strings of a shape a brush sounds on its way across them, beside a tune. */
final class BrushPath {

  private final Shape shape;
  private final StrokeStrings strings;
  private final Set<Remark> remarks;

  /**
   * Over a shape.
   *
   * @param remarks where it is said what is wrong with the way of a brush
   */
  BrushPath(Shape shape, StrokeStrings strings, Set<Remark> remarks) {
    this.shape = shape;
    this.strings = strings;
    this.remarks = remarks;
  }

  /**
   * The strings it sounds, in its order: those that are not plucked at the same time, and where
   * nails strike it on their way the tune's.
   */
  List<Integer> of(Stroke.Brush brush, List<VoicedStroke> plucks, int tick, TuneRing ring) {
    List<Integer> crossed = new ArrayList<>();
    for (int s : passed(brush, tick, ring)) {
      if (shape.sounds(s) && plucks.stream().noneMatch(p -> p.string() == s)) {
        crossed.add(s);
      }
    }
    if (crossed.isEmpty()) {
      String words = Texts.of("brushPath.noStringSoundsUnder");
      found(Remark.Kind.NO_STRING, words, tick, brush.low());
      return crossed;
    }
    if (strikesTune(brush, crossed, plucks, tick, ring)) {
      crossed.add(finger(plucks).string());
    }
    for (Muting.Muted muted : Muting.of(shape)) {
      boolean over =
          crossed.get(0) < muted.string() && muted.string() < crossed.get(crossed.size() - 1);
      if (over && muted.reason() == Muting.Reason.NOT_STRUCK) {
        String words = Texts.of("brushPath.crossesUnmuted", StringSign.of(muted.string()));
        found(Remark.Kind.UNMUTED, words, tick, muted.string());
      }
    }
    if (!brush.towardsTreble()) {
      Collections.reverse(crossed);
    }
    return crossed;
  }

  /**
   * Whether nails strike the tune, as the last or the first of the strings: where it is above the
   * others, with none between that sounds. No finger is left to pluck it (common practice, no
   * source).
   *
   * @param crossed the other strings, rising
   */
  private boolean strikesTune(
      Stroke.Brush brush,
      List<Integer> crossed,
      List<VoicedStroke> plucks,
      int tick,
      TuneRing ring) {
    if (brush.touch() != Touch.NAILS || plucks.stream().filter(p -> !p.byThumb()).count() != 1) {
      return false;
    }
    VoicedStroke tune = finger(plucks);
    boolean plain =
        tune.rings().isPresent()
            && tune.slur().isEmpty()
            && tune.played().equals(Articulation.PLAIN);
    int highest = crossed.get(crossed.size() - 1);
    return plain
        && highest < tune.string()
        && tune.string() <= brush.high()
        && IntStream.range(highest + 1, tune.string())
            .noneMatch(s -> shape.sounds(s) || ring.blocks(s, tick));
  }

  private static VoicedStroke finger(List<VoicedStroke> plucks) {
    return plucks.stream().filter(p -> !p.byThumb()).findFirst().orElseThrow();
  }

  /**
   * The longest row of neighbouring strings that a brush may pass: it cannot leave out one in the
   * middle that the tune needs.
   */
  private List<Integer> passed(Stroke.Brush brush, int tick, TuneRing ring) {
    List<Integer> best = List.of();
    List<Integer> row = new ArrayList<>();
    for (int s = brush.low(); s <= brush.high(); s++) {
      boolean kept =
          ring.blocks(s, tick) || shape.sounds(s) && ring.isAbove(s, strings.pitch(s), tick);
      if (kept) {
        row = new ArrayList<>();
      } else {
        row.add(s);
        best = row.size() > best.size() ? List.copyOf(row) : best;
      }
    }
    return best;
  }

  private void found(Remark.Kind kind, String words, int tick, int string) {
    remarks.add(Remark.at(kind, words, tick, string, new Remark.Figure(1, 0, "strings")));
  }
}
