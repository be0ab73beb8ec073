package phalanx.planning;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.PatternHeard;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.planning.StrokeStrings.Wish;
import phalanx.theory.Chord;

/**
 * Sees to it that a chord's third is struck while it is held: where the figure leaves it out, one
 * stroke goes to a string that has it, a finger's rather than the thumb's and a late one rather
 * than an early one, as players do under a tune (common practice, no source).
 */
final class ThirdHeard {

  /** The thumb may go as high as the fourth string from below. */
  private static final int HIGHEST_BASS = 3;

  private final Guitar guitar;
  private final Shape shape;
  private final int third;

  private ThirdHeard(Guitar guitar, Shape shape, int third) {
    this.guitar = guitar;
    this.shape = shape;
    this.third = third;
  }

  /**
   * The stroke that has to go to another string.
   *
   * @param lay lays all steps over the chord with a wish, or as the pattern has them
   * @return empty where the third is heard anyway, or where no stroke can bring it
   */
  static Optional<Wish> wish(
      Guitar guitar, Shape shape, Chord chord, Function<Optional<Wish>, List<VoicedStep>> lay) {
    Optional<Integer> third = PatternHeard.third(chord);
    if (third.isEmpty()) {
      return Optional.empty();
    }
    ThirdHeard heard = new ThirdHeard(guitar, shape, third.get());
    List<VoicedStep> usual = lay.apply(Optional.empty());
    if (heard.isStruck(usual)) {
      return Optional.empty();
    }
    int strokes = count(usual);
    return heard.wishes(usual).stream()
        .filter(
            w -> {
              List<VoicedStep> other = lay.apply(Optional.of(w));
              return heard.isStruck(other) && count(other) == strokes;
            })
        .findFirst();
  }

  private static int count(List<VoicedStep> all) {
    return all.stream().mapToInt(l -> l.plucks().size() + l.brushed().size()).sum();
  }

  private boolean isThird(int midi) {
    return Math.floorMod(midi, 12) == third;
  }

  private boolean isStruck(List<VoicedStep> all) {
    return all.stream()
        .anyMatch(
            l ->
                l.plucks().stream().anyMatch(p -> isThird(midi(p)))
                    || l.brushed().stream().anyMatch(s -> isThird(pitch(s))));
  }

  private int midi(VoicedStroke p) {
    return p.step()
        .map(s -> guitar.shapeMidi(s.string(), s.fret()))
        .orElseGet(() -> pitch(p.string()));
  }

  private int pitch(int string) {
    return guitar.shapeMidi(string, shape.fret(string).orElse(0));
  }

  /** What may be tried, the mildest first. */
  private List<Wish> wishes(List<VoicedStep> usual) {
    List<Integer> strings =
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> shape.sounds(s) && isThird(pitch(s)))
            .boxed()
            .toList();
    List<Wish> fingers = new ArrayList<>();
    List<Wish> thumb = new ArrayList<>();
    boolean first = true;
    for (VoicedStep laid : usual) {
      for (Stroke.Pluck pluck : laid.placed().step().plucks().toList()) {
        Role role = pluck.role();
        for (int string : strings) {
          Wish wish = new Wish(laid.placed().tick(), role, string);
          if (!role.isThumb() && role != Role.TUNE) {
            fingers.add(wish);
          } else if (role.isThumb() && !first && string < HIGHEST_BASS) {
            thumb.add(wish);
          }
        }
        first &= !role.isThumb();
      }
    }
    Collections.reverse(fingers);
    Collections.reverse(thumb);
    fingers.addAll(thumb);
    return fingers;
  }
}
