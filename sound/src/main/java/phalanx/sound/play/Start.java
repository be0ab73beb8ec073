package phalanx.sound.play;

import java.util.Optional;
import phalanx.sound.score.CountIn;
import phalanx.sound.score.Score;
import phalanx.sound.score.Sequencer.Clicks;
import phalanx.sound.score.Sequencer.Loop;
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
 */
public record Start(
    Score score,
    double from,
    Optional<Loop> loop,
    CountIn countIn,
    double tempo,
    Clicks clicks,
    Levels levels) {

  /** A score from its beginning, nothing but itself. */
  public static Start plain(Score score, Levels levels) {
    return new Start(score, 0, Optional.empty(), CountIn.NONE, 1, Clicks.NOTHING, levels);
  }
}
