package phalanx.sound.play;

import java.util.Optional;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.strings.Levels;

/**
 * What is to be played, and how.
 *
 * @param score what
 * @param from where it begins, seconds
 * @param loop between which places it goes round
 * @param countIn clicks before
 * @param tempo against the song's own, 0.3 to 1.5
 * @param clicks what the metronome clicks
 * @param levels how loud each layer is
 * @param stage where
 */
public record Start(
    EventSequence score,
    double from,
    Optional<Loop> loop,
    CountIn countIn,
    double tempo,
    Clicks clicks,
    Levels levels,
    Stage stage) {

  /** A score from its beginning as it is written, at the usual pitch. */
  public static Start plain(EventSequence score, Levels levels) {
    return plain(score, 1, levels, Stage.USUAL);
  }

  /** A score from its beginning at a tempo against its own, nothing but itself. */
  public static Start plain(EventSequence score, double tempo, Levels levels, Stage stage) {
    return new Start(
        score, 0, Optional.empty(), CountIn.NONE, tempo, Clicks.NOTHING, levels, stage);
  }
}
