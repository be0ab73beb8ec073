package phalanx.planning;

import java.util.HashSet;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.tune.TunePlace;
import phalanx.instrument.HarmonicNode;
import phalanx.picking.Stroke;
import phalanx.technique.Technique;

/**
 * What is special about a pluck of the tune, with its place on the neck found.
 *
 * @param techniques the techniques
 * @param touchedAt the fret nearest to where an open string is touched, from the capo
 * @param isTouchedByPicking whether the index finger of the picking hand touches while another
 *     plucks
 */
record Articulation(Set<Technique> techniques, OptionalInt touchedAt, boolean isTouchedByPicking) {

  static final Articulation PLAIN = new Articulation(Set.of(), OptionalInt.empty(), false);

  Articulation {
    techniques = Set.copyOf(techniques);
  }

  /** A stroke of a pattern. */
  static Articulation of(Stroke.Pluck pluck) {
    boolean touched =
        pluck.techniques().stream().anyMatch(Technique.TouchedHarmonic.class::isInstance);
    return pluck.techniques().isEmpty()
        ? PLAIN
        : new Articulation(pluck.techniques(), OptionalInt.empty(), touched);
  }

  static Articulation of(MelodyNote note, TunePlace place) {
    if (note.techniques().isEmpty()) {
      return PLAIN;
    }
    Set<Technique> techniques = new HashSet<>();
    for (Technique technique : note.techniques()) {
      boolean natural = technique instanceof Technique.NaturalHarmonic && place.node().isPresent();
      HarmonicNode node = place.node().orElse(null);
      techniques.add(
          natural ? new Technique.NaturalHarmonic(node.harmonic(), node.node()) : technique);
    }
    OptionalInt at =
        place.node().isPresent()
            ? OptionalInt.of((int) Math.round(place.node().get().fret()))
            : OptionalInt.empty();
    return new Articulation(techniques, at, note.isTouchedByPicking(place.finger().isPresent()));
  }

  /** How many semitones above its fretted or open string it sounds. */
  int higher() {
    return (int) Math.round(techniques.stream().mapToDouble(Technique::higher).sum());
  }
}
