package phalanx.sound.render;

import phalanx.sound.Layer;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * By how much a song is made louder or softer, so that songs follow each other without a hand on
 * the volume: all of it at its own levels is listened to, or three stretches of a long one, at half
 * the usual rate. What is heard of it alone, a layer or some bars, keeps its place in the whole.
 */
public final class SongLoudness {

  /** What songs are brought to, LUFS. */
  public static final double USUAL = -18;

  /** Nothing is made louder or softer by more than this, dB. */
  private static final double MOST = 15;

  private static final double RATE = 22050;
  private static final double STRETCH = 10;
  private static final double[] STRETCHES = {0.05, 0.42, 0.8};
  private static final int BLOCK = 1024;

  private SongLoudness() {}

  /**
   * The factor for a song.
   *
   * @param target LUFS
   */
  public static double gain(EventSequence score, double target) {
    Loudness heard = new Loudness(RATE);
    double seconds = score.seconds();
    if (seconds <= STRETCHES.length * STRETCH) {
      listen(score, 0, seconds, heard);
    } else {
      for (double share : STRETCHES) {
        listen(score, score.bars().get(score.barAt(share * seconds)), STRETCH, heard);
      }
    }
    double loudness = heard.integrated();
    double decibels =
        loudness <= Loudness.SILENCE ? 0 : Math.max(-MOST, Math.min(MOST, target - loudness));
    return Math.pow(10, decibels / 20);
  }

  private static void listen(EventSequence score, double from, double seconds, Loudness heard) {
    Levels levels = Levels.FILE.muting(Layer.CLICK, true);
    Sequencer sequencer =
        new Sequencer(score, new Instrument(score.guitar(), RATE, levels), levels);
    sequencer.go(from, CountIn.NONE);
    float[] block = new float[2 * BLOCK];
    for (int left = (int) (seconds * RATE); left > 0; left -= BLOCK) {
      sequencer.render(block, Math.min(left, BLOCK));
      heard.add(block, Math.min(left, BLOCK));
    }
  }
}
