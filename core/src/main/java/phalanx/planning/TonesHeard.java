package phalanx.planning;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
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
 * Sees to it that what tells a chord from others is struck while it is held, the third first, then
 * the seventh, then what else its name says: where the figure leaves one out, one stroke goes to a
 * string that has it, a finger's rather than the thumb's and a late one rather than an early one,
 * as players do under a tune (common practice, no source). While the tune holds a note the top
 * stroke of the figure, which made way for it, may come back for that.
 */
final class TonesHeard {

  /** A later stroke of the thumb may go as high as string ③. */
  private static final int HIGHEST_OF_THUMB = 3;

  private final Guitar guitar;
  private final Shape shape;
  private final boolean thumbToo;
  private final Function<List<Wish>, List<VoicedStep>> lay;

  private TonesHeard(
      Guitar guitar, Shape shape, boolean thumbToo, Function<List<Wish>, List<VoicedStep>> lay) {
    this.guitar = guitar;
    this.shape = shape;
    this.thumbToo = thumbToo;
    this.lay = lay;
  }

  /**
   * What is done for a chord.
   *
   * @param wishes the strokes that have to go to other strings
   * @param unheard the pitch classes that no stroke can bring
   */
  record Bent(List<Wish> wishes, List<Integer> unheard) {
    static final Bent NOTHING = new Bent(List.of(), List.of());
  }

  /**
   * The strokes that have to go to other strings.
   *
   * @param thumbToo whether the thumb may leave its route, which a steady bass, a pedal or a walk
   *     does not
   * @param lay lays all steps over the chord with some wishes
   */
  static Bent of(
      Guitar guitar,
      Shape shape,
      Chord chord,
      boolean thumbToo,
      Function<List<Wish>, List<VoicedStep>> lay) {
    List<Integer> telling = PatternHeard.telling(chord);
    return telling.isEmpty()
        ? Bent.NOTHING
        : new TonesHeard(guitar, shape, thumbToo, lay).bent(telling);
  }

  private Bent bent(List<Integer> telling) {
    List<VoicedStep> usual = lay.apply(List.of());
    List<VoicedStep> now = usual;
    int strokes = count(usual);
    List<Wish> wishes = new ArrayList<>();
    List<Integer> unheard = new ArrayList<>();
    Set<Integer> heard = new HashSet<>();
    for (int tone : telling) {
      if (!isStruck(tone, now)) {
        for (Wish wish : wishes(usual, tone)) {
          if (wishes.stream().anyMatch(w -> w.isFor(wish))) {
            continue;
          }
          List<Wish> more = new ArrayList<>(wishes);
          more.add(wish);
          List<VoicedStep> other = lay.apply(more);
          boolean keeps = heard.stream().allMatch(t -> isStruck(t, other));
          if (keeps && isStruck(tone, other) && count(other) == strokes + comingBack(usual, more)) {
            wishes.add(wish);
            now = other;
            break;
          }
        }
      }
      if (isStruck(tone, now)) {
        heard.add(tone);
      } else {
        unheard.add(tone);
      }
    }
    return new Bent(wishes, unheard);
  }

  /** How many top strokes that had made way for the tune come back by some wishes. */
  private static long comingBack(List<VoicedStep> usual, List<Wish> wishes) {
    return wishes.stream().filter(w -> comesBack(usual, w)).count();
  }

  private static boolean comesBack(List<VoicedStep> usual, Wish wish) {
    return wish.role() == Role.TUNE
        && usual.stream()
            .filter(v -> v.placed().tick() == wish.tick())
            .flatMap(v -> v.plucks().stream())
            .noneMatch(p -> p.pluck().role() == Role.TUNE);
  }

  private static int count(List<VoicedStep> all) {
    return all.stream().mapToInt(l -> l.plucks().size() + l.brushed().size()).sum();
  }

  private boolean isStruck(int chroma, List<VoicedStep> all) {
    for (VoicedStep step : all) {
      for (VoicedStroke p : step.plucks()) {
        if (Math.floorMod(midi(p), 12) == chroma) {
          return true;
        }
      }
      for (int string : step.brushed()) {
        if (Math.floorMod(pitch(string), 12) == chroma) {
          return true;
        }
      }
    }
    return false;
  }

  private int midi(VoicedStroke p) {
    return p.step()
        .map(s -> guitar.shapeMidi(s.string(), s.fret()))
        .orElseGet(() -> pitch(p.string()));
  }

  private int pitch(int string) {
    return guitar.shapeMidi(string, shape.fret(string).orElse(0));
  }

  /** What may be tried for a tone, the mildest first. */
  private List<Wish> wishes(List<VoicedStep> usual, int tone) {
    List<Integer> strings =
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> shape.sounds(s) && Math.floorMod(pitch(s), 12) == tone)
            .boxed()
            .toList();
    List<Wish> fingers = new ArrayList<>();
    List<Wish> tops = new ArrayList<>();
    List<Wish> thumb = new ArrayList<>();
    boolean first = true;
    // A thumb alone has its own way.
    boolean fingered =
        usual.stream().flatMap(v -> v.placed().step().plucks()).anyMatch(p -> !p.role().isThumb());
    for (VoicedStep voiced : usual) {
      boolean sung = voiced.plucks().stream().anyMatch(p -> p.rings().isPresent());
      for (Stroke.Pluck pluck : voiced.placed().step().plucks().toList()) {
        Role role = pluck.role();
        for (int string : strings) {
          Wish wish = new Wish(voiced.placed().tick(), role, string);
          if (!role.isThumb() && role != Role.TUNE) {
            fingers.add(wish);
          } else if (role == Role.TUNE && !sung) {
            tops.add(wish);
          } else if (role.isThumb()
              && thumbToo
              && fingered
              && !first
              && string <= HIGHEST_OF_THUMB) {
            thumb.add(wish);
          }
        }
        first &= !role.isThumb();
      }
    }
    Collections.reverse(fingers);
    Collections.reverse(tops);
    Collections.reverse(thumb);
    fingers.addAll(tops);
    fingers.addAll(thumb);
    return fingers;
  }
}
