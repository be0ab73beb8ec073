package phalanx.fretting;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;

/** A finger that takes one more note while the others stay where they are. */
public final class AddedFinger {

  private AddedFinger() {}

  /**
   * The finger that can press a string at a fret beside a held shape; the one on that string may
   * move there, every other stays.
   *
   * @param fret from the capo, 1 or more
   * @return the finger that does it with least effort; empty if none reaches
   */
  public static Optional<Finger> on(Shape held, int string, int fret, Reach reach) {
    boolean thumb = string == 0 && reach.hand().thumbOver();
    if (!thumb && isFar(held, string, fret, reach)) {
      return Optional.empty();
    }
    int[] wanted = frets(held);
    wanted[string] = fret;
    int[] fingers = fingers(held);
    int[] best = {FingerCode.NONE};
    double[] least = {ShapeMeasure.OUT_OF_REACH};
    search(
        wanted,
        reach,
        (grips, cost) -> {
          if (cost < least[0] && stay(grips, wanted, fingers, s -> s == string)) {
            least[0] = cost;
            best[0] = grips.fingerOn(string, fret);
          }
        });
    return best[0] == FingerCode.NONE ? Optional.empty() : Optional.of(FingerCode.finger(best[0]));
  }

  /**
   * The fingers that press several more strings at once, each its own, while all others stay.
   *
   * @param added frets from the capo, 1 or more, by strings that the shape does not press
   * @return the fingers that do it with least effort, by string; empty if no others reach
   */
  public static Map<Integer, Finger> on(Shape held, Map<Integer, Integer> added, Reach reach) {
    int[] wanted = frets(held);
    added.forEach((string, fret) -> wanted[string] = fret);
    int[] fingers = fingers(held);
    Map<Integer, Finger> best = new HashMap<>();
    double[] least = {ShapeMeasure.OUT_OF_REACH};
    search(
        wanted,
        reach,
        (grips, cost) -> {
          if (cost < least[0] && stay(grips, wanted, fingers, added.keySet()::contains)) {
            Map<Integer, Finger> by = new HashMap<>();
            added.forEach((s, f) -> by.put(s, FingerCode.finger(grips.fingerOn(s, f))));
            boolean free = by.values().stream().noneMatch(held.grips()::containsKey);
            if (free && Set.copyOf(by.values()).size() == by.size()) {
              least[0] = cost;
              best.clear();
              best.putAll(by);
            }
          }
        });
    return best;
  }

  /**
   * Whether no finger but the thumb could be there with the others, so that no search is needed.
   */
  private static boolean isFar(Shape held, int string, int fret, Reach reach) {
    long at = held.fingerPlaces();
    for (int own = FingerCode.INDEX; own <= FingerCode.LITTLE; own++) {
      int there = FingerPlaces.fret(at, own);
      int low = FingerPlaces.low(at, own);
      int high = FingerPlaces.high(at, own);
      if (there > 0 && (high > low || low != string)) {
        double way = reach.distance(there, low, high, fret, string, string);
        boolean reached = false;
        for (int f = FingerCode.INDEX; f <= FingerCode.LITTLE; f++) {
          boolean joins = f == own && there == fret;
          reached |= joins || f != own && way <= Hand.STRETCH * reach.limit(f, own);
        }
        if (!reached) {
          return true;
        }
      }
    }
    return false;
  }

  /**
   * What a string's own finger does while another presses it at a fret: it stays below, where both
   * reach.
   *
   * @return whether it can stay; also where the string has no finger, or that very one
   */
  public static boolean ownStays(Shape held, int string, int fret, Finger finger, Reach reach) {
    Optional<Finger> own = held.finger(string).filter(f -> f != finger);
    return own.isEmpty()
        || held.fret(string).orElse(0) < fret
            && reach.spans(
                own.get(), held.grips().get(own.get()), finger, new Grip(fret, string, string));
  }

  /** Whether one hand can hold all that a shape presses, within its limits. */
  public static boolean together(Shape held, Reach reach) {
    int[] wanted = frets(held);
    int[] fingers = fingers(held);
    boolean[] found = {false};
    search(wanted, reach, (grips, cost) -> found[0] |= stay(grips, wanted, fingers, s -> false));
    return found[0];
  }

  private static void search(int[] wanted, Reach reach, FingerSearch.Sink sink) {
    new FingerSearch(new ShapeMeasure(reach), reach.hand().thumbOver()).search(wanted, sink);
  }

  private static int[] frets(Shape held) {
    int[] frets = new int[Tuning.STRINGS];
    for (int s = 0; s < frets.length; s++) {
      frets[s] = held.fretAt(s);
    }
    return frets;
  }

  private static int[] fingers(Shape held) {
    int[] fingers = new int[Tuning.STRINGS];
    for (int s = 0; s < fingers.length; s++) {
      fingers[s] = held.fingerCode(s);
    }
    return fingers;
  }

  private static boolean stay(GripTable grips, int[] frets, int[] fingers, IntPredicate but) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (!but.test(s) && frets[s] > 0 && grips.fingerOn(s, frets[s]) != fingers[s]) {
        return false;
      }
    }
    return true;
  }
}
