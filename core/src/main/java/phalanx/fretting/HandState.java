package phalanx.fretting;

import phalanx.fretting.ChangeCosts.Motion;
import phalanx.instrument.Tuning;

/** Where each finger is, in plain arrays by finger code, for the planner's inner loop. */
final class HandState {

  final int[] fret = new int[FingerCode.THUMB + 1];
  final int[] low = new int[FingerCode.THUMB + 1];
  final int[] high = new int[FingerCode.THUMB + 1];

  /** Lowest fret a finger holds; 0 if none does. */
  final int lowestFret;

  /** Strings by which fingers could hold them in some fingering of the same frets, as bits. */
  private final byte[] keepable;

  private final byte[] frets = new byte[Tuning.STRINGS];

  /** The place of a note of the tune, as one number; 0 for none. */
  private final int voice;

  private final boolean soundsOn;

  private final Stance stance;

  private HandState(Stance stance, byte[] keepable) {
    Shape shape = stance.shape();
    this.keepable = keepable;
    this.stance = stance;
    soundsOn = stance.soundsOn();
    voice =
        stance
            .voice()
            .map(
                v ->
                    1 + v.string() + 8 * (v.fret() + 64 * v.finger().map(FingerCode::of).orElse(0)))
            .orElse(0);
    int lowest = 0;
    for (var entry : shape.grips().entrySet()) {
      int f = FingerCode.of(entry.getKey());
      Grip grip = entry.getValue();
      fret[f] = grip.fret();
      low[f] = grip.lowString();
      high[f] = grip.highString();
      lowest = lowest == 0 ? grip.fret() : Math.min(lowest, grip.fret());
    }
    lowestFret = lowest;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets[s] = (byte) shape.fret(s).orElse(Shape.SILENT);
    }
  }

  static HandState of(Stance stance, byte[] keepable) {
    return new HandState(stance, keepable);
  }

  /** Whether a note that is to sound on is not held on in another state. */
  boolean cutsOff(HandState to) {
    return soundsOn && voice != to.voice;
  }

  /** Whether the note that begins in another state cannot be slurred from here. */
  boolean losesSlur(HandState to) {
    return stance.losesSlur(to.stance);
  }

  /** Whether a finger leaves a note that goes on under another finger, and need not. */
  boolean givesUp(HandState to, int f) {
    for (int s = low[f]; fret[f] > 0 && s <= high[f]; s++) {
      boolean goesOn = frets[s] == fret[f] && to.frets[s] == fret[f];
      boolean stays = to.fret[f] == fret[f] && to.low[f] <= s && s <= to.high[f];
      if (goesOn && !stays && (to.keepable[s] >> f & 1) == 1) {
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
