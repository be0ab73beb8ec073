package phalanx.fretting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.text.Texts;
import phalanx.theory.ChordName;
import phalanx.theory.ChordNaming;

/**
 * A shape of the player's own: what it is called, how it can be fingered, what keeps a hand from
 * it.
 *
 * @param frets six frets from the capo, low string to high; {@link Shape#SILENT} for none
 * @param names what its notes may be called, likeliest first
 * @param fingerings every way this hand can finger it, stretches included, the easiest first, each
 *     with the cost of its fingers alone
 * @param trouble why no finger can hold it, in a sentence; empty if one can
 */
public record ShapeTrial(
    List<Integer> frets,
    List<ChordName> names,
    List<RatedShape> fingerings,
    Optional<String> trouble) {

  public ShapeTrial {
    frets = List.copyOf(frets);
    names = List.copyOf(names);
    fingerings = List.copyOf(fingerings);
  }

  /** Tries frets on a guitar with a hand. Frets beyond the neck count as trouble. */
  public static ShapeTrial of(List<Integer> frets, Reach reach) {
    Guitar guitar = reach.guitar();
    if (frets.stream().anyMatch(f -> f > reach.highestFret())) {
      String words = Texts.of("shapeTrial.thisNeckHasFrets", reach.highestFret());
      return new ShapeTrial(frets, List.of(), List.of(), Optional.of(words));
    }
    List<Integer> midi = new ArrayList<>();
    for (int s = 0; s < frets.size(); s++) {
      if (frets.get(s) != Shape.SILENT) {
        midi.add(guitar.shapeMidi(s, frets.get(s)));
      }
    }
    midi.sort(null);
    // Who tries a shape wants to know how far it is, so that stretches count as playable here.
    List<RatedShape> fingerings = fingerings(frets, stretching(reach, reach.hand()));
    Optional<String> trouble =
        fingerings.isEmpty() ? Optional.of(trouble(frets, reach)) : Optional.empty();
    return new ShapeTrial(frets, ChordNaming.names(midi), fingerings, trouble);
  }

  /**
   * Every way a hand can finger frets, the easiest first, each with the cost of its fingers alone.
   */
  public static List<RatedShape> fingerings(List<Integer> frets, Reach reach) {
    int[] wanted = frets.stream().mapToInt(f -> f).toArray();
    long packed = PackedShapes.frets(wanted);
    List<RatedShape> found = new ArrayList<>();
    new FingerSearch(new ShapeMeasure(reach), reach.hand().thumbOver())
        .search(
            wanted,
            (grips, cost) -> {
              long shape = PackedShapes.pack(packed, wanted, grips);
              found.add(new RatedShape(PackedShapes.unpack(shape), cost));
            });
    found.sort(Comparator.comparingDouble(RatedShape::cost));
    return found;
  }

  private static Reach stretching(Reach reach, Hand hand) {
    return new Reach(reach.guitar(), hand.withStretches(true));
  }

  private static String trouble(List<Integer> frets, Reach reach) {
    List<Integer> held = frets.stream().filter(f -> f > 0).sorted().toList();
    double way = reach.along(held.get(0), held.get(held.size() - 1));
    double limit = reach.limit(FingerCode.INDEX, FingerCode.LITTLE);
    return way <= limit * Hand.STRETCH
        ? Texts.of("shapeTrial.needsMoreFingersThan")
        : Texts.of(
            "shapeTrial.outOfReachFrets", held.get(0), held.get(held.size() - 1), way, limit);
  }
}
