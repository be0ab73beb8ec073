package phalanx.song;

import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * The beat in which a tempo is told: the dotted quarter where eighths are felt in threes, the
 * quarter elsewhere.
 *
 * @param dotted whether it is the dotted quarter
 */
public record Pulse(boolean dotted) {

  private static final int EIGHTH = 8;

  /** Quarters in a dotted quarter. */
  private static final double DOTTED = 1.5;

  /** The pulse of a metre. */
  public static Pulse of(Meter meter) {
    return new Pulse(meter.isCompound() && meter.unit() == EIGHTH);
  }

  /** The pulse a song begins with. */
  public static Pulse of(Song song) {
    return of(song.meter());
  }

  /** How many beats a minute a tempo in quarter notes a minute is. */
  public double beats(double quarters) {
    return dotted ? quarters / DOTTED : quarters;
  }

  /** Its length in ticks. */
  public int ticks() {
    return dotted ? (int) (Ticks.PER_QUARTER * DOTTED) : Ticks.PER_QUARTER;
  }

  /** The note that stands for it. */
  public String sign() {
    return dotted ? "♩." : "♩";
  }

  /** What it is called in the plural. */
  public String words() {
    return dotted ? Texts.of("pulse.dottedQuarters") : Texts.of("pulse.quarterNotes");
  }

  /** A tempo in quarter notes a minute as players write it: {@code ♩. = 60}. */
  public String mark(double quarters) {
    return Phrase.of("%s = %.0f", sign(), beats(quarters));
  }
}
