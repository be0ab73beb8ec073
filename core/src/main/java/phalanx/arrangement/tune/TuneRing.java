package phalanx.arrangement.tune;

import phalanx.instrument.Tuning;

/** Which strings the tune needs at a moment: those it rings on and those its fingers have left. */
public final class TuneRing {

  private final boolean onTop;
  private final int beatTicks;
  private final int[] began = new int[Tuning.STRINGS];
  private final int[] rings = new int[Tuning.STRINGS];
  private final int[] away = new int[Tuning.STRINGS];
  private int beside;
  private final int[] midi = new int[Tuning.STRINGS];

  /**
   * Before anything sounds.
   *
   * @param onTop whether nothing may be struck above the tune through the first beat of a note
   * @param beatTicks how long a beat is
   */
  public TuneRing(boolean onTop, int beatTicks) {
    this.onTop = onTop;
    this.beatTicks = beatTicks;
  }

  /** The same moment, to go on from in another way. */
  public TuneRing copy() {
    TuneRing copy = new TuneRing(onTop, beatTicks);
    System.arraycopy(began, 0, copy.began, 0, began.length);
    System.arraycopy(rings, 0, copy.rings, 0, rings.length);
    System.arraycopy(away, 0, copy.away, 0, away.length);
    System.arraycopy(midi, 0, copy.midi, 0, midi.length);
    copy.beside = beside;
    return copy;
  }

  /** Takes in a note that begins or goes on. */
  public void strike(TuneStrokes.Struck struck, int slotEnd) {
    TunePlace place = struck.place();
    if (struck.begins() || rings[place.string()] == 0) {
      began[place.string()] = struck.note().tick();
    }
    rings[place.string()] = struck.endTick();
    midi[place.string()] = struck.note().midi();
    if (!place.inShape() && (place.finger().isPresent() || !place.left().isEmpty())) {
      beside = Math.max(beside, struck.endTick());
    }
    if (struck.note().isBent()) {
      int pushed = BendPlaces.towards(place.string());
      away[pushed] = Math.max(away[pushed], Math.min(struck.endTick(), slotEnd));
    }
    for (int s : place.left()) {
      away[s] = Math.max(away[s], Math.min(struck.endTick(), slotEnd));
    }
  }

  /** Whether a finger is beside the shape, or off it, for the tune at a time. */
  public boolean holdsBeside(int tick) {
    return beside > tick;
  }

  /** Whether a string may not be struck at a time. */
  public boolean blocks(int string, int tick) {
    return rings[string] > tick || away[string] > tick;
  }

  /** Whether the tune rings on a string at a time. */
  public boolean rings(int string, int tick) {
    return rings[string] > tick;
  }

  /** Whether the tune sounds at a time. */
  public boolean sounds(int tick) {
    for (int end : rings) {
      if (end > tick) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whether a pitch on a string would lie above the tune and be heard as the tune: at the beginning
   * of a note and through its first beat.
   */
  public boolean isAbove(int string, int pitch, int tick) {
    for (int s = 0; onTop && s < Tuning.STRINGS; s++) {
      if (lies(s, string, pitch, tick) && tick < began[s] + beatTicks) {
        return true;
      }
    }
    return false;
  }

  /** Whether a pitch on a string would lie above the tune that sounds: it is struck softly then. */
  public boolean isHigher(int string, int pitch, int tick) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (lies(s, string, pitch, tick)) {
        return true;
      }
    }
    return false;
  }

  private boolean lies(int s, int string, int pitch, int tick) {
    return rings[s] > tick && s != string && pitch > midi[s];
  }
}
