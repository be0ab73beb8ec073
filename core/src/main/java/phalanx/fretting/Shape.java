package phalanx.fretting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;

/**
 * A chord shape with its fingering: what happens on each string. Shapes are made, compared and
 * looked up in the inner loops of the planner, so each is a single number.
 */
public final class Shape {

  private static final Finger[] FINGERS = Finger.values();
  private static final int FINGER_BITS = 3;
  private static final int STRING_BITS = 10;
  private static final int STRING_MASK = (1 << STRING_BITS) - 1;
  private static final int FINGER_MASK = (1 << FINGER_BITS) - 1;
  private static final int OPEN_STRING = 1 << FINGER_BITS;

  /** No neck has more frets; so a shape is a single number. */
  private static final int HIGHEST_FRET = (1 << STRING_BITS - FINGER_BITS) - 2;

  /** Stands for a string that does not sound where frets are given as numbers. */
  public static final int SILENT = -1;

  /** The hand off the strings: nothing is held and nothing sounds. */
  public static final Shape NOTHING =
      new Shape(Collections.nCopies(Tuning.STRINGS, new Stop.Silent()));

  /** All strings ring open. */
  public static final Shape OPEN = new Shape(Collections.nCopies(Tuning.STRINGS, new Stop.Open()));

  /** Ten bits a string, ⑥ highest: fret + 1, or 0 where it does not sound, then the finger. */
  private final long number;

  /** Found when it is first asked for; two threads would find the same. */
  private Map<Finger, Grip> grips;

  /**
   * A shape.
   *
   * @param stops six, from string ⑥ to string ①
   * @throws IllegalArgumentException if there are not six, one finger is on two frets, or a fret
   *     lies beyond any neck
   */
  public Shape(List<Stop> stops) {
    this(number(stops));
    checkFingers();
  }

  /** No finger is on two frets. */
  private Shape checkFingers() {
    int[] fretOf = new int[FINGERS.length];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (isPressed(s)) {
        int finger = bits(s) & FINGER_MASK;
        int fret = fretAt(s);
        if (fretOf[finger] != 0 && fretOf[finger] != fret) {
          throw new IllegalArgumentException("finger " + FINGERS[finger].sign() + " on two frets");
        }
        fretOf[finger] = fret;
      }
    }
    return this;
  }

  private Shape(long number) {
    this.number = number;
  }

  private static long number(List<Stop> stops) {
    if (stops.size() != Tuning.STRINGS) {
      throw new IllegalArgumentException("six strings wanted, got " + stops.size());
    }
    long sum = 0;
    for (Stop stop : stops) {
      sum = sum << STRING_BITS | bits(stop);
    }
    return sum;
  }

  private static int bits(Stop stop) {
    if (stop instanceof Stop.Pressed p) {
      if (p.fret() > HIGHEST_FRET) {
        throw new IllegalArgumentException("fret " + p.fret() + " lies beyond any neck");
      }
      return p.fret() + 1 << FINGER_BITS | p.finger().ordinal();
    }
    return stop instanceof Stop.Open ? OPEN_STRING : 0;
  }

  private int bits(int string) {
    return (int) (number >>> place(string)) & STRING_MASK;
  }

  private static int place(int string) {
    return STRING_BITS * (Tuning.STRINGS - 1 - string);
  }

  /**
   * A shape from numbers, low string to high.
   *
   * @param frets frets from the capo; 0 open, {@link #SILENT} not sounding
   * @param fingers 0 for none, 1 to 4, 5 for the thumb
   */
  static Shape of(int[] frets, int[] fingers) {
    List<Stop> stops = new ArrayList<>(Tuning.STRINGS);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      stops.add(
          switch (frets[s]) {
            case SILENT -> new Stop.Silent();
            case 0 -> new Stop.Open();
            default -> new Stop.Pressed(frets[s], FingerCode.finger(fingers[s]));
          });
    }
    return new Shape(stops);
  }

  /** The fret a string sounds at from the capo, 0 for open; empty for a silent string. */
  public OptionalInt fret(int string) {
    return sounds(string) ? OptionalInt.of(fretAt(string)) : OptionalInt.empty();
  }

  /**
   * The same as a number, {@link #SILENT} for a silent string: for where it is asked very often.
   */
  public int fretAt(int string) {
    return (bits(string) >>> FINGER_BITS) - 1;
  }

  /** The finger on a string, if one is there. */
  public Optional<Finger> finger(int string) {
    return isPressed(string) ? Optional.of(FINGERS[bits(string) & FINGER_MASK]) : Optional.empty();
  }

  /** Whether a finger presses a string. */
  public boolean isPressed(int string) {
    return bits(string) > OPEN_STRING;
  }

  /** Whether a string sounds. */
  public boolean sounds(int string) {
    return bits(string) != 0;
  }

  /** Whether no string sounds. */
  public boolean isSilent() {
    return number == 0;
  }

  /** Whether a string rings open. */
  public boolean isOpen(int string) {
    return bits(string) == OPEN_STRING;
  }

  /**
   * The same shape with something else on one string.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @throws IllegalArgumentException if its finger is on another fret already
   */
  public Shape with(int string, Stop stop) {
    return new Shape(number & ~at(string) | (long) bits(stop) << place(string)).checkFingers();
  }

  private static long at(int string) {
    return (long) STRING_MASK << place(string);
  }

  /** The same shape with some fingers lifted, so that their strings do not sound. */
  public Shape lifting(Set<Finger> fingers) {
    if (fingers.isEmpty()) {
      return this;
    }
    FingerSet lifted = FingerSet.of(fingers);
    long left = number;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (isPressed(s) && lifted.hasOrdinal(bits(s) & FINGER_MASK)) {
        left &= ~at(s);
      }
    }
    return new Shape(left);
  }

  /**
   * The fingers that press none of some strings.
   *
   * @param strings as bits, 1 for ⑥ to 32 for ①
   */
  public FingerSet fingersOff(int strings) {
    int off = 0;
    int on = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (isPressed(s)) {
        int finger = 1 << (bits(s) & FINGER_MASK);
        on |= (strings >> s & 1) > 0 ? finger : 0;
        off |= finger;
      }
    }
    return FingerSet.ofBits(off & ~on);
  }

  /** The same shape with some strings let go, so that they do not sound. */
  public Shape without(Collection<Integer> strings) {
    long left = number;
    for (int s : strings) {
      left &= ~at(s);
    }
    return new Shape(left);
  }

  /** The sounding strings, low to high. */
  public List<Integer> soundingStrings() {
    List<Integer> sounding = new ArrayList<>(Tuning.STRINGS);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (sounds(s)) {
        sounding.add(s);
      }
    }
    return Collections.unmodifiableList(sounding);
  }

  /** The sounding MIDI notes on a guitar, low string to high. */
  public List<Integer> midi(Guitar guitar) {
    return soundingStrings().stream().map(s -> guitar.midi(s, fret(s).orElseThrow())).toList();
  }

  /** The strings each finger holds, by finger, thumb first. */
  public Map<Finger, Grip> grips() {
    if (grips == null) {
      grips = Collections.unmodifiableMap(found());
    }
    return grips;
  }

  /** Where each finger is, for inner loops, as {@link FingerPlaces} packs them. */
  long fingerPlaces() {
    long places = FingerPlaces.NONE;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (isPressed(s)) {
        places = FingerPlaces.press(places, code(s), fretAt(s), s);
      }
    }
    return places;
  }

  /** The code of the finger on a string, {@link FingerCode#NONE} for none. */
  int fingerCode(int string) {
    return isPressed(string) ? code(string) : FingerCode.NONE;
  }

  private int code(int string) {
    return FingerCode.of(FINGERS[bits(string) & FINGER_MASK]);
  }

  private Map<Finger, Grip> found() {
    Map<Finger, Grip> found = new EnumMap<>(Finger.class);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (isPressed(s)) {
        Finger finger = FINGERS[bits(s) & FINGER_MASK];
        Grip low = found.get(finger);
        found.put(finger, new Grip(fretAt(s), low == null ? s : low.lowString(), s));
      }
    }
    return found;
  }

  /** Whether both sound the same strings at the same frets, whatever the fingers. */
  public boolean sameFrets(Shape other) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (fretAt(s) != other.fretAt(s)) {
        return false;
      }
    }
    return true;
  }

  /** The frets as players write them, {@code x32010}; spaced out where a fret has two digits. */
  public String fretText() {
    return FretRow.text(frets());
  }

  /** The frets low to high, from the capo, {@link #SILENT} for a string that does not sound. */
  public List<Integer> frets() {
    return IntStream.range(0, Tuning.STRINGS).mapToObj(this::fretAt).toList();
  }

  /** The fingers low to high, {@code ·32·1·}. */
  public String fingerText() {
    return String.join(
        "",
        IntStream.range(0, Tuning.STRINGS)
            .mapToObj(s -> finger(s).map(Finger::sign).orElse("·"))
            .toList());
  }

  @Override
  public String toString() {
    return fretText() + " " + fingerText();
  }

  @Override
  public boolean equals(Object other) {
    return other == this || other instanceof Shape s && s.number == number;
  }

  @Override
  public int hashCode() {
    return Long.hashCode(number * 0x9E3779B97F4A7C15L);
  }
}
