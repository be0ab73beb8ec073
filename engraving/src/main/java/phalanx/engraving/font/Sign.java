package phalanx.engraving.font;

/** A music sign, by its name and place in the Standard Music Font Layout (SMuFL 1.4, W3C). */
public enum Sign {
  TREBLE_CLEF("gClef8vb", 0xE052),
  TAB_CLEF("6stringTabClef", 0xE06D),
  HEAD_WHOLE("noteheadWhole", 0xE0A2),
  HEAD_HALF("noteheadHalf", 0xE0A3),
  HEAD_BLACK("noteheadBlack", 0xE0A4),
  HEAD_CROSS("noteheadXBlack", 0xE0A9),
  DIAMOND_BLACK("noteheadDiamondBlack", 0xE0DB),
  DIAMOND_WHITE("noteheadDiamondWhite", 0xE0DD),
  DOT("augmentationDot", 0xE1E7),
  FLAG_8_UP("flag8thUp", 0xE240),
  FLAG_8_DOWN("flag8thDown", 0xE241),
  FLAG_16_UP("flag16thUp", 0xE242),
  FLAG_16_DOWN("flag16thDown", 0xE243),
  FLAG_32_UP("flag32ndUp", 0xE244),
  FLAG_32_DOWN("flag32ndDown", 0xE245),
  FLAG_64_UP("flag64thUp", 0xE246),
  FLAG_64_DOWN("flag64thDown", 0xE247),
  REST_WHOLE("restWhole", 0xE4E3),
  REST_HALF("restHalf", 0xE4E4),
  REST_QUARTER("restQuarter", 0xE4E5),
  REST_8("rest8th", 0xE4E6),
  REST_16("rest16th", 0xE4E7),
  REST_32("rest32nd", 0xE4E8),
  REST_64("rest64th", 0xE4E9),
  FLAT("accidentalFlat", 0xE260),
  NATURAL("accidentalNatural", 0xE261),
  SHARP("accidentalSharp", 0xE262),
  DOUBLE_SHARP("accidentalDoubleSharp", 0xE263),
  DOUBLE_FLAT("accidentalDoubleFlat", 0xE264),
  TIME_0("timeSig0", 0xE080),
  TIME_1("timeSig1", 0xE081),
  TIME_2("timeSig2", 0xE082),
  TIME_3("timeSig3", 0xE083),
  TIME_4("timeSig4", 0xE084),
  TIME_5("timeSig5", 0xE085),
  TIME_6("timeSig6", 0xE086),
  TIME_7("timeSig7", 0xE087),
  TIME_8("timeSig8", 0xE088),
  TIME_9("timeSig9", 0xE089),
  REPEAT_DOT("repeatDot", 0xE044),
  ACCENT("articAccentAbove", 0xE4A0),
  STACCATO("articStaccatoAbove", 0xE4A2),
  QUARTER("metNoteQuarterUp", 0xECA5),
  EIGHTH("metNote8thUp", 0xECA7),
  METRONOME_DOT("metAugmentationDot", 0xECB7),
  VIBRATO("wiggleVibratoSmallFast", 0xEAD9),
  VIBRATO_WIDE("wiggleVibratoLargeFast", 0xEAE2),
  FINGER_0("fingering0", 0xED10),
  FINGER_1("fingering1", 0xED11),
  FINGER_2("fingering2", 0xED12),
  FINGER_3("fingering3", 0xED13),
  FINGER_4("fingering4", 0xED14),
  FINGER_T("fingeringTUpper", 0xED16),
  TUPLET_2("tuplet2", 0xE882),
  TUPLET_3("tuplet3", 0xE883),
  TUPLET_4("tuplet4", 0xE884),
  TUPLET_5("tuplet5", 0xE885),
  TUPLET_6("tuplet6", 0xE886),
  TUPLET_7("tuplet7", 0xE887),
  TUPLET_8("tuplet8", 0xE888),
  TUPLET_9("tuplet9", 0xE889);

  private final String glyph;
  private final int codePoint;

  Sign(String glyph, int codePoint) {
    this.glyph = glyph;
    this.codePoint = codePoint;
  }

  /** Its canonical name in the layout. */
  public String glyph() {
    return glyph;
  }

  /** Where it stands in a font. */
  public int codePoint() {
    return codePoint;
  }

  /** A figure of a time signature, 0 to 9. */
  public static Sign time(int figure) {
    return values()[TIME_0.ordinal() + figure];
  }

  /** The flag of a value with so many flags, 1 to 4. */
  public static Sign flag(int flags, boolean up) {
    int place = Math.min(4, flags) - 1;
    return values()[FLAG_8_UP.ordinal() + 2 * place + (up ? 0 : 1)];
  }

  /** The figure over a tuplet, 2 to 9. */
  public static Sign tuplet(int figure) {
    return values()[TUPLET_2.ordinal() + Math.max(2, Math.min(9, figure)) - 2];
  }

  /** An accidental of −2 to 2 semitones. */
  public static Sign accidental(int alteration) {
    return switch (alteration) {
      case -2 -> DOUBLE_FLAT;
      case -1 -> FLAT;
      case 1 -> SHARP;
      case 2 -> DOUBLE_SHARP;
      default -> NATURAL;
    };
  }
}
