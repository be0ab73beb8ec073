package phalanx.sound.render;

import java.util.Optional;
import java.util.Set;
import phalanx.sound.Layer;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.strings.Levels;
import phalanx.text.Phrase;
import phalanx.theory.Pitch;

/**
 * What of a song becomes a file, and how.
 *
 * @param rate frames a second, 44,100 or 48,000
 * @param bits a sample, 16 or 24
 * @param levels what is heard, and how loud
 * @param bars numbers of the first and last bar as played; empty for all
 * @param countIn bars of clicks before, 0 to {@link CountIn#MOST}
 * @param a4 frequency of A4, Hz
 */
public record RenderOptions(
    int rate, int bits, Levels levels, Optional<BarRange> bars, int countIn, double a4) {

  /** From one bar to another, by their numbers as played. */
  public record BarRange(int first, int last) {
    public BarRange {
      if (first > last) {
        throw new IllegalArgumentException("the first bar is not after the last");
      }
    }
  }

  /** Everything but the metronome, as on a compact disc (IEC 60908: 44.1 kHz, 16 bit). */
  public static final RenderOptions USUAL =
      new RenderOptions(
          44100, 16, Levels.FILE.muting(Layer.CLICK, true), Optional.empty(), 0, Pitch.A4_HZ);

  public RenderOptions {
    require(rate == 44100 || rate == 48000, "44100 or 48000 frames a second");
    require(bits == 16 || bits == 24, "16 or 24 bits");
    require(countIn >= 0 && countIn <= CountIn.MOST, "0 to " + CountIn.MOST + " bars of count-in");
    require(
        a4 >= Pitch.LOWEST_A4_HZ && a4 <= Pitch.HIGHEST_A4_HZ,
        "A4 at " + Pitch.LOWEST_A4_HZ + " to " + Pitch.HIGHEST_A4_HZ + " Hz");
  }

  private static void require(boolean holds, String expected) {
    if (!holds) {
      throw new IllegalArgumentException("expected " + expected);
    }
  }

  /** At another rate and size of samples. */
  public RenderOptions with(int otherRate, int otherBits) {
    return new RenderOptions(otherRate, otherBits, levels, bars, countIn, a4);
  }

  /** With only some layers heard. */
  public RenderOptions only(Set<Layer> heard) {
    return new RenderOptions(rate, bits, Levels.FILE.only(heard), bars, countIn, a4);
  }

  /** As loud as somebody has set it, at full volume and without the metronome. */
  public RenderOptions asHeard(Levels heard) {
    Levels whole = heard.withVolume(1).muting(Layer.CLICK, true);
    return new RenderOptions(rate, bits, whole, bars, countIn, a4);
  }

  /** Rate and size of samples in a player's words. */
  public String formatWords() {
    return Phrase.of("%.1f kHz, %d bit", rate / 1000.0, bits);
  }

  /** Only some bars. */
  public RenderOptions of(BarRange range) {
    return new RenderOptions(rate, bits, levels, Optional.of(range), countIn, a4);
  }

  /** With bars of clicks before. */
  public RenderOptions countingIn(int before) {
    return new RenderOptions(rate, bits, levels, bars, before, a4);
  }

  /** With all tuned to another A4, Hz. */
  public RenderOptions tunedTo(double hertz) {
    return new RenderOptions(rate, bits, levels, bars, countIn, hertz);
  }
}
