package phalanx.level;

/**
 * What makes a plan hard, each measured bar by bar from 0 (nothing of it) to about 1 (much). That a
 * change is hard by the time it needs against the time there is has the form of Fitts’s law (P.
 * Fitts 1954); spans are set against the hand as the data of chord positions have it (see the
 * engine’s reach). How these weigh against each other is judged, and fitted to an order of pairs
 * that teachers agree on (common practice, no source; the pairs stand in the tests).
 */
public enum Demand {
  /** The time that changes of the fretting hand need against the time there is. */
  CHANGES("changes", 0.62),
  /** How far fingers are apart, and how many are down. */
  SPANS("spans", 0.42),
  /** Barres: over how many strings, for how long. */
  BARRES("barre", 0.42),
  /** Strokes a second. */
  STROKES("strokes", 0.34),
  /** Fingers that play where the thumb does not. */
  INDEPENDENCE("independence", 0.4),
  /** Hammer-ons, pull-offs and slides a second. */
  SLURS("slurs", 0.22),
  /** Percussive hits a second. */
  HITS("hits", 0.26),
  /** Bends, harmonics, vibrato and the like. */
  TECHNIQUES("techniques", 0.22),
  /** Shifts along the neck, and playing high up. */
  POSITIONS("positions", 0.34),
  /** How much of it is new, and has to be remembered. */
  LENGTH("length", 0.2);

  private final String word;
  private final double weight;

  Demand(String word, double weight) {
    this.word = word;
    this.weight = weight;
  }

  /** Its word in files and on screens. */
  public String word() {
    return word;
  }

  /** How much it weighs. */
  double weight() {
    return weight;
  }
}
