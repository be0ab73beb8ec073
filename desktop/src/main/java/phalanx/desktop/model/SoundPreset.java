package phalanx.desktop.model;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.sound.play.Stage;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.sound.strings.Levels;

/**
 * How songs sound, as it is kept and taken up again.
 *
 * @param levels how loud each layer is
 * @param interpretation how freely, with what, where
 * @param room 0 for none, to 1 for a hall
 * @param body a guitar’s body of the player’s own; empty for ours
 * @param hall a room of the player’s own; empty for ours
 */
public record SoundPreset(
    Levels levels,
    Interpretation interpretation,
    double room,
    Optional<OwnResponse> body,
    Optional<OwnResponse> hall) {

  /** As the program comes. */
  public static final SoundPreset USUAL =
      new SoundPreset(
          Levels.USUAL, Interpretation.USUAL, Stage.USUAL_ROOM, Optional.empty(), Optional.empty());

  /**
   * A body or a room, and where it lies.
   *
   * @param file the file it was read from
   */
  public record OwnResponse(Path file, ImpulseResponse response) {}
}
