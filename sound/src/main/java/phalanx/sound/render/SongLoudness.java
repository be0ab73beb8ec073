package phalanx.sound.render;

import java.util.function.Consumer;
import phalanx.sound.Layer;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * By how much a song is made louder or softer, so that songs follow each other without a hand on
 * the volume: all of it at its own levels is listened to, or five stretches of a long one, at half
 * the usual rate. What is heard of it alone, a layer or some bars, keeps its place in the whole.
 */
public final class SongLoudness {

  /** What songs are brought to, LUFS. */
  public static final double USUAL = -18;

  /** Nothing is made louder or softer by more than this, dB. */
  private static final double MOST = 15;

  private static final double RATE = 22050;
  private static final double STRETCH = 5;
  private static final double[] STRETCHES = {0.03, 0.22, 0.41, 0.6, 0.79};
  private static final int BLOCK = 1024;

  private SongLoudness() {}

  /**
   * The factor for a song.
   *
   * @param target LUFS
   */
  public static double gain(EventSequence score, double target) {
    return gain(score, target, i -> {});
  }

  /**
   * The factor for a song on an instrument.
   *
   * @param set gets an instrument as it is to be, but for its gain
   */
  public static double gain(EventSequence score, double target, Consumer<Instrument> set) {
    Loudness heard = new Loudness(RATE);
    double seconds = score.seconds();
    if (seconds <= STRETCHES.length * STRETCH) {
      listen(score, 0, seconds, set, heard);
    } else {
      for (double share : STRETCHES) {
        listen(score, score.bars().get(score.barAt(share * seconds)), STRETCH, set, heard);
      }
    }
    double loudness = heard.integrated();
    double decibels =
        loudness <= Loudness.SILENCE ? 0 : Math.max(-MOST, Math.min(MOST, target - loudness));
    return Math.pow(10, decibels / 20);
  }

  private static void listen(
      EventSequence score, double from, double seconds, Consumer<Instrument> set, Loudness heard) {
    Levels levels = Levels.FILE.muting(Layer.CLICK, true);
    Instrument instrument = new Instrument(score.guitar(), RATE, levels);
    set.accept(instrument);
    Sequencer sequencer = new Sequencer(score, instrument, levels);
    sequencer.go(from, CountIn.NONE);
    float[] block = new float[2 * BLOCK];
    for (int left = (int) (seconds * RATE); left > 0; left -= BLOCK) {
      sequencer.render(block, Math.min(left, BLOCK));
      heard.add(block, Math.min(left, BLOCK));
    }
  }
}
