package phalanx.engraving.score;

import phalanx.engraving.font.MusicFont;
import phalanx.engraving.font.Sign;

/** The measures that several parts of a system share, staff spaces. */
final class Measures {

  static final MusicFont FONT = MusicFont.shipped();

  /** How wide a filled head is. */
  static final double HEAD = FONT.box(Sign.HEAD_BLACK).width();

  static final double STAFF_LINE = FONT.measure("staffLineThickness");
  static final double STEM = FONT.measure("stemThickness");
  static final double BEAM = FONT.measure("beamThickness");
  static final double BEAM_STEP = BEAM + FONT.measure("beamSpacing");
  static final double LEDGER = FONT.measure("legerLineThickness");
  static final double LEDGER_OUT = FONT.measure("legerLineExtension");
  static final double THIN = FONT.measure("thinBarlineThickness");
  static final double THICK = FONT.measure("thickBarlineThickness");
  static final double BAR_GAP = FONT.measure("barlineSeparation");

  /** From line to line of the tablature. */
  static final double STRING_GAP = 1.5;

  static final double TAB_HEIGHT = 5 * STRING_GAP;

  static final double FIGURE_SIZE = 1.75;
  static final double CHORD_SIZE = 2.3;
  static final double WORD_SIZE = 1.75;
  static final double SMALL_SIZE = 1.5;
  static final double COUNT_SIZE = 1.35;

  /** The stem of a note outside a beam: an octave. */
  static final double STEM_LENGTH = 3.5;

  private Measures() {}
}
