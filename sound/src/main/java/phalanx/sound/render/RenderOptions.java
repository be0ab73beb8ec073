package phalanx.sound.render;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import phalanx.sound.Layer;
import phalanx.sound.score.CountIn;

/**
 * What of a song becomes a file, and how.
 *
 * @param rate frames a second, 44,100 or 48,000
 * @param bits a sample, 16 or 24
 * @param layers what is heard
 * @param bars numbers of the first and last bar as played; empty for all
 * @param countIn bars of clicks before, 0 to {@link CountIn#MOST}
 */
public record RenderOptions(
    int rate, int bits, Set<Layer> layers, Optional<BarRange> bars, int countIn) {

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
          44100, 16, EnumSet.complementOf(EnumSet.of(Layer.CLICK)), Optional.empty(), 0);

  public RenderOptions {
    require(rate == 44100 || rate == 48000, "44100 or 48000 frames a second");
    require(bits == 16 || bits == 24, "16 or 24 bits");
    require(countIn >= 0 && countIn <= CountIn.MOST, "0 to " + CountIn.MOST + " bars of count-in");
    layers = Set.copyOf(layers);
  }

  private static void require(boolean holds, String expected) {
    if (!holds) {
      throw new IllegalArgumentException("expected " + expected);
    }
  }

  /** At another rate and size of samples. */
  public RenderOptions with(int otherRate, int otherBits) {
    return new RenderOptions(otherRate, otherBits, layers, bars, countIn);
  }

  /** With only some layers heard. */
  public RenderOptions only(Set<Layer> heard) {
    return new RenderOptions(rate, bits, heard, bars, countIn);
  }

  /** Only some bars. */
  public RenderOptions of(BarRange range) {
    return new RenderOptions(rate, bits, layers, Optional.of(range), countIn);
  }

  /** With bars of clicks before. */
  public RenderOptions countingIn(int before) {
    return new RenderOptions(rate, bits, layers, bars, before);
  }
}
