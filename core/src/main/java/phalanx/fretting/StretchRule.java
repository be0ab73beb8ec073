package phalanx.fretting;

import java.util.Optional;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;

/** A span wider than this hand takes at ease. */
public final class StretchRule {

  /**
   * How far on the way from comfortable to the limit a span is worth a word, as a share; below it
   * even an open C would be reported.
   */
  private static final double NOTABLE = 0.5;

  /** Up to this fret a hand is in first position. */
  static final int FIRST_POSITION = 4;

  /**
   * A wide span.
   *
   * @param words what is wide, one sentence without a full stop
   * @param millimetres between the fingertips
   * @param limit what it is held against, mm: the hand's limit where it is beyond that, what is
   *     comfortable otherwise
   * @param beyond whether the hand cannot take it
   */
  public record Stretch(String words, double millimetres, double limit, boolean beyond) {}

  private StretchRule() {}

  /** Whether a span is wide enough to speak of. */
  public static boolean isNotable(Reach.Span span) {
    return isNotable(span.millimetres(), span.comfortable(), span.limit());
  }

  /** The same for a distance, what is comfortable and the limit, mm. */
  static boolean isNotable(double distance, double comfortable, double limit) {
    return distance >= comfortable + NOTABLE * (limit - comfortable);
  }

  /**
   * What there is to say about the widest stretch of a shape; empty if none is to speak of. One
   * between neighbouring fingers is not hidden by a wider span that is at ease.
   */
  public static Optional<Stretch> of(Shape shape, Reach reach) {
    boolean first = isFirstPosition(shape);
    return reach.spans(shape).stream()
        .filter(s -> isNotable(s) && !(first && s.millimetres() <= s.limit()))
        .reduce((a, b) -> b.shareOfLimit() > a.shareOfLimit() ? b : a)
        .map(StretchRule::stretch);
  }

  /**
   * Whether a shape lies within frets 1 to 4: every beginner's hand is set to that, so its spans
   * are no stretch (common practice, no source).
   */
  static boolean isFirstPosition(Shape shape) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (shape.fretAt(s) > FIRST_POSITION) {
        return false;
      }
    }
    return true;
  }

  private static Stretch stretch(Reach.Span span) {
    boolean beyond = span.millimetres() > span.limit();
    double limit = beyond ? span.limit() : span.comfortable();
    String words =
        Texts.of(
            "stretchRule.fingersAndStandMm",
            span.from().sign(),
            span.to().sign(),
            span.millimetres(),
            beyond
                ? Texts.of("stretchRule.beyondThisHandS")
                : Texts.of("stretchRule.moreThanThisHand"),
            limit);
    return new Stretch(words, span.millimetres(), limit, beyond);
  }
}
