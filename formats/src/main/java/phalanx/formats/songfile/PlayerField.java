package phalanx.formats.songfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import phalanx.formats.Texts;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.song.Feel;
import phalanx.song.Ritard;
import phalanx.song.Swing;
import phalanx.theory.Pitch;

/** The guitar, the hand and how a song moves, as they stand in a song file, value by value. */
final class PlayerField {

  private final Faults faults;

  PlayerField(Faults faults) {
    this.faults = faults;
  }

  Feel feel(Field field) {
    Feel usual = Feel.USUAL;
    return new Feel(
        faults.or(usual.meter(), () -> ChartField.meter(field.at("meter"))),
        faults.or(usual.tempo(), () -> field.at("tempo").number(Feel.SLOWEST, Feel.FASTEST)),
        new Swing(faults.or(50, () -> field.at("swingPercent").whole(50, 75))),
        faults.or(0, () -> field.at("pickupTicks").whole(0, ChartField.MOST_TICKS)),
        field.maybe("ritard").flatMap(f -> faults.or(Optional.empty(), () -> ritard(f))));
  }

  private static Optional<Ritard> ritard(Field field) {
    return Optional.of(
        new Ritard(
            field.at("bars").whole(1, Ritard.MOST_BARS), field.at("to").number(Ritard.LEAST, 1)));
  }

  Guitar guitar(Field field) {
    Guitar usual = Guitar.STEEL;
    Field capo = field.at("capo");
    double nut = faults.or(usual.nutSpan(), () -> field.at("nutSpanMm").number(20, 80));
    double bridge = Math.max(nut, usual.bridgeSpan());
    return new Guitar(
        faults.or(usual.tuning(), () -> tuning(field.at("tuning"))),
        faults.or(usual.scaleLength(), () -> field.at("scaleLengthMm").number(300, 800)),
        faults.or(usual.frets(), () -> field.at("frets").whole(12, 24)),
        nut,
        faults.or(bridge, () -> field.at("bridgeSpanMm").number(nut, 100)),
        faults.or(0, () -> capo.object().at("fret").whole(0, Guitar.HIGHEST_CAPO)),
        faults.or(usual.capoStrings(), () -> capoStrings(capo.object().at("strings"))),
        faults.or(usual.bodyJoin(), () -> field.at("bodyJoinFret").whole(10, 16)),
        faults.or(usual.cutaway(), () -> field.at("cutaway").truth()));
  }

  private static Set<Integer> capoStrings(Field field) {
    return field.list().stream()
        .map(s -> Tuning.STRINGS - s.whole(1, Tuning.STRINGS))
        .collect(Collectors.toSet());
  }

  private static Tuning tuning(Field field) {
    List<Field> strings = field.list();
    if (strings.size() != Tuning.STRINGS) {
      throw field.fault(Texts.of("playerField.sixPitchesLowTo"));
    }
    List<Pitch> pitches = new ArrayList<>();
    strings.forEach(s -> pitches.add(s.parsed(Pitch::parse, Texts.of("playerField.aPitchSuchAs"))));
    try {
      return new Tuning(pitches);
    } catch (IllegalArgumentException e) {
      throw field.fault(Texts.of("playerField.sixPitches", e.getMessage()));
    }
  }

  Hand hand(Field field) {
    Hand.Pace usual = Hand.Pace.USUAL;
    double scale = faults.or(1.0, () -> field.at("scale").number(0.7, 1.4));
    double most = Math.min(Hand.MOST_COMFORT_FACTOR, Hand.MOST_COMFORT * scale);
    Supplier<Double> comfort = () -> field.at("comfort").number(Hand.LEAST_COMFORT_FACTOR, most);
    return new Hand(
        faults.or(Hand.Size.MEDIUM, () -> field.at("size").word(Hand.Size.class)),
        scale,
        field.maybe("comfort").isPresent() ? faults.or(scale, comfort) : scale,
        has(field, "thumbOver", true),
        has(field, "stretches", false),
        new Hand.Pace(
            millis(field, "reactionMs", usual.reactionMs(), 0),
            millis(field, "doublingMs", usual.doublingMs(), 10)),
        faults.or(Set.of(), () -> missing(field)));
  }

  private static Set<Finger> missing(Field field) {
    Optional<Field> said = field.maybe("missing");
    Set<Finger> missing =
        said.stream()
            .flatMap(f -> f.list().stream())
            .map(f -> Finger.numbered(f.whole(1, Finger.LITTLE.ordinal())))
            .collect(Collectors.toSet());
    if (missing.size() > Hand.MOST_MISSING) {
      throw said.orElseThrow().fault(Texts.of("playerField.threeFingersAtMost"));
    }
    return missing;
  }

  /** Whether the song asks for its hand; one that does not say so does if it is none of a kind. */
  boolean isOwn(Field field, Hand hand) {
    return has(field, "own", !hand.equals(Hand.MEDIUM));
  }

  private boolean has(Field field, String name, boolean otherwise) {
    return field.maybe(name).map(f -> faults.or(otherwise, f::truth)).orElse(otherwise);
  }

  private double millis(Field field, String name, double otherwise, double least) {
    Supplier<Double> read = () -> field.at(name).number(least, 500);
    return field.maybe(name).isPresent() ? faults.or(otherwise, read) : otherwise;
  }
}
