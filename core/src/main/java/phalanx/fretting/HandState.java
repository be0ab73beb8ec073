package phalanx.fretting;

import phalanx.fretting.ChangeCosts.Motion;
import phalanx.instrument.Tuning;

/**
 * Where each finger is, in plain arrays by finger code, for the planner's inner loop. A long song
 * has hundreds of thousands of them: bytes are wide enough.
 */
final class HandState {

  final byte[] fret = new byte[FingerCode.THUMB + 1];
  final byte[] low = new byte[FingerCode.THUMB + 1];
  final byte[] high = new byte[FingerCode.THUMB + 1];

  /** Lowest fret a finger holds; 0 if none does. */
  final int lowestFret;

  /** How far the fingers are stretched, 0 to 1 at the limit. */
  final double stretch;

  /** By finger the strings it could hold in some fingering of the same frets, as bits. */
  private final byte[] keepable;

  /** By finger the strings it lies across, as bits. */
  private final byte[] across = new byte[FingerCode.THUMB + 1];

  private final byte[] frets = new byte[Tuning.STRINGS];

  /** The place of a note of the tune, as one number; 0 for none. */
  private final int voice;

  private final boolean soundsOn;

  /** The first bass as a MIDI note; {@link #NO_BASS} for none. */
  private final int bass;

  private final boolean openBass;

  /** The fingers that press something, as bits by finger code. */
  private final byte pressing;

  private final Stance stance;

  private static final int NO_BASS = -1;

  private HandState(Stance stance, byte[] keepable, double stretch) {
    this.stretch = stretch;
    this.keepable = keepable;
    this.stance = stance;
    soundsOn = stance.soundsOn();
    bass = stance.bass().orElse(NO_BASS);
    voice =
        stance
            .voice()
            .map(
                v ->
                    1 + v.string() + 8 * (v.fret() + 64 * v.finger().map(FingerCode::of).orElse(0)))
            .orElse(0);
    int lowest = 0;
    int down = 0;
    Shape asked = stance.asked();
    for (var entry : asked.grips().entrySet()) {
      int f = FingerCode.of(entry.getKey());
      Grip grip = entry.getValue();
      down |= 1 << f;
      fret[f] = (byte) grip.fret();
      low[f] = (byte) grip.lowString();
      high[f] = (byte) grip.highString();
      across[f] = (byte) ((2 << high[f]) - (1 << low[f]));
      lowest = lowest == 0 ? grip.fret() : Math.min(lowest, grip.fret());
    }
    lowestFret = lowest;
    pressing = (byte) down;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets[s] = (byte) asked.fret(s).orElse(Shape.SILENT);
    }
    openBass = isOverOpenBass(frets);
  }

  static HandState of(Stance stance, byte[] keepable, double stretch) {
    return new HandState(stance, keepable, stretch);
  }

  /** Whether a note that is to sound on is not held on in another state. */
  boolean cutsOff(HandState to) {
    return soundsOn && voice != to.voice;
  }

  /** Whether the lowest string that sounds is open, under a shape of the first position. */
  boolean hasOpenBass() {
    return openBass;
  }

  private static boolean isOverOpenBass(byte[] frets) {
    int lowest = Shape.SILENT;
    int highest = 0;
    for (byte f : frets) {
      lowest = lowest == Shape.SILENT ? f : lowest;
      highest = Math.max(highest, f);
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
    return stance.losesSlur(to.stance);
  }

  /** Strings that sound at the same fret in another state, as bits; silent ones among them. */
  int goingOn(HandState to) {
    int strings = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      strings |= frets[s] == to.frets[s] ? 1 << s : 0;
    }
    return strings;
  }

  /**
   * Whether a finger leaves a note that goes on under another finger, and need not.
   *
   * @param goingOn the strings that go on, as bits
   */
  boolean givesUp(HandState to, int f, int goingOn) {
    int left = goingOn & across[f] & to.keepable[f] & ~(to.fret[f] == fret[f] ? to.across[f] : 0);
    return left != 0 && fret[f] > 0 && sounds(left, fret[f]);
  }

  private boolean sounds(int strings, int at) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if ((strings >> s & 1) == 1 && frets[s] == at) {
        return true;
      }
    }
    return false;
  }

  /** What a finger does on the way to another state. */
  Motion motion(HandState to, int f) {
    if (fret[f] == 0) {
      return to.fret[f] == 0 ? Motion.NONE : Motion.LANDS;
    }
    if (to.fret[f] == 0) {
      return Motion.LIFTS;
    }
    boolean sameStrings = low[f] == to.low[f] && high[f] == to.high[f];
    if (fret[f] == to.fret[f]) {
      boolean overlap = low[f] <= to.high[f] && to.low[f] <= high[f];
      return sameStrings ? Motion.STAYS : overlap ? Motion.ROLLS : Motion.MOVES;
    }
    return sameStrings ? Motion.SLIDES : Motion.MOVES;
  }
}
