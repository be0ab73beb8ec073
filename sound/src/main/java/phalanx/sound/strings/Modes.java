package phalanx.sound.strings;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The resonances of a guitar’s body. Steel: a large body, air near 100 and top near 190 Hz; nylon:
 * a smaller and lighter one, air near 102, top near 215 Hz (the first modes of such guitars: N.
 * Fletcher and T. Rossing, The Physics of Musical Instruments, ch. 9, from memory). Above them a
 * field of resonances as dense as plates have it, each a little stronger or weaker than its
 * neighbours, so that every partial of a note dies in its own time (J. Woodhouse, “Plucked guitar
 * transients”, Acta Acustica 90, 2004); its frequencies are drawn once and for all from a seed.
 *
 * @param coupled those at which the bridge gives way, in rising order
 * @param radiating those that are heard
 */
record Modes(List<Coupled> coupled, List<Radiating> radiating) {

  /**
   * A resonance as the strings feel it.
   *
   * @param hertz where
   * @param sharpness its Q
   * @param mobility how far the bridge gives way at its peak, as a share of what a string would
   *     need to lose everything at once
   */
  record Coupled(double hertz, double sharpness, double mobility) {}

  /**
   * A resonance as it is heard.
   *
   * @param left gain to the left at its peak, either sign
   * @param right the same to the right
   */
  record Radiating(double hertz, double sharpness, double left, double right) {}

  static final Modes STEEL = of(98, 188, 0.9, 41);

  static final Modes NYLON = of(103, 214, 0.42, 44);

  /** From here on the field is drawn, up to the top, Hz. */
  private static final double FIELD = 330;

  private static final double TOP = 5200;

  /** Modes of the field lie so far apart, as a ratio. */
  private static final double APART = 1.103;

  /** The bridge gives way to partials up to here, Hz. */
  private static final double COUPLED = 2600;

  static Modes of(Material material) {
    return material == Material.STEEL ? STEEL : NYLON;
  }

  private static Modes of(double air, double top, double light, long seed) {
    List<Coupled> coupled = new ArrayList<>();
    List<Radiating> radiating = new ArrayList<>();
    coupled.add(new Coupled(air, 11, 0.0016 * light));
    coupled.add(new Coupled(top, 12, 0.0035 * light));
    coupled.add(new Coupled(1.28 * top, 16, 0.0018 * light));
    radiating.add(new Radiating(air, 9, 0.62, 0.42));
    radiating.add(new Radiating(top, 9, 0.42, 0.66));
    // The first mode that rocks: what goes up on one side goes down on the other.
    radiating.add(new Radiating(1.28 * top, 12, 0.5, -0.12));
    SplittableRandom random = new SplittableRandom(seed);
    for (double f = FIELD; f < TOP; f *= APART) {
      double hertz = f * (1 + 0.03 * (2 * random.nextDouble() - 1));
      double strength = 0.75 + 0.5 * random.nextDouble();
      double sharpness = 16 + 8 * random.nextDouble();
      if (hertz < COUPLED && radiating.size() % 2 == 0) {
        coupled.add(new Coupled(hertz, sharpness, 0.0013 * light * strength));
      }
      // Modes have lobes of their own: one side may hear one the other way round.
      double turn = random.nextDouble() < 0.5 ? -1 : 1;
      double side = 0.35 * (2 * random.nextDouble() - 1);
      double other = random.nextDouble() < 0.22 ? -1 : 1;
      double level = turn * envelope(hertz) * strength;
      radiating.add(
          new Radiating(hertz, 0.7 * sharpness, level * (1 + side), other * level * (1 - side)));
    }
    return new Modes(List.copyOf(coupled), List.copyOf(radiating));
  }

  /** How well the body radiates: with some presence between 2 and 5 kHz. */
  private static double envelope(double hertz) {
    double presence = Math.exp(-Math.pow(Math.log(hertz / 3200) / 0.55, 2));
    return 0.5 + 1.1 * presence;
  }
}
