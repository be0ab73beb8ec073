package phalanx.song;

import java.util.Optional;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * How a song moves.
 *
 * @param meter the metre it begins in
 * @param tempo quarter notes a minute it begins with, 20 to 400
 * @param swing how eighths are played
 * @param pickupTicks length of the first bar where it is a pick-up, less than a bar; 0 for none
 * @param ritard how it slows down at the end, if it does
 * @throws IllegalArgumentException if tempo or pick-up are out of range
 */
public record Feel(
    Meter meter, double tempo, Swing swing, int pickupTicks, Optional<Ritard> ritard) {

  public static final double SLOWEST = 20;
  public static final double FASTEST = 400;

  /** Tempo of a chart that names none, quarter notes a minute. */
  public static final double USUAL_TEMPO = 90;

  /** Four quarters, straight. */
  public static final Feel USUAL =
      new Feel(Meter.FOUR_FOUR, USUAL_TEMPO, Swing.STRAIGHT, 0, Optional.empty());

  public Feel {
    if (!isTempo(tempo)) {
      throw new IllegalArgumentException("tempo out of range: " + tempo);
    }
    if (pickupTicks < 0) {
      throw new IllegalArgumentException("pick-up out of range: " + pickupTicks);
    }
    // In a shorter metre a long pick-up would be a bar of its own.
    pickupTicks = pickupTicks < meter.barTicks() ? pickupTicks : 0;
  }

  /** Whether hands play at a tempo at all, quarter notes a minute; no number that is none. */
  public static boolean isTempo(double tempo) {
    return tempo >= SLOWEST && tempo <= FASTEST;
  }

  /** In another metre from the start. */
  public Feel withMeter(Meter other) {
    return new Feel(other, tempo, swing, pickupTicks, ritard);
  }

  /** At another tempo. */
  public Feel withTempo(double other) {
    return new Feel(meter, other, swing, pickupTicks, ritard);
  }

  /** With other swing. */
  public Feel withSwing(Swing other) {
    return new Feel(meter, tempo, other, pickupTicks, ritard);
  }

  /** With a pick-up of this length; 0 for none. */
  public Feel withPickup(int ticks) {
    return new Feel(meter, tempo, swing, ticks, ritard);
  }

  /** Slowing down at the end, or not. */
  public Feel withRitard(Optional<Ritard> other) {
    return new Feel(meter, tempo, swing, pickupTicks, other);
  }

  /** A pick-up as a metre of its own, such as 1/4; empty without one, or where none is as long. */
  public Optional<Meter> pickupMeter() {
    for (int unit : new int[] {4, 8, 16}) {
      int each = Ticks.PER_WHOLE / unit;
      if (pickupTicks > 0 && pickupTicks % each == 0) {
        return Optional.of(new Meter(pickupTicks / each, unit));
      }
    }
    return Optional.empty();
  }
}
