package phalanx.picking;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/** What no hand can do at one instant, whatever its school. */
public final class PatternRules {

  private static final int FINGERS = PickFinger.values().length;
  private static final List<String> NUMBERS =
      List.of(
          Texts.of("patternRules.none"),
          Texts.of("patternRules.one"),
          Texts.of("patternRules.two"),
          Texts.of("patternRules.three"),
          Texts.of("patternRules.four"),
          Texts.of("patternRules.five"),
          Texts.of("patternRules.six"),
          Texts.of("patternRules.seven"),
          Texts.of("patternRules.eight"),
          Texts.of("patternRules.nine"));

  private PatternRules() {}

  /** Why a step cannot be played, in a sentence; empty if it can. */
  public static Optional<String> trouble(Pattern.Step step) {
    List<Stroke> strokes =
        step.strokes().stream().filter(s -> !(s instanceof Stroke.Stop)).toList();
    long free = strokes.stream().filter(s -> s.fixedFingers().isEmpty()).count();
    // A heel laid down needs no finger; everything else that names none needs one of the school's.
    free -= strokes.stream().filter(PatternRules::isHeel).count();
    long fixed = strokes.stream().mapToLong(s -> s.fixedFingers().size()).sum();
    if (free + fixed > FINGERS) {
      return Optional.of(Texts.of("patternRules.strokesAtOnceFor", number(free + fixed)));
    }
    Set<PickFinger> taken = EnumSet.noneOf(PickFinger.class);
    for (Stroke stroke : strokes) {
      for (PickFinger finger : stroke.fixedFingers()) {
        if (!taken.add(finger)) {
          String words = Texts.of("patternRules.cannotDoTwoThings");
          return Optional.of(Phrase.of(words, finger.words()));
        }
      }
    }
    if (step.roll().isPresent() && step.plucks().count() < 2) {
      return Optional.of(Texts.of("patternRules.aRollNeedsTwo"));
    }
    return Optional.empty();
  }

  private static boolean isHeel(Stroke stroke) {
    return stroke instanceof Stroke.Knock k && k.hit().fingers().isEmpty();
  }

  private static String number(long n) {
    String word = n < NUMBERS.size() ? NUMBERS.get((int) n) : String.valueOf(n);
    return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  /** Whether the next chord may come at a place: at most half a beat before a bar ends. */
  static boolean mayComeEarly(int tick, Meter meter) {
    int left = meter.barTicks() - tick % meter.barTicks();
    return 2 * left <= meter.beatTicks();
  }
}
