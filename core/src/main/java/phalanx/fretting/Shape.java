package phalanx.fretting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
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
 * A chord shape with its fingering: what happens on each string. Shapes are compared and looked up
 * far more often than they are made, so each knows its own number and its grips.
 */
public final class Shape {

  private static final int FINGERS = Finger.values().length;
  private static final int FINGER_BITS = 3;
  private static final int STRING_BITS = 10;

  /** Stands for a string that does not sound where frets are given as numbers. */
  public static final int SILENT = -1;

  /** The hand off the strings: nothing is held and nothing sounds. */
  public static final Shape NOTHING =
      new Shape(Collections.nCopies(Tuning.STRINGS, new Stop.Silent()));

  /** All strings ring open. */
  public static final Shape OPEN = new Shape(Collections.nCopies(Tuning.STRINGS, new Stop.Open()));

  private final List<Stop> stops;

  /** Tells shapes up to fret 126 apart. */
  private final long number;

  /** Found when it is first asked for; two threads would find the same. */
  private Map<Finger, Grip> grips;

  /**
   * A shape.
   *
   * @param stops six, from string ⑥ to string ①
   * @throws IllegalArgumentException if there are not six, or one finger is on two frets
   */
  public Shape(List<Stop> stops) {
    this.stops = List.copyOf(stops);
    if (stops.size() != Tuning.STRINGS) {
      throw new IllegalArgumentException("six strings wanted, got " + stops.size());
    }
    int[] fretOf = new int[FINGERS];
    long sum = 0;
    for (Stop stop : this.stops) {
      long here = stop instanceof Stop.Silent ? 0 : 1L << FINGER_BITS;
      if (stop instanceof Stop.Pressed p) {
        int finger = p.finger().ordinal();
        if (fretOf[finger] != 0 && fretOf[finger] != p.fret()) {
          throw new IllegalArgumentException("finger " + p.finger().sign() + " on two frets");
        }
        fretOf[finger] = p.fret();
        here = (long) (p.fret() + 1) << FINGER_BITS | finger;
      }
      sum = sum << STRING_BITS | here;
    }
    number = sum;
  }

  /** What happens on the strings, from ⑥ to ①. */
  public List<Stop> stops() {
    return stops;
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
    Stop stop = stops.get(string);
    if (stop instanceof Stop.Pressed p) {
      return OptionalInt.of(p.fret());
    }
    return stop instanceof Stop.Open ? OptionalInt.of(0) : OptionalInt.empty();
  }

  /** The finger on a string, if one is there. */
  public Optional<Finger> finger(int string) {
    return stops.get(string) instanceof Stop.Pressed p ? Optional.of(p.finger()) : Optional.empty();
  }

  /** Whether a string sounds. */
  public boolean sounds(int string) {
    return !(stops.get(string) instanceof Stop.Silent);
  }

  /**
   * The same shape with something else on one string.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @throws IllegalArgumentException if its finger is on another fret already
   */
  public Shape with(int string, Stop stop) {
    List<Stop> changed = new ArrayList<>(stops);
    changed.set(string, stop);
    return new Shape(changed);
  }

  /** The same shape with some fingers lifted, so that their strings do not sound. */
  public Shape lifting(Set<Finger> fingers) {
    return fingers.isEmpty()
        ? this
        : without(
            IntStream.range(0, Tuning.STRINGS)
                .filter(s -> finger(s).filter(fingers::contains).isPresent())
                .boxed()
                .toList());
  }

  /** The fingers that press none of some strings. */
  public Set<Finger> fingersOff(Set<Integer> strings) {
    Set<Finger> off = EnumSet.noneOf(Finger.class);
    Set<Finger> on = EnumSet.noneOf(Finger.class);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (stops.get(s) instanceof Stop.Pressed p) {
        (strings.contains(s) ? on : off).add(p.finger());
      }
    }
    off.removeAll(on);
    return off;
  }

  /** The same shape with some strings let go, so that they do not sound. */
  public Shape without(Collection<Integer> strings) {
    List<Stop> changed = new ArrayList<>(stops);
    strings.forEach(s -> changed.set(s, new Stop.Silent()));
    return new Shape(changed);
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

  private Map<Finger, Grip> found() {
    Map<Finger, Grip> found = new EnumMap<>(Finger.class);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (stops.get(s) instanceof Stop.Pressed p) {
        Grip here = new Grip(p.fret(), s, s);
        found.merge(p.finger(), here, (a, b) -> new Grip(a.fret(), a.lowString(), b.highString()));
      }
    }
    return found;
  }

  /** Whether both sound the same strings at the same frets, whatever the fingers. */
  public boolean sameFrets(Shape other) {
    return fretText().equals(other.fretText());
  }

  /** The frets as players write them, {@code x32010}; spaced out where a fret has two digits. */
  public String fretText() {
    return FretRow.text(frets());
  }

  /** The frets low to high, from the capo, {@link #SILENT} for a string that does not sound. */
  public List<Integer> frets() {
    return IntStream.range(0, Tuning.STRINGS).mapToObj(s -> fret(s).orElse(SILENT)).toList();
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
    return other == this || other instanceof Shape s && s.number == number && s.stops.equals(stops);
  }

  @Override
  public int hashCode() {
    return Long.hashCode(number * 0x9E3779B97F4A7C15L);
  }
}
