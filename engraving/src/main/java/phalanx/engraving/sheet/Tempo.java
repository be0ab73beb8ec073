package phalanx.engraving.sheet;

import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/** A tempo in felt beats, as it stands on paper: dotted quarters in a compound metre. */
public final class Tempo {

  private Tempo() {}

  /** The mark of a tempo in quarter notes a minute. */
  public static String of(Meter meter, double quarters) {
    return meter.isCompound()
        ? Phrase.of("♩. = %.0f", quarters * Ticks.PER_QUARTER / meter.beatTicks())
        : Phrase.of("♩ = %.0f", quarters);
  }
}
