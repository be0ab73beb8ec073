package phalanx.arrangement;

import phalanx.instrument.Finger;
import phalanx.picking.PickFinger;
import phalanx.text.Texts;

/** What is laid on a string to stop it. */
public sealed interface Damper {

  /** Its letter or number in files: {@code p}, {@code 1} to {@code 4}. */
  String word();

  /** In the player's words. */
  String words();

  /** A finger of the picking hand goes back to its string. */
  record Picking(PickFinger finger) implements Damper {
    @Override
    public String word() {
      return finger.letter();
    }

    @Override
    public String words() {
      return finger == PickFinger.P
          ? Texts.of("damper.theThumbLaidBack")
          : Texts.of("damper.laidOnIt", finger.letter());
    }
  }

  /** The heel of the picking hand is laid across the strings. */
  record Heel() implements Damper {
    @Override
    public String word() {
      return "heel";
    }

    @Override
    public String words() {
      return Texts.of("damper.theHeelOfThe");
    }
  }

  /** A finger of the fretting hand leans or lies on it. */
  record Fretting(Finger finger) implements Damper {
    @Override
    public String word() {
      return finger.sign();
    }

    @Override
    public String words() {
      return Texts.of("damper.fingerLeansOnIt", finger.sign());
    }
  }
}
