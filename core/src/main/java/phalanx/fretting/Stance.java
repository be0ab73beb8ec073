package phalanx.fretting;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * How the hand stands at one end of a slot: its shape with what fingers hold beside it there.
 *
 * @param shape everything that is down
 * @param resting fingers of the shape that may rest, for nothing they press is struck
 * @param voice the place of the note of the tune that sounds there; empty if none does
 * @param soundsOn whether it is to sound on over the change
 * @param legato how the note is made from the one that sounds before the change
 * @param bass the first bass of the chord, as a MIDI note counted from the capo; empty where the
 *     thumb has none or stays on one string whatever the chord
 */
public record Stance(
    Shape shape,
    Set<Finger> resting,
    Optional<Voice> voice,
    boolean soundsOn,
    Legato legato,
    OptionalInt bass) {

  public Stance {
    resting = FingerSet.of(resting);
  }

  /** How a note begins. */
  public enum Legato {
    /** Anew, by the picking hand. */
    PLUCKED,
    /** A finger comes down on the string that sounds. */
    HAMMERED,
    /** A finger leaves the string that sounds. */
    PULLED,
    /** The finger that presses the string goes along it. */
    SLID
  }

  /**
   * Where a note is held.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   * @param finger the finger; empty for an open string
   */
  public record Voice(int string, int fret, Optional<Finger> finger) {

    private static final int FRETS = 32;
    private static final int FINGERS = Finger.values().length + 1;

    /**
     * Where a note is held; the same object every time but beyond the frets of any neck, for a long
     * song has hundreds of thousands.
     */
    public static Optional<Voice> at(int string, int fret, Optional<Finger> finger) {
      return fret < FRETS
          ? Known.ALL.get((string * FRETS + fret) * FINGERS + place(finger))
          : Optional.of(new Voice(string, fret, finger));
    }

    private static int place(Optional<Finger> finger) {
      return finger.isPresent() ? 1 + finger.get().ordinal() : 0;
    }

    /** Every place there is. */
    private static final class Known {

      private static final List<Optional<Voice>> ALL =
          IntStream.range(0, Tuning.STRINGS * FRETS * FINGERS).mapToObj(Known::made).toList();

      private static Optional<Voice> made(int number) {
        int finger = number % FINGERS;
        int place = number / FINGERS;
        return Optional.of(
            new Voice(
                place / FRETS,
                place % FRETS,
                finger == 0 ? Optional.empty() : Optional.of(Finger.values()[finger - 1])));
      }
    }

    /**
     * Whether the fretting hand alone can go on from here to another place while it changes its
     * shape: up to another finger, down to the open string, along the string with one finger. A
     * finger that would have to be down below the note already does not count: it comes with the
     * change.
     */
    public boolean leadsTo(Voice to, Legato legato) {
      boolean sameFinger = finger.isPresent() && finger.equals(to.finger);
      return string == to.string
          && switch (legato) {
            case PLUCKED -> true;
            case HAMMERED -> to.fret > fret && !sameFinger;
            case PULLED -> to.fret == 0 && fret > 0;
            case SLID -> to.fret != fret && sameFinger;
          };
    }
  }

  /** The shape alone. */
  public static Stance of(Shape shape) {
    return of(shape, Set.of());
  }

  /** The shape alone, of which some fingers may rest. */
  public static Stance of(Shape shape, Set<Finger> resting) {
    return new Stance(shape, resting, Optional.empty(), false, Legato.PLUCKED, OptionalInt.empty());
  }

  /** The same over a bass. */
  public Stance over(OptionalInt other) {
    return bass.equals(other) ? this : new Stance(shape, resting, voice, soundsOn, legato, other);
  }

  /** The same with other fingers resting, but the one that presses a note of the tune. */
  public Stance correcting(Set<Finger> other) {
    FingerSet all = FingerSet.of(other);
    FingerSet free = voice.flatMap(Voice::finger).map(all::without).orElse(all);
    return new Stance(shape, free, voice, soundsOn, legato, bass);
  }

  /** Whether another differs from this only in the fingers that may rest. */
  public boolean isLike(Stance other) {
    return shape.equals(other.shape)
        && voice.equals(other.voice)
        && soundsOn == other.soundsOn
        && legato == other.legato;
  }

  /** What is pressed by the fingers that do not rest; the strings of the others are silent. */
  public Shape asked() {
    return shape.lifting(resting);
  }
}
