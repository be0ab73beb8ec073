package phalanx.picking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;
import phalanx.theory.Chord;

/**
 * Which string each role falls on for one shape.
 *
 * <p>The thumb starts on the shape's bass string and alternates with string ④, as players do from ⑥
 * and ⑤; from ④ it goes down to an open ⑤ if that is the chord's root or fifth, otherwise up to ③,
 * and down to another tone only where no string above serves (common practice, no source). Finger
 * roles go to their home string, or the nearest that sounds above the thumb.
 */
public final class StringRoles {

  private static final int FOURTH = 2;
  private static final int THIRD = 3;

  /** Strings to alternate with, best first, by the string the bass is on. */
  private static final Map<Integer, List<Integer>> ALTERNATES =
      Map.of(0, List.of(2, 1, 3), 1, List.of(2, 0, 3), 2, List.of(1, 3, 0), 3, List.of(2, 1));

  private static final int NO_STRING = -1;

  private static final String NO_THIRD_BASS = Texts.of("stringRoles.noThirdBassHere");
  private static final String NO_PEDAL_STRING = Texts.of("stringRoles.noPedalStringHere");

  private static final int OCTAVE = 12;

  private static final List<Role> FINGERS = List.of(Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE);

  /** Of a hand that holds no chord: no role has a string. */
  public static final StringRoles NONE =
      new StringRoles(nowhere(), false, NO_STRING, Shape.NOTHING);

  /** The string of each role by its place among them; {@link #NO_STRING} for none. */
  private final int[] strings;

  private final boolean alternates;
  private final int third;
  private final Shape shape;

  private StringRoles(int[] strings, boolean alternates, int third, Shape shape) {
    this.strings = strings;
    this.alternates = alternates;
    this.third = third;
    this.shape = shape;
  }

  private static int[] nowhere() {
    int[] strings = new int[Role.values().length];
    Arrays.fill(strings, NO_STRING);
    return strings;
  }

  /** Lays every role on a shape that holds a chord on a guitar; asked for every candidate. */
  public static StringRoles on(Shape shape, Chord chord, Guitar guitar) {
    int[] strings = nowhere();
    int bass = bass(shape, chord, guitar);
    if (bass == NO_STRING) {
      return new StringRoles(strings, false, NO_STRING, shape);
    }
    int alternate = alternate(bass, shape, chord, guitar);
    boolean alternates = alternate != NO_STRING;
    strings[Role.ROOT.ordinal()] = bass;
    strings[Role.ALTERNATE.ordinal()] = alternates ? alternate : bass;
    int thumbTop = Math.max(bass, strings[Role.ALTERNATE.ordinal()]);
    for (Role role : FINGERS) {
      strings[role.ordinal()] = nearest(role.home(), thumbTop, shape);
    }
    int third = alternates ? third(bass, alternate, shape, chord, guitar) : NO_STRING;
    return new StringRoles(strings, alternates, third, shape);
  }

  /** The string the thumb starts on; empty where nothing sounds. */
  public static Optional<Integer> root(Shape shape, Chord chord, Guitar guitar) {
    int bass = bass(shape, chord, guitar);
    return bass == NO_STRING ? Optional.empty() : Optional.of(bass);
  }

  /** The thumb starts on the chord's own bass where a bass string has it, else on the lowest. */
  private static int bass(Shape shape, Chord chord, Guitar guitar) {
    int lowest = NO_STRING;
    int wanted = chord.bass().chroma();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (shape.sounds(s)) {
        lowest = lowest == NO_STRING ? s : lowest;
        int midi = guitar.shapeMidi(s, shape.fretAt(s));
        if (s <= FOURTH && Math.floorMod(midi, OCTAVE) == wanted) {
          return s;
        }
      }
    }
    return lowest;
  }

  private static int alternate(int bass, Shape shape, Chord chord, Guitar guitar) {
    int atNeed = NO_STRING;
    for (int s : ALTERNATES.getOrDefault(bass, List.of())) {
      boolean takes =
          shape.sounds(s)
              ? s <= FOURTH || isThirdAtNeed(s, shape)
              : s < bass && rings(s, chord, guitar);
      if (takes && (s > bass || isRootOrFifth(s, shape, chord, guitar))) {
        return s;
      }
      atNeed = takes && atNeed == NO_STRING ? s : atNeed;
    }
    return atNeed;
  }

  /** Below the bass another tone would be heard as the chord turned over. */
  private static boolean isRootOrFifth(int string, Shape shape, Chord chord, Guitar guitar) {
    int fret = shape.sounds(string) ? shape.fretAt(string) : 0;
    return chord.isRootOrFifth(Math.floorMod(guitar.shapeMidi(string, fret), OCTAVE));
  }

  private static int third(int bass, int alternate, Shape shape, Chord chord, Guitar guitar) {
    for (int s = 0; s <= FOURTH; s++) {
      if (s != bass && s != alternate && (shape.sounds(s) || rings(s, chord, guitar))) {
        return s;
      }
    }
    return NO_STRING;
  }

  /** The thumb takes ③ only where two strings above it stay for the fingers. */
  private static boolean isThirdAtNeed(int string, Shape shape) {
    int above = 0;
    for (int s = THIRD + 1; s < Tuning.STRINGS; s++) {
      above += shape.sounds(s) ? 1 : 0;
    }
    return string == THIRD && above >= 2;
  }

  /** A string left out of the shape may still serve the thumb open, if it is a chord tone. */
  private static boolean rings(int string, Chord chord, Guitar guitar) {
    return chord.intervalOf(Math.floorMod(guitar.shapeMidi(string, 0), OCTAVE)).isPresent();
  }

  /** The sounding string above the thumb's nearest to a finger's home, the lower of two. */
  private static int nearest(int home, int thumbTop, Shape shape) {
    int nearest = NO_STRING;
    for (int s = thumbTop + 1; s < Tuning.STRINGS; s++) {
      boolean nearer = nearest == NO_STRING || Math.abs(s - home) < Math.abs(nearest - home);
      nearest = shape.sounds(s) && nearer ? s : nearest;
    }
    return nearest;
  }

  private int of(Role role) {
    return strings[role.ordinal()];
  }

  private boolean holds(int string) {
    return shape.isPressed(string);
  }

  /**
   * The strings the thumb takes in turn while the chord lasts, 0 for ⑥ to 5 for ①; none where
   * nothing sounds. What the shape has no string for is done otherwise and said.
   *
   * @param pedal the open string that a pedal stays on, if the song has one
   */
  public Route route(ThumbRoute wanted, Optional<Integer> pedal) {
    List<Integer> strings = new ArrayList<>();
    for (int s : turns(wanted, pedal)) {
      strings.add(s);
    }
    boolean none = strings.isEmpty();
    boolean noThird = wanted == ThumbRoute.THREE_VOICES && third == NO_STRING;
    boolean noPedal = wanted == ThumbRoute.PEDAL && pedal.filter(p -> !holds(p)).isEmpty();
    return none || !noThird && !noPedal
        ? new Route(strings, List.of())
        : new Route(strings, List.of(noThird ? NO_THIRD_BASS : NO_PEDAL_STRING));
  }

  /** The strings of the thumb's route in turn. */
  private int[] turns(ThumbRoute wanted, Optional<Integer> pedal) {
    int root = of(Role.ROOT);
    int alternate = of(Role.ALTERNATE);
    if (root == NO_STRING) {
      return new int[0];
    }
    return switch (wanted) {
      case ALTERNATING, WALKING, WALKING_ALWAYS -> new int[] {root, alternate};
      case STEADY -> new int[] {root};
      case THREE_VOICES ->
          third == NO_STRING
              ? new int[] {root, alternate}
              : new int[] {root, alternate, third, alternate};
      case PEDAL -> new int[] {pedal.isPresent() && !holds(pedal.get()) ? pedal.get() : root};
    };
  }

  /** What the first strokes of the thumb's route strike, as bits, 1 for ⑥ to 32 for ①. */
  int struckByThumb(ThumbRoute wanted, Optional<Integer> pedal, int strokes) {
    int[] route = turns(wanted, pedal);
    int struck = 0;
    for (int k = 0; k < Math.min(strokes, route.length); k++) {
      struck |= 1 << route[k];
    }
    return struck;
  }

  /** The string of a role as a bit; 0 where the shape has none for it. */
  int bit(Role role) {
    return of(role) == NO_STRING ? 0 : 1 << of(role);
  }

  /** The string the thumb starts on; ⑥ where nothing sounds. */
  int rootString() {
    return Math.max(0, of(Role.ROOT));
  }

  /** The route of three voices whose third is on another string than the shape has it on. */
  public Optional<Route> over(int third) {
    int root = of(Role.ROOT);
    int alternate = of(Role.ALTERNATE);
    boolean three = root != NO_STRING && root != alternate && third != root && third != alternate;
    return three
        ? Optional.of(new Route(List.of(root, alternate, third, alternate), List.of()))
        : Optional.empty();
  }

  /**
   * The thumb's way over a chord.
   *
   * @param strings the strings it takes in turn, 0 for ⑥ to 5 for ①
   * @param remarks what had to be done otherwise than the route says
   */
  public record Route(List<Integer> strings, List<String> remarks) {}

  /** The string of a role, 0 for ⑥ to 5 for ①; empty where the shape has none for it. */
  public Optional<Integer> string(Role role) {
    return of(role) == NO_STRING ? Optional.empty() : Optional.of(of(role));
  }

  /** The home string of a finger's role that does not sound, so that another is struck for it. */
  public Optional<Integer> movedFrom(Role role) {
    return string(role)
        .filter(s -> !role.isThumb() && role != Role.INNER && s != role.home())
        .filter(s -> !shape.sounds(role.home()))
        .map(s -> role.home());
  }

  /** Says that a string is played in place of one that does not sound. */
  public static String movedWords(int dead, int played) {
    return Texts.of("stringRoles.doesNotSoundPlayed", StringSign.of(dead), StringSign.of(played));
  }

  /** What had to be done otherwise than the pattern says, in sentences. */
  public List<String> remarks() {
    List<String> remarks = new ArrayList<>();
    if (of(Role.ROOT) != NO_STRING && !alternates) {
      remarks.add(Texts.of("stringRoles.noSecondBassHere", StringSign.of(of(Role.ROOT))));
    }
    for (Role role : FINGERS) {
      int string = of(role);
      if (string != NO_STRING && string != role.home() && role != Role.INNER) {
        remarks.add(
            shape.sounds(role.home())
                ? Texts.of(
                    "stringRoles.isTheThumbS", StringSign.of(role.home()), StringSign.of(string))
                : movedWords(role.home(), string));
      }
    }
    return List.copyOf(remarks);
  }
}
