package phalanx.sound.render;

import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import phalanx.sound.Layer;
import phalanx.sound.Texts;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.strings.Levels;

/**
 * What of a song becomes a file, and how.
 *
 * @param rate frames a second, 44,100, 48,000 or 96,000
 * @param bits a sample, 16 or 24
 * @param channels 1 or 2
 * @param levels what is heard, and how loud
 * @param bars numbers of the first and last bar as played; empty for all
 * @param countIn bars of clicks before, 0 to {@link CountIn#MOST}
 * @param playing how it is played, and where
 */
public record RenderOptions(
    int rate,
    int bits,
    int channels,
    Levels levels,
    Optional<BarRange> bars,
    int countIn,
    Playing playing) {

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
          44100, 16, 2, Levels.FILE.muting(Layer.CLICK, true), Optional.empty(), 0, Playing.USUAL);

  public RenderOptions {
    require(
        rate == 44100 || rate == 48000 || rate == 96000, Texts.of("renderOptions.orFramesASecond"));
    require(bits == 16 || bits == 24, Texts.of("renderOptions.orBits"));
    require(channels == 1 || channels == 2, Texts.of("renderOptions.oneOrTwoChannels"));
    require(
        countIn >= 0 && countIn <= CountIn.MOST,
        Texts.of("renderOptions.toBarsOfCount", CountIn.MOST));
  }

  static void require(boolean holds, String expected) {
    if (!holds) {
      throw new IllegalArgumentException("expected " + expected);
    }
  }

  /** At another rate and size of samples. */
  public RenderOptions with(int otherRate, int otherBits) {
    return new RenderOptions(otherRate, otherBits, channels, levels, bars, countIn, playing);
  }

  /** In one channel, or in two. */
  public RenderOptions inChannels(int other) {
    return new RenderOptions(rate, bits, other, levels, bars, countIn, playing);
  }

  /** With only some layers heard. */
  public RenderOptions only(Set<Layer> heard) {
    return withLevels(levels.only(heard));
  }

  /** At other levels. */
  public RenderOptions withLevels(Levels other) {
    return new RenderOptions(rate, bits, channels, other, bars, countIn, playing);
  }

  /** As loud as somebody has set it, at full volume and without the metronome. */
  public RenderOptions asHeard(Levels heard) {
    return withLevels(heard.withVolume(1).muting(Layer.CLICK, true));
  }

  /** Rate and size of samples in a player's words. */
  public String formatWords() {
    return Texts.of("renderOptions.khzBit", rate / 1000.0, bits);
  }

  /** Only some bars. */
  public RenderOptions of(BarRange range) {
    return new RenderOptions(rate, bits, channels, levels, Optional.of(range), countIn, playing);
  }

  /** With bars of clicks before. */
  public RenderOptions countingIn(int before) {
    return new RenderOptions(rate, bits, channels, levels, bars, before, playing);
  }

  /** Played otherwise, or elsewhere. */
  public RenderOptions played(UnaryOperator<Playing> change) {
    Playing other = change.apply(playing);
    return new RenderOptions(rate, bits, channels, levels, bars, countIn, other);
  }

  /** With all tuned to another A4, Hz. */
  public RenderOptions tunedTo(double hertz) {
    return played(p -> p.tunedTo(hertz));
  }
}
