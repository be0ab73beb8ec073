package phalanx.fretting;

import phalanx.instrument.Tuning;

/**
 * The terms a shape's cost is the sum of. Each has a measure, which {@link ShapeMeasure} takes, and
 * a weight.
 *
 * <p>The weights of the terms that decide between fingerings of the same frets were fitted on the
 * fingered positions of the open data set {@code @tombatossals/chords-db} (npm, MIT licence), with
 * a margin between the data's fingering and the next, so that they hold for positions not seen.
 * Those from {@link #MUTED_INSIDE} to {@link #CLOSED_BY_NUT} order the shapes of one chord; they
 * were fitted so that the position the data gives first is likeliest, by logistic regression over
 * all shapes of each chord. The body's and the thumb's are common practice, no source.
 */
public enum CostTerm {
  /** Sum over pairs of fingers: 0 up to the comfortable span, growing squared to 1 at the limit. */
  STRETCH("stretch", 1.0),
  /** Frets between neighbouring fingers short of one a finger. */
  CROWDED("fingers skipped", 0.128),
  /** Fingers left out between two on the same fret. */
  SKIPPED_ON_FRET("finger skipped on a fret", 0.174),
  /** Fingers that hold something. */
  FINGERS("fingers used", 0.2),
  /** The ring finger stands on string ① past an index barre, where the little finger falls. */
  RING_ON_FIRST("ring finger on ① past a barre", 0.129),
  /** A barre of the index finger. */
  BARRE("barre", 0.122),
  /** Strings an index barre lies across, beyond two. */
  BARRE_WIDTH("width of the barre", 0.06),
  /** A flat finger lies next to a thinner string that must ring open. */
  BARRE_BY_OPEN("barre beside an open string", 0.977),
  /** A barre of the middle finger. */
  MIDDLE_BARRE("barre of finger 2", 0.511),
  /** A barre of the ring finger. */
  RING_BARRE("barre of finger 3", 1.409),
  /** A barre of the little finger. */
  LITTLE_BARRE("barre of finger 4", 1.969),
  /** Strings a barre of finger 2, 3 or 4 lies across, beyond two. */
  SMALL_BARRE_WIDTH("width of a small barre", 0.287),
  /** Silent strings a barre passes over. */
  BARRE_OVER_SILENT("barre over a silent string", 0.176),
  /** A higher finger stands on a lower string of the same fret. */
  ORDER("fingers out of order", 0.568),
  /** The thumb holds string ⑥ over the neck. */
  THUMB("thumb over the neck", 0.45),
  /**
   * A fingering other than players know for this form, or a form they do not know: what a guide
   * finger, a finger that stays or a note to come has to be worth before it is left. By judgement;
   * the tables of {@link KnownForms} name their sources.
   */
  UNFAMILIAR("not the usual fingering", 0.9),
  /** Silent strings between sounding ones. */
  MUTED_INSIDE("muted string inside", 2.6),
  /** Strings below the bass that do not sound: 1, 3, 6 for 1, 2, 3. */
  NO_LOW_STRING("low string unused", 0.35),
  /** The lowest sounding string is ③ or higher: the thumb has no bass string to start on. */
  NO_BASS_STRING("no bass string for the thumb", 2.5),
  /** Strings above the highest sounding one, which the fingers would pluck: 1, 3, 6 for 1, 2, 3. */
  NO_HIGH_STRING("high string unused", 1.6),
  /** Strings that sound the very note another string sounds. */
  UNISON("same note on two strings", 0.95),
  /** The chord's plain fifth is not there. */
  NO_FIFTH("no fifth", 0.54),
  /** Tones of the chord, beyond the essential ones and the fifth, that are not there. */
  MISSING("tone left out", 0.69),
  /** The root is not there. */
  NO_ROOT("no root", 1.82),
  /** Frets of the lowest finger above the first, five at most: further up it is all the same. */
  POSITION("up the neck", 0.77),
  /** Frets from the lowest to the highest finger. */
  FRET_SPREAD("frets apart", 0.57),
  /** For each open string the frets that the highest finger is above the fourth. */
  OPEN_FAR_BELOW("open string far below the hand", 0.42),
  /** Open strings: they ring with the chord, so this is a bonus. */
  OPEN_RINGS("open strings ring", -0.1),
  /**
   * No string rings open and the lowest finger is on fret 1 or 2: a bonus for a closed shape there.
   */
  CLOSED_BY_NUT("closed shape near the nut", -1.04),
  /** Frets of the highest finger beyond the body join, without a cutaway. */
  PAST_BODY("past the body", 0.6),
  /** The same where a cutaway leaves room for the hand. */
  PAST_BODY_CUTAWAY("past the body, cutaway", 0.12);

  /** No shape costs less than this: what its bonuses come to at most, all together. */
  public static final double LEAST_OF_A_SHAPE =
      Tuning.STRINGS * OPEN_RINGS.weight + CLOSED_BY_NUT.weight;

  private final String words;
  private final double weight;

  CostTerm(String words, double weight) {
    this.words = words;
    this.weight = weight;
  }

  /** What a player calls it. */
  public String words() {
    return words;
  }

  /** Cost of one unit of its measure. */
  public double weight() {
    return weight;
  }
}
