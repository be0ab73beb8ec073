package phalanx.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import phalanx.fretting.Cost;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.theory.Chord;

/**
 * What a pattern strikes of shapes of its chord, and what is not heard over them. Asked for every
 * candidate, so what does not depend on the shape is worked out once and sets of strings, roles and
 * pitch classes are bits.
 */
public final class HeardTones {

  /** String ④, the highest the thumb starts on. */
  private static final int LAST_BASS = 2;

  /** Strings ③ to ①, to which a finger's stroke may go aside. */
  private static final PatternHeard.Strings ASIDE = new PatternHeard.Strings(3, 5);

  private static final PatternHeard.Strings ALL = new PatternHeard.Strings(0, Tuning.STRINGS - 1);

  private static final int OCTAVE = 12;

  /** No pitch class. */
  private static final int NO_TONE = -1;

  private static final List<Role> ROLES = List.of(Role.values());

  /** Every MIDI note, each made once. */
  private static final List<OptionalInt> NOTES =
      IntStream.range(0, 128).mapToObj(OptionalInt::of).toList();

  private final PatternHeard pattern;
  private final Guitar guitar;
  private final int third;
  private final int seventh;

  /** What tells the chord from others, the third and the seventh first. */
  private final int[] telling;

  /** The roles that are struck beside the thumb's route. */
  private final List<Role> offRoute;

  private final boolean retuned;
  private final boolean byThumb;
  private final boolean byFingers;

  /** Takes what a shape costs, term by term. */
  private interface Terms {
    void add(CostTerm term, int times);
  }

  /** For a pattern while its chord lasts. */
  public HeardTones(PatternHeard pattern) {
    this.pattern = pattern;
    guitar = pattern.guitar();
    retuned = guitar.tuning().isOpen();
    third = pattern.chord().flatMap(PatternHeard::third).orElse(NO_TONE);
    seventh = pattern.chord().flatMap(PatternHeard::seventh).orElse(NO_TONE);
    telling =
        pattern.chord().map(PatternHeard::telling).orElse(List.of()).stream()
            .mapToInt(t -> t)
            .toArray();
    offRoute = ROLES.stream().filter(r -> r != Role.THUMB && pattern.roles().contains(r)).toList();
    byThumb = pattern.roles().stream().anyMatch(Role::isThumb);
    byFingers = pattern.roles().stream().anyMatch(r -> !r.isThumb()) || pattern.brush().isPresent();
  }

  /** Whether the tuning is one that is chosen for its open strings. */
  public boolean isRetuned() {
    return retuned;
  }

  /** What it is asked of. */
  public PatternHeard pattern() {
    return pattern;
  }

  /**
   * What the pattern makes of one shape.
   *
   * @param strings those struck without the tune's, as bits, 1 for ⑥ to 32 for ①; where a tune is
   *     sung some may give way to it
   * @param cost what is not heard over it costs
   * @param bass the first bass as a MIDI note from the capo; empty where it tells nothing
   */
  public record Over(int strings, double cost, OptionalInt bass) {}

  /** What the pattern makes of a shape; asked for every candidate. */
  public Over over(Shape shape) {
    StringRoles on = on(shape);
    int strings = hasNone(shape) ? 0 : struck(shape, on);
    return new Over(strings, cost(shape, on), bass(shape, on));
  }

  /** What a shape costs for what is not heard over it, term by term. */
  public List<Cost> terms(Shape shape) {
    List<Cost> terms = new ArrayList<>();
    unheard(shape, on(shape), (term, times) -> terms.add(term.times(times)));
    return terms;
  }

  /** The same summed up. */
  public double cost(Shape shape) {
    return cost(shape, on(shape));
  }

  private double cost(Shape shape, StringRoles on) {
    double[] sum = {0};
    unheard(shape, on, (term, times) -> sum[0] += times * term.weight());
    return sum[0];
  }

  private boolean hasNone(Shape shape) {
    return pattern.chord().isEmpty() || shape.isSilent();
  }

  private StringRoles on(Shape shape) {
    return hasNone(shape)
        ? StringRoles.NONE
        : StringRoles.on(shape, pattern.chord().orElseThrow(), guitar);
  }

  private void unheard(Shape shape, StringRoles on, Terms terms) {
    int silent = Integer.bitCount(silent(shape));
    if (silent > 0) {
      terms.add(CostTerm.SILENT_HOME, silent);
    }
    if (hasNone(shape)) {
      return;
    }
    bass(shape, on, terms);
    if (byFingers) {
      tones(shape, on, terms);
    }
  }

  /** The strings that the pattern's fingers and brushes are at home on and that do not sound. */
  private int silent(Shape shape) {
    int silent = 0;
    for (Role role : offRoute) {
      // Each of these has a home of its own.
      boolean home = !role.isThumb() && role != Role.INNER;
      silent |= home && !shape.sounds(role.home()) ? 1 << role.home() : 0;
    }
    if (pattern.brush().isPresent()) {
      PatternHeard.Strings over = pattern.brush().get();
      // Below its bass nobody misses a string.
      int bass = Integer.numberOfTrailingZeros(sounding(shape, ALL));
      for (int s = Math.max(over.low(), bass); s <= over.high(); s++) {
        silent |= shape.sounds(s) ? 0 : 1 << s;
      }
    }
    return silent;
  }

  private void bass(Shape shape, StringRoles on, Terms terms) {
    int root = on.rootString();
    if (alternates() && on.string(Role.ALTERNATE).equals(on.string(Role.ROOT))) {
      terms.add(CostTerm.ONE_BASS, 1);
    }
    if (pattern.turns() > 0 && root > LAST_BASS) {
      terms.add(CostTerm.HIGH_THUMB, 1);
    }
    int openBelow = openBass(shape, root);
    if (openBelow > 0) {
      terms.add(CostTerm.OPEN_BASS, openBelow);
    }
  }

  /** 1 or 3 for one or two strings below an open bass that is root or fifth, 0 for none. */
  private int openBass(Shape shape, int bass) {
    if (!shape.isOpen(bass) || bass > LAST_BASS) {
      return 0;
    }
    Chord over = pattern.chord().orElseThrow();
    int chroma = Math.floorMod(guitar.shapeMidi(bass, 0), OCTAVE);
    boolean firm = over.bass().chroma() == chroma && over.isRootOrFifth(chroma);
    return firm ? bass * (bass + 1) / 2 : 0;
  }

  private boolean alternates() {
    return (pattern.turns() > 1 || pattern.roles().contains(Role.ALTERNATE))
        && pattern.thumb() != ThumbRoute.STEADY
        && pattern.thumb() != ThumbRoute.PEDAL;
  }

  /**
   * The telling tones one after the other, the most telling first. What no stroke has at home a
   * finger's stroke that is not needed for one before can bring, where the shape sounds it.
   */
  private void tones(Shape shape, StringRoles on, Terms terms) {
    int thumb = pitchClasses(shape, thumbStrings(shape, on));
    int fingers = pitchClasses(shape, fingerStrings(on));
    int within = pitchClasses(shape, sounding(shape, ASIDE));
    int spare = pattern.spare();
    int more = 0;
    int bent = 0;
    for (int tone : telling) {
      if (has(thumb, tone) || pattern.sung().contains(tone)) {
        continue;
      }
      if (has(fingers, tone) && (spare > 0 || pattern.spare() == 0)) {
        spare--;
      } else if (has(within, tone) && spare > 0) {
        spare--;
        bent++;
      } else if (tone == third) {
        terms.add(CostTerm.NO_THIRD, pattern.last() ? 2 : 1);
      } else if (tone == seventh) {
        terms.add(CostTerm.NO_SEVENTH, 1);
      } else {
        more++;
      }
    }
    if (bent > 0) {
      // One stroke aside leaves the figure what it is; more of them take it apart.
      terms.add(CostTerm.BENT, bent * (bent + 1) / 2);
    }
    if (more > 0) {
      terms.add(CostTerm.UNHEARD, more);
    }
  }

  private static int sounding(Shape shape, PatternHeard.Strings over) {
    int strings = 0;
    for (int s = over.low(); s <= over.high(); s++) {
      strings |= shape.sounds(s) ? 1 << s : 0;
    }
    return strings;
  }

  /** The pitch classes of strings of a shape, as bits. */
  private int pitchClasses(Shape shape, int strings) {
    int classes = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if ((strings >> s & 1) > 0) {
        // The thumb may strike an open string that the shape leaves out.
        classes |= 1 << Math.floorMod(guitar.shapeMidi(s, Math.max(0, shape.fretAt(s))), OCTAVE);
      }
    }
    return classes;
  }

  private static boolean has(int classes, int chroma) {
    return (classes >> chroma & 1) > 0;
  }

  private int struck(Shape shape, StringRoles on) {
    return thumbStrings(shape, on) | fingerStrings(on);
  }

  /** What the thumb strikes, and what a brush goes over. */
  private int thumbStrings(Shape shape, StringRoles on) {
    int strings = on.struckByThumb(pattern.thumb(), pattern.pedal(), pattern.turns());
    for (Role role : offRoute) {
      strings |= role.isThumb() ? on.bit(role) : 0;
    }
    return strings | pattern.brush().map(brush -> sounding(shape, brush)).orElse(0);
  }

  private int fingerStrings(StringRoles on) {
    int strings = 0;
    for (Role role : offRoute) {
      strings |= role.isThumb() ? 0 : on.bit(role);
    }
    return strings;
  }

  private OptionalInt bass(Shape shape, StringRoles on) {
    if (hasNone(shape) || pattern.thumb() == ThumbRoute.PEDAL || !byThumb) {
      return OptionalInt.empty();
    }
    int root = on.rootString();
    return NOTES.get(guitar.shapeMidi(root, Math.max(0, shape.fretAt(root))));
  }
}
