package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;

/**
 * Where a natural harmonic lies: on an open string, touched by a free finger of the fretting hand
 * where one can be there, else by the index finger of the picking hand. Weights are by judgement.
 */
final class HarmonicPlaces {

  /** Cost of each overtone above the octave, which speaks less easily. */
  private static final double OVERTONE = CostTerm.OVERTONE.weight();

  /** Cost of a finger that comes to touch. */
  private static final double TOUCH = CostTerm.TOUCH.weight();

  /** The picking hand has to touch and pluck with two fingers. */
  private static final double TWO_FINGERS = CostTerm.TOUCHED_AND_PLUCKED.weight();

  /** Cost of a string that a finger leaves to be open. */
  private static final double FREED = CostTerm.FREED.weight();

  /** Where the picking hand can touch and still pluck behind. */
  private static final double LOWEST_TOUCH = 4.9;

  private static final double HIGHEST_TOUCH = 19.1;

  /** The picking hand finds the octave most easily. */
  private static final int OCTAVE_FRET = 12;

  /** Nodes this near to a fret lie under a finger laid across there. */
  private static final double SAME = 0.2;

  private final Reach reach;

  HarmonicPlaces(Reach reach) {
    this.reach = reach;
  }

  /**
   * Every place of a natural harmonic.
   *
   * @param root the string the thumb starts on, which stays the bass's
   * @param note what is to sound
   */
  List<TunePlace> of(Shape shape, int root, MelodyNote note) {
    int sounding = note.midi() + reach.guitar().capo();
    List<TunePlace> places = new ArrayList<>();
    for (int s = root + 1; s < Tuning.STRINGS; s++) {
      int string = s;
      List<HarmonicNode> nodes =
          HarmonicNode.sounding(reach.guitar(), sounding).stream()
              .filter(n -> n.string() == string && note.allows(n))
              .toList();
      if (!nodes.isEmpty() && !isBarred(shape, string)) {
        nodes.stream()
            .flatMap(n -> touched(shape, n).stream())
            .min(Comparator.comparingDouble(TunePlace::cost))
            .ifPresent(places::add);
        picked(shape, nodes).ifPresent(places::add);
      }
    }
    return places;
  }

  /**
   * Places of harmonics at once that a finger laid across the strings touches together: the ring
   * finger, as it lies flat where the hand comes from the side (common practice, no source).
   *
   * @return one place for each note, for each fret at which all have a node
   */
  static List<List<TunePlace>> across(Reach reach, List<MelodyNote> notes) {
    List<List<TunePlace>> ways = new ArrayList<>();
    for (int fret = 1; fret <= reach.highestFret(); fret++) {
      List<TunePlace> places = new ArrayList<>();
      for (MelodyNote note : notes) {
        int at = fret;
        HarmonicNode.sounding(reach.guitar(), note.midi() + reach.guitar().capo()).stream()
            .filter(n -> Math.abs(n.fret() - at) < SAME && note.allows(n))
            .filter(n -> note.string().filter(s -> s != n.string()).isEmpty())
            .filter(n -> places.stream().noneMatch(p -> p.string() == n.string()))
            .findFirst()
            .ifPresent(n -> places.add(laid(n, reach)));
      }
      if (places.size() == notes.size()) {
        ways.add(places);
      }
    }
    return ways;
  }

  private static TunePlace laid(HarmonicNode node, Reach reach) {
    int fret = (int) Math.round(node.fret());
    double cost = cost(node, Set.of()) + TOUCH;
    return new TunePlace(
        node.string(), fret, Optional.of(layable(reach)), false, Set.of(), cost, Optional.of(node));
  }

  /** The finger that is laid across strings: the ring finger, if the hand has it. */
  private static Finger layable(Reach reach) {
    return Stream.of(Finger.RING, Finger.MIDDLE, Finger.INDEX, Finger.LITTLE)
        .filter(reach.hand()::has)
        .findFirst()
        .orElseThrow();
  }

  private static boolean isBarred(Shape shape, int string) {
    return shape.grips().values().stream()
        .anyMatch(g -> g.isBarre() && g.lowString() <= string && string <= g.highString());
  }

  /** The fretting hand touches. */
  private Optional<TunePlace> touched(Shape shape, HarmonicNode node) {
    int string = node.string();
    int fret = (int) Math.round(node.fret());
    Set<Integer> left = freed(shape, string);
    Optional<Finger> finger =
        fret > reach.highestFret()
            ? Optional.empty()
            : AddedFinger.on(shape.without(left), string, fret, reach);
    return finger.map(
        f -> {
          double cost = cost(node, left) + TOUCH + away(shape.without(left), string, fret);
          return new TunePlace(string, fret, finger, false, left, cost, Optional.of(node));
        });
  }

  /** How far it lies from what is held, in a tenth of a hand. */
  private double away(Shape shape, int string, int fret) {
    Grip there = new Grip(fret, string, string);
    return shape.grips().values().stream()
        .mapToDouble(g -> reach.distance(g, there) / 1000)
        .min()
        .orElse(0);
  }

  /** The picking hand touches, and plucks behind. */
  private Optional<TunePlace> picked(Shape shape, List<HarmonicNode> nodes) {
    Set<Integer> left = freed(shape, nodes.get(0).string());
    return nodes.stream()
        .filter(n -> n.fret() >= LOWEST_TOUCH && n.fret() <= HIGHEST_TOUCH)
        .min(Comparator.comparingDouble(n -> Math.abs(n.fret() - OCTAVE_FRET)))
        .map(
            n ->
                new TunePlace(
                    n.string(),
                    0,
                    Optional.empty(),
                    false,
                    left,
                    cost(n, left) + TWO_FINGERS,
                    Optional.of(n)));
  }

  private static Set<Integer> freed(Shape shape, int string) {
    return new HashSet<>(shape.finger(string).isPresent() ? Stream.of(string).toList() : List.of());
  }

  private static double cost(HarmonicNode node, Set<Integer> left) {
    return OVERTONE * (node.harmonic() - 2) + (left.isEmpty() ? 0 : FREED);
  }
}
