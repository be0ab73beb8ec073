package phalanx.fretting;

import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;

/**
 * Everything that costs something, in one table: what a shape costs, which {@link ShapeMeasure}
 * measures, then what is found, the changes of the fretting hand, what the pattern makes heard, the
 * tune, and the picking hand. Each has a unit and a weight.
 *
 * <p>The weights of the terms that decide between fingerings of the same frets were fitted on the
 * fingered positions of the open data set {@code @tombatossals/chords-db} (npm, MIT licence), with
 * a margin between the data's fingering and the next, so that they hold for positions not seen.
 * Those from {@link #MUTED_INSIDE} to {@link #CLOSED_BY_NUT} order the shapes of one chord; they
 * were fitted so that the position the data gives first is likeliest, by logistic regression over
 * all shapes of each chord. All others are by judgement.
 *
 * <p>Findings weigh more than ease, so that a plan has as few as can be that cannot be done, then
 * as few as can be that are heard, and only then costs least; no shape's own cost comes near them.
 */
public enum CostTerm {
  /** Sum over pairs of fingers: 0 up to the comfortable span, growing squared to 1 at the limit. */
  STRETCH(Texts.of("costTerm.stretch"), 1.0, Texts.of("costTerm.stretchAtTheLimit"), Source.FITTED),
  /** Frets between neighbouring fingers short of one a finger. */
  CROWDED(
      Texts.of("costTerm.fingersSkipped"), 0.128, Texts.of("costTerm.fretShort"), Source.FITTED),
  /** Fingers left out between two on the same fret. */
  SKIPPED_ON_FRET(Texts.of("costTerm.fingerSkippedOnA"), 0.174, "finger", Source.FITTED),
  /** Fingers that hold something. */
  FINGERS(Texts.of("costTerm.fingersUsed"), 0.2, "finger", Source.FITTED),
  /** The ring finger stands on string ① past an index barre, where the little finger falls. */
  RING_ON_FIRST(Texts.of("costTerm.ringFingerOnPast"), 0.129, "shape", Source.FITTED),
  /** A barre of the index finger. */
  BARRE(Texts.of("costTerm.barre"), 0.122, "barre", Source.FITTED),
  /** Strings an index barre lies across, beyond two. */
  BARRE_WIDTH(Texts.of("costTerm.widthOfTheBarre"), 0.06, "string", Source.FITTED),
  /** A flat finger lies next to a thinner string that must ring open. */
  BARRE_BY_OPEN(Texts.of("costTerm.barreBesideAnOpen"), 0.977, "barre", Source.FITTED),
  /** A barre of the middle finger. */
  MIDDLE_BARRE(Texts.of("costTerm.barreOfFinger"), 0.511, "barre", Source.FITTED),
  /** A barre of the ring finger. */
  RING_BARRE(Texts.of("costTerm.barreOfFinger2"), 1.409, "barre", Source.FITTED),
  /** A barre of the little finger. */
  LITTLE_BARRE(Texts.of("costTerm.barreOfFinger3"), 1.969, "barre", Source.FITTED),
  /** Strings a barre of finger 2, 3 or 4 lies across, beyond two. */
  SMALL_BARRE_WIDTH(Texts.of("costTerm.widthOfASmall"), 0.287, "string", Source.FITTED),
  /** Silent strings a barre passes over. */
  BARRE_OVER_SILENT(Texts.of("costTerm.barreOverASilent"), 0.176, "string", Source.FITTED),
  /** A higher finger stands on a lower string of the same fret. */
  ORDER(
      Texts.of("costTerm.fingersOutOfOrder"),
      0.568,
      Texts.of("costTerm.pairOfFingers"),
      Source.FITTED),
  /** The thumb holds string ⑥ over the neck. */
  THUMB(Texts.of("costTerm.thumbOverTheNeck"), 0.45, "shape", Source.JUDGED),
  /**
   * A fingering other than players know for this form, or a form they do not know: what a guide
   * finger, a finger that stays or a note to come has to be worth before it is left. By judgement;
   * the tables of {@link KnownForms} name their sources.
   */
  UNFAMILIAR(Texts.of("costTerm.notTheUsualFingering"), 0.9, "shape", Source.JUDGED),
  /** Silent strings between sounding ones. */
  MUTED_INSIDE(Texts.of("costTerm.mutedStringInside"), 2.6, "string", Source.FITTED),
  /** Strings below the bass that do not sound: 1, 3, 6 for 1, 2, 3. */
  NO_LOW_STRING(
      Texts.of("costTerm.lowStringUnused"), 0.35, Texts.of("costTerm.forStrings"), Source.FITTED),
  /** The lowest sounding string is ③ or higher: the thumb has no bass string to start on. */
  NO_BASS_STRING(Texts.of("costTerm.noBassStringFor"), 2.5, "shape", Source.FITTED),
  /** Strings above the highest sounding one, which the fingers would pluck: 1, 3, 6 for 1, 2, 3. */
  NO_HIGH_STRING(
      Texts.of("costTerm.highStringUnused"), 1.6, Texts.of("costTerm.forStrings"), Source.FITTED),
  /** Strings that sound the very note another string sounds. */
  UNISON(Texts.of("costTerm.sameNoteOnTwo"), 0.95, "string", Source.FITTED),
  /** The chord's plain fifth is not there. */
  NO_FIFTH(Texts.of("costTerm.noFifth"), 0.54, "shape", Source.FITTED),
  /** Tones of the chord, beyond the essential ones and the fifth, that are not there. */
  MISSING(Texts.of("costTerm.toneLeftOut"), 0.69, "tone", Source.FITTED),
  /** The root is not there. */
  NO_ROOT(Texts.of("costTerm.noRoot"), 1.82, "shape", Source.FITTED),
  /** Frets of the lowest finger above the first, five at most: further up it is all the same. */
  POSITION(Texts.of("costTerm.upTheNeck"), 0.77, "fret", Source.FITTED),
  /** Frets from the lowest to the highest finger. */
  FRET_SPREAD(Texts.of("costTerm.fretsApart"), 0.57, "fret", Source.FITTED),
  /** For each open string the frets that the highest finger is above the fourth. */
  OPEN_FAR_BELOW(Texts.of("costTerm.openStringFarBelow"), 0.42, "fret", Source.FITTED),
  /** A lower string that has the chord's bass when it is open does not sound. */
  LOWER_OPEN_BASS(Texts.of("costTerm.aLowerOpenBass"), 0.45, "shape", Source.JUDGED),
  /** Open strings: they ring with the chord, so this is a bonus. */
  OPEN_RINGS(Texts.of("costTerm.openStringsRing"), -0.1, "string", Source.FITTED),
  /** In a tuning that is chosen for its open strings none rings. */
  NOTHING_RINGS(Texts.of("costTerm.noOpenStringOf"), 1.5, "shape", Source.JUDGED),
  /**
   * No string rings open and the lowest finger is on fret 1 or 2: a bonus for a closed shape there.
   */
  CLOSED_BY_NUT(Texts.of("costTerm.closedShapeNearThe"), -1.04, "shape", Source.FITTED),
  /** Frets of the highest finger beyond the body join, without a cutaway. */
  PAST_BODY(Texts.of("costTerm.pastTheBody"), 0.6, "fret", Source.JUDGED),
  /** The same where a cutaway leaves room for the hand. */
  PAST_BODY_CUTAWAY(Texts.of("costTerm.pastTheBodyCutaway"), 0.12, "fret", Source.JUDGED),

  /** A finding that no hand can get round: above all that can be heard. */
  CANNOT_BE_DONE(Texts.of("costTerm.cannotBeDone"), 1000, "finding", Source.JUDGED),
  /** A finding that is heard: above all that is only a matter of ease. */
  WILL_BE_HEARD(Texts.of("costTerm.willBeHeard"), 50, "finding", Source.JUDGED),

  /** A jump over two frets at the nut comes to about 0.7. */
  MOVE(Texts.of("costTerm.fingerMoves"), 0.008, "mm", Source.JUDGED),
  /** Share of the way's cost that remains when a finger slides along its string as a guide. */
  GUIDE(Texts.of("costTerm.fingerSlides"), 0.4, Texts.of("costTerm.shareOfAWay"), Source.JUDGED),
  /** Putting down or moving a finger, whatever the way. */
  LANDING(Texts.of("costTerm.fingerLands"), 0.12, "finger", Source.JUDGED),
  /** Lifting a finger that is not needed any more. */
  LIFTING(Texts.of("costTerm.fingerLifts"), 0.04, "finger", Source.JUDGED),
  /** Laying a finger from one string across several at the same fret, or back. */
  ROLLING(Texts.of("costTerm.fingerRolls"), 0.12, "finger", Source.JUDGED),
  /** The whole hand, by the way of the lowest held fret. */
  SHIFT(Texts.of("costTerm.handShifts"), 0.012, "mm", Source.JUDGED),
  /**
   * The bass of the next chord lies an octave or more away; a seventh is a little worse, a sixth a
   * fifth of it. Nearer is a line.
   */
  BASS_LEAP(Texts.of("costTerm.theBassLeaps"), 2, "leap", Source.JUDGED),
  /** By how much a change is late, beside its being heard. */
  LATE(Texts.of("costTerm.late"), 3, Texts.of("costTerm.shareOfTheTime"), Source.JUDGED),
  /**
   * A finger gives up a note that sounds on under another finger, although the next shape can be
   * fingered so that it stays. More than two shapes with fingers out of order cost, because a relay
   * may stay so for a while.
   */
  HANDOVER(Texts.of("costTerm.aNoteGivenOver"), 3, "finger", Source.JUDGED),
  /** A note of the tune that is to sound on over the change ends there; it is heard as well. */
  CUT_OFF(Texts.of("costTerm.theTuneIsCut"), 12, "note", Source.JUDGED),
  /** A slur of the tune that cannot be made, so that the note is plucked. */
  SLUR_LOST(Texts.of("costTerm.aSlurIsLost"), 2.4, "note", Source.JUDGED),

  /** A home string of the pattern's fingers that does not sound. */
  SILENT_HOME(Texts.of("costTerm.stringsOfThePattern"), 0.3, "string", Source.JUDGED),
  /** The thumb has to stay on one string though it would alternate. */
  ONE_BASS(Texts.of("costTerm.noSecondBassString"), 0.8, "chord", Source.JUDGED),
  /**
   * The thumb starts on an open string that is root or fifth: a bonus that makes up for the low
   * strings unused below it.
   */
  OPEN_BASS(
      Texts.of("costTerm.openBass"), -0.35, Texts.of("costTerm.forStringsBelow"), Source.JUDGED),
  /** The thumb has to start on string ③ or higher, so that the chord is without a bass. */
  HIGH_THUMB(Texts.of("costTerm.noBassForThe"), 1.5, "chord", Source.JUDGED),
  /** A chord whose third, or what stands for it, nobody strikes. */
  NO_THIRD(Texts.of("costTerm.nobodyStrikesTheThird"), 1.6, "chord", Source.JUDGED),
  /** A chord whose seventh nobody strikes. */
  NO_SEVENTH(Texts.of("costTerm.nobodyStrikesTheSeventh"), 2, "chord", Source.JUDGED),
  /** A stroke of a finger that goes to another string, so that a tone of the name is heard. */
  BENT(Texts.of("costTerm.aStrokeGoesTo"), 0.4, "tone", Source.JUDGED),
  /** A written extension or alteration, or a sixth, that nobody strikes. */
  UNHEARD(Texts.of("costTerm.nobodyStrikesATone"), 0.25, "tone", Source.JUDGED),

  /** A note of the tune that no finger reaches. */
  TUNE_MISSED(Texts.of("costTerm.aNoteOfThe"), 30, "note", Source.JUDGED),
  /** A finger that comes down beside the shape. */
  TUNE_BESIDE(Texts.of("costTerm.fingerBesideTheShape"), 0.25, "note", Source.JUDGED),
  /** A finger that lifts for it. */
  TUNE_LIFTED(Texts.of("costTerm.fingerLiftsForThe"), 0.35, "note", Source.JUDGED),
  /** A finger that leaves an inner string for it. */
  TUNE_RELEASED(Texts.of("costTerm.fingerLeavesItsString"), 0.9, "note", Source.JUDGED),
  /** A sounding string above the tune, which must be kept quiet or lower. */
  TUNE_UNDER(Texts.of("costTerm.stringsAboveTheTune"), 0.12, "string", Source.JUDGED),
  /** A note of the tune that is the bass too, so that the thumb plays it. */
  TUNE_AS_BASS(Texts.of("costTerm.theTuneIsThe"), 0.5, "note", Source.JUDGED),
  /** A note of the tune on one string and the bass on another, both of one pitch. */
  TUNE_DOUBLES(Texts.of("costTerm.theTuneDoublesThe"), 2, "note", Source.JUDGED),
  /** A note of the tune on the bass's string or below it, for which the bass gives way. */
  TUNE_BELOW_BASS(Texts.of("costTerm.theTuneTakesThe"), 1, "note", Source.JUDGED),
  /** A string the tune leaps over. */
  TUNE_LEAP(Texts.of("costTerm.theTuneLeapsOver"), 0.04, "string", Source.JUDGED),
  /** A note that is to ring into the next ends because that is on the same string. */
  TUNE_STOPPED(Texts.of("costTerm.aRingingNoteIs"), 1.6, "note", Source.JUDGED),
  /** One finger takes the next note at another place. */
  TUNE_AGAIN(Texts.of("costTerm.theSameFingerAgain"), 0.2, "note", Source.JUDGED),
  /** The same in a tune alone, where nothing else is in the way of joining the notes. */
  LINE_AGAIN(Texts.of("costTerm.theSameFingerAgain2"), 0.3, "note", Source.JUDGED),
  /** Leaving a position in a tune alone, whatever the way. */
  LINE_SHIFT(Texts.of("costTerm.aLineLeavesIts"), 0.3, "shift", Source.JUDGED),
  /** Share of the way's cost in a tune alone, for the hand is free. */
  LINE_WAY(Texts.of("costTerm.wayOfAFree"), 0.5, Texts.of("costTerm.shareOfAWay"), Source.JUDGED),
  /** A fret of a tune alone, so that of two ways the lower is taken. */
  LINE_FRET(Texts.of("costTerm.aLineUpThe"), 0.02, "fret", Source.JUDGED),
  /** The same beyond the fifth: a tune alone is read and played in low positions. */
  LINE_HIGH(Texts.of("costTerm.aLineHighUp"), 0.06, "fret", Source.JUDGED),
  /** The little finger on a single note. */
  LINE_LITTLE(Texts.of("costTerm.littleFingerInA"), 0.08, "note", Source.JUDGED),
  /** A finger that is missing behind the one that bends. */
  BENT_ALONE(Texts.of("costTerm.bentWithoutHelp"), 0.3, "finger", Source.JUDGED),
  /** A fret nearer to the nut, where a string to be bent is stiff. */
  BENT_STIFF(Texts.of("costTerm.bentNearTheNut"), 0.1, "fret", Source.JUDGED),
  /** An overtone above the octave, which speaks less easily. */
  OVERTONE(Texts.of("costTerm.higherOvertone"), 0.1, "overtone", Source.JUDGED),
  /** A finger that comes to touch. */
  TOUCH(Texts.of("costTerm.fingerComesToTouch"), 0.25, "note", Source.JUDGED),
  /** The picking hand has to touch and pluck with two fingers. */
  TOUCHED_AND_PLUCKED(Texts.of("costTerm.touchedAndPluckedBy"), 0.6, "note", Source.JUDGED),
  /** A string that a finger leaves to be open. */
  FREED(Texts.of("costTerm.fingerLeavesAnOpen"), 0.35, "string", Source.JUDGED),

  /** A stroke one string away from its finger's home. */
  AWAY_FROM_HOME(Texts.of("costTerm.fingerAwayFromHome"), 1, "string", Source.JUDGED),
  /** A hurried repeat of a finger at the shortest allowed time; falls to 0. */
  HURRY(Texts.of("costTerm.fingerHurried"), 2, "stroke", Source.JUDGED),
  /** Another picking finger than the player wants. */
  UNWANTED(Texts.of("costTerm.otherFingerThanAsked"), 8, "stroke", Source.JUDGED),
  /** A string that is left out. */
  STROKE_LEFT_OUT(Texts.of("costTerm.strokeLeftOut"), 30, "stroke", Source.JUDGED),
  /** The bass, which carries the rhythm, is left out. */
  BASS_LEFT_OUT(Texts.of("costTerm.bassLeftOut"), 40, "stroke", Source.JUDGED),
  /** A hit or a brush is left out. */
  GESTURE_LEFT_OUT(Texts.of("costTerm.hitOrBrushLeft"), 25, "stroke", Source.JUDGED),
  /** A hit with fewer fingers, because one plucks the tune. */
  LIGHTER_HIT(Texts.of("costTerm.hitWithFewerFingers"), 2, "stroke", Source.JUDGED),
  /** The ring finger in a line of two fingers, where it is for blocks only. */
  RING_IN_A_LINE(Texts.of("costTerm.ringFingerInA"), 3, "stroke", Source.JUDGED),
  /** A note out of the order of a line. */
  OUT_OF_ORDER(Texts.of("costTerm.outOfTheOrder"), 4, "stroke", Source.JUDGED);

  /**
   * No shape costs less than this with what the pattern makes of it: what its bonuses come to at
   * most, all together.
   */
  public static final double LEAST_OF_A_SHAPE =
      Tuning.STRINGS * OPEN_RINGS.weight + CLOSED_BY_NUT.weight + 3 * OPEN_BASS.weight;

  /** Where a weight comes from. */
  public enum Source {
    /** Fitted on an open data set. */
    FITTED,
    /** By judgement, held against what players do. */
    JUDGED
  }

  private final String words;
  private final double weight;
  private final String unit;
  private final Source source;

  CostTerm(String words, double weight, String unit, Source source) {
    this.words = words;
    this.weight = weight;
    this.unit = unit;
    this.source = source;
  }

  /** What a player calls it. */
  public String words() {
    return words;
  }

  /** What the body of a guitar costs the hand, by frets beyond it. */
  public static CostTerm pastBody(Guitar guitar) {
    return guitar.cutaway() ? PAST_BODY_CUTAWAY : PAST_BODY;
  }

  /** Cost of one unit of its measure; without unit itself. */
  public double weight() {
    return weight;
  }

  /** What it is counted in. */
  public String unit() {
    return unit;
  }

  /** Where the weight comes from. */
  public Source source() {
    return source;
  }

  /** The cost of so many units. */
  public Cost times(double units) {
    return Cost.term(words, units * weight);
  }
}
