package phalanx.findings;

import java.util.Optional;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.theory.Phrase;

/** A span wider than this hand takes at ease. */
public final class StretchRule {

  /** Name of the rule in files. */
  public static final String NAME = "stretch";

  /**
   * How far on the way from comfortable to the limit a span is worth a word, as a share; below it
   * even an open C would be reported.
   */
  private static final double NOTABLE = 0.5;

  private StretchRule() {}

  private static boolean isNotable(Reach.Span span) {
    double way = span.limit() - span.comfortable();
    return span.millimetres() >= span.comfortable() + NOTABLE * way;
  }

  /**
   * What there is to say about the widest span of a shape; empty if it is no stretch to speak of.
   */
  public static Optional<Finding> of(Shape shape, Reach reach) {
    return reach.widestSpan(shape).filter(StretchRule::isNotable).map(StretchRule::finding);
  }

  private static Finding finding(Reach.Span span) {
    boolean beyond = span.millimetres() > span.limit();
    double limit = beyond ? span.limit() : span.comfortable();
    String message =
        Phrase.of(
            "fingers %s and %s stand %.0f mm apart, %s %.0f mm",
            span.from().sign(),
            span.to().sign(),
            span.millimetres(),
            beyond ? "beyond this hand’s limit of" : "more than this hand’s comfortable",
            limit);
    return new Finding(NAME, message, span.millimetres(), limit, "mm");
  }
}
