package phalanx.fretting;

import java.util.Optional;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.instrument.Tuning;

/**
 * Where each finger is, as numbers for the planner's inner loop. A long song has hundreds of
 * thousands of them, so that fingers and frets are packed into a word each.
 */
final class HandState {

  private static final int NO_BASS = -1;

  private static final int FRET_MASK = 0x3f;
  private static final int STRING_MASK = 0x7;

  /** A string takes so many bits: its fret and one more, 0 for a silent one. */
  private static final int STRING_BITS = 6;

  private static final int VOICE_FRET_SHIFT = 3;
  private static final int VOICE_FINGER_SHIFT = 9;

  private static final int SOUNDS_ON = 1;
  private static final int OPEN_BASS = 2;
  private static final int LEGATO_SHIFT = 2;
  private static final Stance.Legato[] LEGATOS = Stance.Legato.values();

  private final long fingers;
  private final long frets;

  /** Lowest fret a finger holds; 0 if none does. */
  private final byte lowestFret;

  /** The fingers that press something, as bits by finger code. */
  private final byte pressing;

  /** Whether the note sounds on, whether the bass is open, and how the note is made: bits. */
  private final byte manner;

  /** The first bass as a MIDI note; {@link #NO_BASS} for none. */
  private final short bass;

  /** The place of a note of the tune, as one number; 0 for none. */
  private final short voice;

  /** How far the fingers are stretched, 0 to 1 at the limit. */
  private final double stretch;

  /** By finger the strings it could hold in some fingering of the same frets, as bits. */
  private final byte[] keepable;

  private HandState(Stance stance, byte[] keepable, double stretch) {
    this.stretch = stretch;
    this.keepable = keepable;
    bass = (short) stance.bass().orElse(NO_BASS);
    voice = stance.voice().map(HandState::packed).orElse((short) 0);
    Shape asked = stance.asked();
    fingers = asked.fingerPlaces();
    int lowest = 0;
    int down = 0;
    for (int f = FingerCode.INDEX; f <= FingerCode.THUMB; f++) {
      int fret = fret(f);
      if (fret > 0) {
        down |= 1 << f;
        lowest = lowest == 0 ? fret : Math.min(lowest, fret);
      }
    }
    lowestFret = (byte) lowest;
    pressing = (byte) down;
    long sounding = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      sounding |= asked.fretAt(s) + 1L << STRING_BITS * s;
    }
    frets = sounding;
    manner =
        (byte)
            ((stance.soundsOn() ? SOUNDS_ON : 0)
                | (isOverOpenBass() ? OPEN_BASS : 0)
                | stance.legato().ordinal() << LEGATO_SHIFT);
  }

  private static short packed(Stance.Voice voice) {
    int finger = voice.finger().map(FingerCode::of).orElse(FingerCode.NONE);
    return (short)
        (1 + voice.string() | voice.fret() << VOICE_FRET_SHIFT | finger << VOICE_FINGER_SHIFT);
  }

  static HandState of(Stance stance, byte[] keepable, double stretch) {
    return new HandState(stance, keepable, stretch);
  }

  /** The fret a finger presses, by its code; 0 for none. */
  int fret(int f) {
    return FingerPlaces.fret(fingers, f);
  }

  /** The lowest string a finger lies across. */
  int low(int f) {
    return FingerPlaces.low(fingers, f);
  }

  /** The highest string a finger lies across. */
  int high(int f) {
    return FingerPlaces.high(fingers, f);
  }

  int lowestFret() {
    return lowestFret;
  }

  double stretch() {
    return stretch;
  }

  /** The strings a finger lies across, as bits. */
  private int across(int f) {
    return fret(f) == 0 ? 0 : (2 << high(f)) - (1 << low(f));
  }

  /** The fret of a string; {@link Shape#SILENT} for none. */
  private int onString(int s) {
    return ((int) (frets >>> STRING_BITS * s) & FRET_MASK) - 1;
  }

  /** Whether a note that is to sound on is not held on in another state. */
  boolean cutsOff(HandState to) {
    return (manner & SOUNDS_ON) != 0 && voice != to.voice;
  }

  /** Whether the lowest string that sounds is open, under a shape of the first position. */
  boolean hasOpenBass() {
    return (manner & OPEN_BASS) != 0;
  }

  private boolean isOverOpenBass() {
    int lowest = Shape.SILENT;
    int highest = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      lowest = lowest == Shape.SILENT ? onString(s) : lowest;
      highest = Math.max(highest, onString(s));
    }
    return lowest == 0 && highest <= StretchRule.FIRST_POSITION;
  }

  /** The fingers that are down here and up in another state, as bits by finger code. */
  int lifted(HandState to) {
    return pressing & ~to.pressing;
  }

  /** How far the bass goes to another state, semitones; 0 where one of them has none. */
  int bassWay(HandState to) {
    return bass == NO_BASS || to.bass == NO_BASS ? 0 : Math.abs(to.bass - bass);
  }

  /** Whether the note that begins in another state cannot be slurred from here. */
  boolean losesSlur(HandState to) {
    Stance.Legato legato = LEGATOS[to.manner >> LEGATO_SHIFT];
    return legato != Stance.Legato.PLUCKED
        && to.voice != 0
        && (voice == 0 || !place().leadsTo(to.place(), legato));
  }

  /** The place of the note of the tune. */
  private Stance.Voice place() {
    int finger = voice >> VOICE_FINGER_SHIFT;
    return Stance.Voice.at(
            (voice & STRING_MASK) - 1,
            voice >> VOICE_FRET_SHIFT & FRET_MASK,
            finger == FingerCode.NONE ? Optional.empty() : Optional.of(FingerCode.finger(finger)))
        .orElseThrow();
  }

  /** Strings that sound at the same fret in another state, as bits; silent ones among them. */
  int goingOn(HandState to) {
    long other = frets ^ to.frets;
    int strings = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      strings |= (other >>> STRING_BITS * s & FRET_MASK) == 0 ? 1 << s : 0;
    }
    return strings;
  }

  /**
   * Whether a finger leaves a note that goes on under another finger, and need not.
   *
   * @param goingOn the strings that go on, as bits
   */
  boolean givesUp(HandState to, int f, int goingOn) {
    int left = goingOn & across(f) & to.keepable[f] & ~(to.fret(f) == fret(f) ? to.across(f) : 0);
    return left != 0 && sounds(left, fret(f));
  }

  private boolean sounds(int strings, int at) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if ((strings >> s & 1) == 1 && onString(s) == at) {
        return true;
      }
    }
    return false;
  }

  /** What a finger does on the way to another state. */
  Motion motion(HandState to, int f) {
    int here = fret(f);
    int there = to.fret(f);
    if (FingerPlaces.isSame(fingers, to.fingers, f)) {
      return here == 0 ? Motion.NONE : Motion.STAYS;
    }
    if (here == 0 || there == 0) {
      return here == 0 ? Motion.LANDS : Motion.LIFTS;
    }
    if (here == there) {
      boolean overlap = low(f) <= to.high(f) && to.low(f) <= high(f);
      return overlap ? Motion.ROLLS : Motion.MOVES;
    }
    return low(f) == to.low(f) && high(f) == to.high(f) ? Motion.SLIDES : Motion.MOVES;
  }
}
