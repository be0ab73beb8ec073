package phalanx.picking;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.fretting.CostTerm;

/** Every way the hand can play one strike, without crossing fingers. */
final class Fingerings {

  /** Cost of another finger than the player wants. */
  static final double UNWANTED = CostTerm.UNWANTED.weight();

  /** Cost of a string that is left out. */
  static final double LEFT_OUT = CostTerm.STROKE_LEFT_OUT.weight();

  /** Cost of leaving out the bass, which carries the rhythm. */
  static final double BASS_LEFT_OUT = CostTerm.BASS_LEFT_OUT.weight();

  /** Cost of leaving out a hit or a brush. */
  static final double GESTURE_LEFT_OUT = CostTerm.GESTURE_LEFT_OUT.weight();

  /** Cost of a hit with fewer fingers. */
  static final double LIGHTER = CostTerm.LIGHTER_HIT.weight();

  private Fingerings() {}

  /** Every fingering that plays all of it; none where the school has not so many fingers. */
  static List<Fingered> whole(Strike strike, HandSchool school) {
    List<Fingered> all = new ArrayList<>();
    for (Set<PickFinger> taken : gestures(strike)) {
      add(strike, school, strike.thumb(), strike.strings(), Optional.of(taken), all);
    }
    return all;
  }

  /** Every fingering that plays some of it, or nothing. */
  static List<Fingered> parts(Strike strike, HandSchool school) {
    List<Fingered> all = new ArrayList<>();
    int strings = strike.strings().size();
    for (int mask = 0; mask < 1 << strings; mask++) {
      List<Integer> kept = new ArrayList<>();
      for (int s = 0; s < strings; s++) {
        if ((mask >> s & 1) > 0) {
          kept.add(strike.strings().get(s));
        }
      }
      for (Optional<Integer> thumb : List.of(strike.thumb(), Optional.<Integer>empty())) {
        for (Set<PickFinger> taken : gestures(strike)) {
          add(strike, school, thumb, kept, Optional.of(taken), all);
        }
        add(strike, school, thumb, kept, Optional.empty(), all);
      }
    }
    return all;
  }

  /** The fingers of its hit or brush in every way to make it, the fullest first. */
  private static List<Set<PickFinger>> gestures(Strike strike) {
    return Stream.concat(Stream.of(strike.gesture()), strike.lighter().stream()).toList();
  }

  /** What it costs to play a strike so, whatever came before. */
  static double cost(Strike strike, Fingered fingers) {
    double cost = strike.gesture().isEmpty() ? 0 : gestureCost(strike, fingers);
    if (strike.thumb().isPresent() && fingers.finger(strike.thumb().get()).isEmpty()) {
      cost += BASS_LEFT_OUT;
    }
    for (int string : strike.strings()) {
      Optional<PickFinger> finger = fingers.finger(string);
      if (finger.isEmpty()) {
        cost += LEFT_OUT;
      } else if (strike.wanted().containsKey(string)
          && strike.wanted().get(string) != finger.get()) {
        cost += UNWANTED;
      }
    }
    return cost;
  }

  private static double gestureCost(Strike strike, Fingered fingers) {
    return fingers
        .taken()
        .map(taken -> taken.equals(strike.gesture()) ? 0 : LIGHTER)
        .orElse(GESTURE_LEFT_OUT);
  }

  private static void add(
      Strike strike,
      HandSchool school,
      Optional<Integer> thumb,
      List<Integer> strings,
      Optional<Set<PickFinger>> taken,
      List<Fingered> all) {
    Set<PickFinger> busy = taken.orElse(Set.of());
    boolean crossed = thumb.isPresent() && strings.stream().anyMatch(s -> s < thumb.get());
    boolean held = busy.stream().anyMatch(school.holding()::contains);
    if (crossed || held || thumb.isPresent() && busy.contains(PickFinger.P)) {
      return;
    }
    Set<PickFinger> free = EnumSet.copyOf(school.fingers());
    free.addAll(strike.wanted().values());
    // In a block of more strings than fingers a thumb without a stroke of its own takes the lowest.
    boolean block = strike.thumb().isEmpty() && strike.strings().size() > school.fingers().size();
    if (school.isThumbInLines() || block) {
      free.add(PickFinger.P);
    }
    free.removeAll(busy);
    free.removeAll(school.holding());
    if (thumb.isPresent()) {
      free.remove(PickFinger.P);
    }
    for (List<PickFinger> chosen : choices(strings.size(), List.copyOf(free))) {
      Map<Integer, PickFinger> fingers = new HashMap<>();
      thumb.ifPresent(t -> fingers.put(t, PickFinger.P));
      for (int k = 0; k < chosen.size(); k++) {
        fingers.put(strings.get(k), chosen.get(k));
      }
      all.add(new Fingered(fingers, taken));
    }
  }

  /** Every rising choice of {@code count} fingers. */
  static List<List<PickFinger>> choices(int count, List<PickFinger> fingers) {
    List<List<PickFinger>> all = new ArrayList<>();
    for (int mask = 0; mask < 1 << fingers.size(); mask++) {
      if (Integer.bitCount(mask) == count) {
        List<PickFinger> chosen = new ArrayList<>(count);
        for (int f = 0; f < fingers.size(); f++) {
          if ((mask >> f & 1) > 0) {
            chosen.add(fingers.get(f));
          }
        }
        all.add(chosen);
      }
    }
    return all;
  }
}
