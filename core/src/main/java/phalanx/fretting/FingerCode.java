package phalanx.fretting;

import phalanx.instrument.Finger;

/** Fingers as small numbers for the inner loops: 0 none, 1 to 4, 5 the thumb. */
final class FingerCode {

  static final int NONE = 0;
  static final int INDEX = 1;
  static final int LITTLE = 4;
  static final int THUMB = 5;

  private FingerCode() {}

  static int of(Finger finger) {
    return finger == Finger.THUMB ? THUMB : finger.ordinal();
  }

  static Finger finger(int code) {
    return code == THUMB ? Finger.THUMB : Finger.numbered(code);
  }
}
