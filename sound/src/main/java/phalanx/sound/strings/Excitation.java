package phalanx.sound.strings;

import phalanx.picking.Force;

/**
 * How a string is set in motion.
 *
 * @param plucker what leaves it
 * @param strength against a plain pluck, {@link #SOFTEST} to {@link #HARDEST}
 * @param place how far from the bridge, mm, {@link #NEAREST} to {@link #FARTHEST}
 * @param contact what else touches the string
 * @param seed of its small noises: the same stroke always sounds the same
 */
public record Excitation(
    Plucker plucker, double strength, double place, Contact contact, long seed) {

  public static final double SOFTEST = 0.1;
  public static final double HARDEST = 3;

  /** Hard by the bridge, and over the end of the neck, mm. */
  public static final double NEAREST = 20;

  public static final double FARTHEST = 300;

  /** What else touches the string. */
  public enum Contact {
    FREE,
    /** The finger comes to rest on the next string: it leaves downwards, fuller and rounder. */
    RESTED,
    /** The heel of the hand lies on it at the bridge. */
    MUTED,
    /** The thumb strikes it against the frets. */
    SLAPPED,
    /** A finger draws it up and lets it snap against them. */
    POPPED
  }

  public Excitation {
    strength = Math.max(SOFTEST, Math.min(HARDEST, strength));
    place = Math.max(NEAREST, Math.min(FARTHEST, place));
  }

  /** A stroke with nothing special about it, where that plucker usually plays. */
  public static Excitation of(Plucker plucker, Force force) {
    return new Excitation(plucker, strength(force), plucker.usualPlace(), Contact.FREE, 0);
  }

  /** How strong a pluck of a force is against a plain one. */
  public static double strength(Force force) {
    return switch (force) {
      case SOFT -> 0.5;
      case PLAIN -> 1;
      case ACCENTED -> 1.5;
    };
  }

  /** With something else that touches the string. */
  public Excitation touching(Contact other) {
    return new Excitation(plucker, strength, place, other, seed);
  }

  /** Stronger or weaker by a factor. */
  public Excitation times(double factor) {
    return new Excitation(plucker, factor * strength, place, contact, seed);
  }

  /** At another place, mm from the bridge. */
  public Excitation at(double other) {
    return new Excitation(plucker, strength, other, contact, seed);
  }

  /** With another seed. */
  public Excitation seeded(long other) {
    return new Excitation(plucker, strength, place, contact, other);
  }
}
