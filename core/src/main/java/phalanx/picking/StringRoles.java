package phalanx.picking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.text.Texts;
import phalanx.theory.Chord;

/**
 * Which string each role falls on for one shape.
 *
 * <p>The thumb starts on the shape's bass string and alternates with string ④, as players do from ⑥
 * and ⑤; from ④ it goes down to an open ⑤ if that is a tone of the chord, otherwise up to ③ (common
 * practice, no source). Finger roles go to their home string, or the nearest that sounds above the
 * thumb.
 */
public final class StringRoles {

  private static final int FOURTH = 2;
  private static final int THIRD = 3;

  /** Strings to alternate with, best first, by the string the bass is on. */
  private static final Map<Integer, List<Integer>> ALTERNATES =
      Map.of(0, List.of(2, 1, 3), 1, List.of(2, 0, 3), 2, List.of(1, 3, 0), 3, List.of(2, 1));

  private static final int NO_STRING = -1;

  /** Of a hand that holds no chord: no role has a string. */
  public static final StringRoles NONE =
      new StringRoles(Map.of(), List.of(), NO_STRING, Set.of(), Shape.NOTHING);

  private final Map<Role, Integer> strings;
  private final List<String> remarks;
  private final int third;
  private final Set<Integer> held;
  private final Shape shape;

  private StringRoles(
      Map<Role, Integer> strings, List<String> remarks, int third, Set<Integer> held, Shape shape) {
    this.shape = shape;
    this.strings = strings;
    this.remarks = List.copyOf(remarks);
    this.third = third;
    this.held = held;
  }

  /** Lays every role on a shape that holds a chord on a guitar. */
  public static StringRoles on(Shape shape, Chord chord, Guitar guitar) {
    Map<Role, Integer> strings = new EnumMap<>(Role.class);
    List<String> remarks = new ArrayList<>();
    List<Integer> sounding = shape.soundingStrings();
    if (sounding.isEmpty()) {
      return new StringRoles(strings, remarks, NO_STRING, Set.of(), shape);
    }
    int bass = bass(sounding, shape, chord, guitar);
    strings.put(Role.ROOT, bass);
    Optional<Integer> alternate = alternate(bass, shape, chord, guitar);
    alternate.ifPresentOrElse(
        s -> strings.put(Role.ALTERNATE, s),
        () -> {
          strings.put(Role.ALTERNATE, bass);
          remarks.add(Texts.of("stringRoles.noSecondBassHere", StringSign.of(bass)));
        });
    int thumbTop = Math.max(bass, strings.get(Role.ALTERNATE));
    List<Integer> free = sounding.stream().filter(s -> s > thumbTop).toList();
    for (Role role : List.of(Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE)) {
      layFinger(role, free, strings, remarks, shape);
    }
    Set<Integer> held = new HashSet<>(sounding);
    held.removeIf(s -> shape.finger(s).isEmpty());
    int third =
        IntStream.rangeClosed(0, FOURTH)
            .filter(s -> s != bass && !alternate.equals(Optional.of(s)) && alternate.isPresent())
            .filter(s -> shape.sounds(s) || rings(s, chord, guitar))
            .findFirst()
            .orElse(NO_STRING);
    return new StringRoles(strings, remarks, third, held, shape);
  }

  /** The string the thumb starts on; empty where nothing sounds. */
  public static Optional<Integer> root(Shape shape, Chord chord, Guitar guitar) {
    List<Integer> sounding = shape.soundingStrings();
    return sounding.isEmpty()
        ? Optional.empty()
        : Optional.of(bass(sounding, shape, chord, guitar));
  }

  /** The thumb starts on the chord's own bass where a bass string has it, else on the lowest. */
  private static int bass(List<Integer> sounding, Shape shape, Chord chord, Guitar guitar) {
    return sounding.stream()
        .filter(s -> s <= FOURTH)
        .filter(
            s ->
                Math.floorMod(guitar.shapeMidi(s, shape.fret(s).orElseThrow()), 12)
                    == chord.bass().chroma())
        .findFirst()
        .orElse(sounding.get(0));
  }

  private static Optional<Integer> alternate(int bass, Shape shape, Chord chord, Guitar guitar) {
    return ALTERNATES.getOrDefault(bass, List.of()).stream()
        .filter(
            s -> shape.sounds(s) ? s <= FOURTH || isThirdAtNeed(s, shape) : rings(s, chord, guitar))
        .filter(s -> shape.sounds(s) || s < bass)
        .findFirst();
  }

  /** The thumb takes ③ only where two strings above it stay for the fingers. */
  private static boolean isThirdAtNeed(int string, Shape shape) {
    return string == THIRD && shape.soundingStrings().stream().filter(s -> s > THIRD).count() >= 2;
  }

  /** A string left out of the shape may still serve the thumb open, if it is a chord tone. */
  private static boolean rings(int string, Chord chord, Guitar guitar) {
    return chord.intervalOf(Math.floorMod(guitar.shapeMidi(string, 0), 12)).isPresent();
  }

  private static void layFinger(
      Role role,
      List<Integer> free,
      Map<Role, Integer> strings,
      List<String> remarks,
      Shape shape) {
    Optional<Integer> nearest =
        free.stream()
            .min(
                Comparator.comparing((Integer s) -> Math.abs(s - role.home()))
                    .thenComparing(Comparator.naturalOrder()));
    nearest.ifPresent(
        s -> {
          strings.put(role, s);
          if (s != role.home() && role != Role.INNER) {
            remarks.add(
                shape.sounds(role.home())
                    ? Texts.of(
                        "stringRoles.isTheThumbS", StringSign.of(role.home()), StringSign.of(s))
                    : movedWords(role.home(), s));
          }
        });
  }

  /**
   * The strings the thumb takes in turn while the chord lasts, 0 for ⑥ to 5 for ①; none where
   * nothing sounds. What the shape has no string for is done otherwise and said.
   *
   * @param pedal the open string that a pedal stays on, if the song has one
   */
  public Route route(ThumbRoute wanted, Optional<Integer> pedal) {
    if (!strings.containsKey(Role.ROOT)) {
      return new Route(List.of(), List.of());
    }
    int root = strings.get(Role.ROOT);
    int alternate = strings.get(Role.ALTERNATE);
    return switch (wanted) {
      case ALTERNATING, WALKING, WALKING_ALWAYS -> new Route(List.of(root, alternate), List.of());
      case STEADY -> new Route(List.of(root), List.of());
      case THREE_VOICES ->
          third == NO_STRING
              ? new Route(
                  List.of(root, alternate), List.of(Texts.of("stringRoles.noThirdBassHere")))
              : new Route(List.of(root, alternate, third, alternate), List.of());
      case PEDAL ->
          pedal
              .filter(p -> !held.contains(p))
              .map(p -> new Route(List.of(p), List.of()))
              .orElseGet(
                  () ->
                      new Route(List.of(root), List.of(Texts.of("stringRoles.noPedalStringHere"))));
    };
  }

  /** The route of three voices whose third is on another string than the shape has it on. */
  public Optional<Route> over(int third) {
    Integer root = strings.get(Role.ROOT);
    Integer alternate = strings.get(Role.ALTERNATE);
    boolean three = root != null && !root.equals(alternate) && third != root && third != alternate;
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
    return Optional.ofNullable(strings.get(role));
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
    return remarks;
  }
}
