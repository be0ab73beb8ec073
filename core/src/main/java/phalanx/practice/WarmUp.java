package phalanx.practice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.fretting.Shape;
import phalanx.text.Texts;

/**
 * Something slow to begin with: the pattern on open strings, then shapes of the song, the narrow
 * ones first; wide stretches never.
 */
public final class WarmUp {

  private static final int SHAPES = 3;
  private static final int MINUTES = 4;

  private WarmUp() {}

  /** The warm-up of a song; empty where nothing is plucked in it. */
  public static Optional<Drill> of(Arrangement arrangement) {
    return Drills.pattern(arrangement).map(d -> slow(d, narrow(arrangement)));
  }

  private static Drill slow(Drill pattern, String shapes) {
    double tempo = pattern.tempo().start();
    return new Drill(
        pattern.id(),
        pattern.kind(),
        Texts.of("warmUp.warmUpOpenStrings"),
        pattern.fromBar(),
        pattern.toBar(),
        pattern.fromTick(),
        pattern.toTick(),
        pattern.played(),
        pattern.adds(),
        new Drill.TempoGoal(tempo, tempo, Optional.of(Texts.of("warmUp.aWarmUpStays"))),
        shapes.isEmpty()
            ? Texts.of("warmUp.slowAndQuiet")
            : Texts.of("warmUp.thenHoldWithoutPressing", shapes),
        MINUTES);
  }

  private static String narrow(Arrangement arrangement) {
    return arrangement.slots().stream()
        .filter(s -> s.shape().isPresent())
        .sorted(Comparator.comparingInt(s -> width(s.held())))
        .map(s -> s.played().harmony().label())
        .distinct()
        .limit(SHAPES)
        .collect(Collectors.joining(", "));
  }

  /** Frets from the lowest finger to the highest. */
  private static int width(Shape shape) {
    List<Integer> pressed = shape.frets().stream().filter(f -> f > 0).sorted().toList();
    return pressed.isEmpty() ? 0 : pressed.get(pressed.size() - 1) - pressed.get(0) + 1;
  }
}
