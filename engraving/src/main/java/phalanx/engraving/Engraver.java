package phalanx.engraving;

import phalanx.arrangement.Arrangement;
import phalanx.engraving.score.ScoreSheet;
import phalanx.engraving.sheet.ChartSheet;
import phalanx.engraving.sheet.LearnSheet;
import phalanx.findings.Review;

/** Lays an arrangement out on paper: the one way to a page for screen, printer and files. */
public final class Engraver {

  private Engraver() {}

  /**
   * The pages of an arrangement.
   *
   * @param review what is hard in it, for the sheet to learn from
   */
  public static EngravedSheet engrave(
      Arrangement arrangement, Review review, SheetOptions options) {
    return switch (options.kind()) {
      case TAB -> ScoreSheet.of(arrangement, options);
      case CHART -> ChartSheet.of(arrangement, options);
      case LEARN -> LearnSheet.of(arrangement, review, options);
    };
  }

  /** The same, looked through for what is hard where the sheet needs it. */
  public static EngravedSheet engrave(Arrangement arrangement, SheetOptions options) {
    return options.kind() == SheetOptions.Kind.LEARN
        ? LearnSheet.of(arrangement, Review.of(arrangement), options)
        : engrave(arrangement, null, options);
  }
}
