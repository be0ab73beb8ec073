package phalanx.planning;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Remark.Figure;
import phalanx.arrangement.Remark.Kind;
import phalanx.instrument.StringSign;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Fingered;
import phalanx.picking.HandSchool;
import phalanx.picking.PickFinger;
import phalanx.picking.Strike;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/** Says in sentences what of each strike the fingers cannot do, one strike after the other. */
final class OmittedStrokes {

  private final HandSchool school;
  private final double tempo;
  private final Map<PickFinger, Integer> last = new EnumMap<>(PickFinger.class);

  OmittedStrokes(HandSchool school, double tempo) {
    this.school = school;
    this.tempo = tempo;
  }

  /**
   * What the next strike lacks.
   *
   * @param tick when it stands in the song as written
   * @param touches whether a finger was to touch a harmonic
   */
  List<Remark> next(Strike strike, Fingered fingers, int tick, boolean touches) {
    List<Remark> remarks = new ArrayList<>();
    List<Integer> struck = new ArrayList<>(strike.strings());
    strike.thumb().ifPresent(struck::add);
    for (int string : struck) {
      Optional<PickFinger> finger = fingers.finger(string);
      Optional<PickFinger> wanted = Optional.ofNullable(strike.wanted().get(string));
      if (finger.isEmpty()) {
        remarks.add(missing(strike, fingers, string, tick));
      } else if (wanted.isPresent() && !wanted.equals(finger)) {
        remarks.add(other(strike, wanted.get(), finger.get(), string, tick));
      }
    }
    if (!fingers.gesture() && !strike.gesture().isEmpty()) {
      String words =
          touches
              ? school.hasPick()
                  ? Texts.of("omittedStrokes.aHarmonicIsLeft")
                  : Texts.of("omittedStrokes.aHarmonicIsLeft2")
              : Texts.of("omittedStrokes.aHitOrBrush");
      Figure figure = millis(strike, strike.gesture().stream(), FingerAssignment.TOO_QUICK_MS);
      remarks.add(ofGesture(Kind.GESTURE, words, tick, figure));
    }
    fingers
        .taken()
        .filter(strike.lighter()::contains)
        .ifPresent(t -> remarks.add(lighter(strike, t, tick)));
    fingers.fingers().forEach((string, f) -> last.put(f, strike.at(string)));
    fingers.taken().stream().flatMap(Set::stream).forEach(f -> last.put(f, strike.tick()));
    return remarks;
  }

  private static Remark lighter(Strike strike, Set<PickFinger> taken, int tick) {
    String letters =
        taken.stream().sorted().map(PickFinger::letter).collect(Collectors.joining(" "));
    String words =
        taken.isEmpty()
            ? Texts.of("omittedStrokes.theHeelKnocks")
            : Texts.of("omittedStrokes.aHitIsMadeWith", letters);
    Figure figure = new Figure(taken.size(), strike.gesture().size(), "fingers");
    return ofGesture(Kind.LIGHTER_HIT, words, tick, figure);
  }

  private static Remark ofGesture(Kind kind, String words, int tick, Figure figure) {
    return new Remark(kind, words, Optional.of(tick), Optional.empty(), Optional.of(figure));
  }

  private Remark missing(Strike strike, Fingered fingers, int string, int tick) {
    String sign = StringSign.of(string);
    long free = free(strike);
    if (strike.strings().size() > free) {
      Figure figure = new Figure(strike.strings().size(), free, "fingers");
      String words = Texts.of("omittedStrokes.isLeftOutOf", sign);
      return Remark.at(Kind.TOO_MANY, words, tick, string, figure);
    }
    boolean thumb = strike.thumb().equals(Optional.of(string));
    Figure figure =
        thumb
            ? millis(strike, Stream.of(PickFinger.P), FingerAssignment.THUMB_BACK_MS)
            : millis(
                strike,
                school.fingers().stream().filter(f -> !fingers.fingers().containsValue(f)),
                FingerAssignment.TOO_QUICK_MS);
    String words = Texts.of("omittedStrokes.isLeftOutOnce", sign);
    return Remark.at(Kind.TOO_SOON, words, tick, string, figure);
  }

  private Remark other(Strike strike, PickFinger wanted, PickFinger taken, int string, int tick) {
    String sign = StringSign.of(string);
    long crossings =
        strike.wanted().entrySet().stream()
            .filter(e -> e.getKey() != string)
            .filter(e -> e.getKey() < string != e.getValue().compareTo(wanted) < 0)
            .count();
    if (crossings > 0) {
      String words =
          Texts.of("omittedStrokes.isWantedOnWhere", wanted.letter(), sign, taken.letter());
      return Remark.at(Kind.CROSSING, words, tick, string, new Figure(crossings, 0, "crossings"));
    }
    String words = Texts.of("omittedStrokes.isWantedOnAnd", wanted.letter(), sign, taken.letter());
    Figure figure = millis(strike, Stream.of(wanted), FingerAssignment.TOO_QUICK_MS);
    return Remark.at(Kind.OTHER_FINGER, words, tick, string, figure);
  }

  /** How long ago the most rested of some fingers struck, against the time it needs. */
  private Figure millis(Strike strike, Stream<PickFinger> fingers, double limit) {
    double most =
        fingers
            .filter(last::containsKey)
            .mapToDouble(f -> Ticks.millis((long) strike.tick() - last.get(f), tempo))
            .max()
            .orElse(0);
    return new Figure(Math.min(most, limit), limit, "ms");
  }

  /** Fingers for a block; a thumb without a stroke of its own takes the lowest string of it. */
  private long free(Strike strike) {
    boolean thumb =
        strike.thumb().isEmpty()
            && !strike.gesture().contains(PickFinger.P)
            && !strike.wanted().containsValue(PickFinger.P)
            && strike.strings().size() > school.fingers().size();
    return (thumb ? 1 : 0)
        + school.fingers().stream().filter(f -> !strike.gesture().contains(f)).count()
        + strike.wanted().values().stream().filter(f -> !school.fingers().contains(f)).count();
  }
}
