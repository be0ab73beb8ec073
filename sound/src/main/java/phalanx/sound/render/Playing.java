package phalanx.sound.render;

import java.util.Optional;
import java.util.OptionalDouble;
import phalanx.sound.Texts;
import phalanx.sound.play.Stage;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.theory.Pitch;

/**
 * How a song is played for a file, and where.
 *
 * @param interpretation how freely, with what
 * @param a4 frequency of A4, Hz
 * @param room 0 for none, to 1 for a hall
 * @param body the answer of a body of the player’s own; empty for ours
 * @param hall the answer of a room of the player’s own; empty for ours
 * @param loudness what the song is brought to, LUFS, −40 to −6; empty to leave it
 */
public record Playing(
    Interpretation interpretation,
    double a4,
    double room,
    Optional<ImpulseResponse> body,
    Optional<ImpulseResponse> hall,
    OptionalDouble loudness) {

  /** The softest and the loudest a song is brought to, LUFS. */
  public static final double SOFTEST = -40;

  public static final double LOUDEST = -6;

  /** As players play at home. */
  public static final Playing USUAL =
      new Playing(
          Interpretation.USUAL,
          Pitch.A4_HZ,
          Stage.USUAL_ROOM,
          Optional.empty(),
          Optional.empty(),
          OptionalDouble.of(SongLoudness.USUAL));

  public Playing {
    RenderOptions.require(
        a4 >= Pitch.LOWEST_A4_HZ && a4 <= Pitch.HIGHEST_A4_HZ,
        Texts.of("playing.aAtToHz", Pitch.LOWEST_A4_HZ, Pitch.HIGHEST_A4_HZ));
    RenderOptions.require(room >= 0 && room <= 1, Texts.of("playing.aRoomOfTo"));
    RenderOptions.require(
        loudness.isEmpty()
            || loudness.getAsDouble() >= SOFTEST && loudness.getAsDouble() <= LOUDEST,
        Texts.of("playing.aLoudnessOfTo"));
  }

  /** By another player. */
  public Playing by(Interpretation other) {
    return new Playing(other, a4, room, body, hall, loudness);
  }

  /** Tuned to another A4, Hz. */
  public Playing tunedTo(double hertz) {
    return new Playing(interpretation, hertz, room, body, hall, loudness);
  }

  /** In another room, 0 to 1. */
  public Playing in(double other) {
    return new Playing(interpretation, a4, other, body, hall, loudness);
  }

  /** Brought to another loudness, LUFS; empty to leave it. */
  public Playing asLoudAs(OptionalDouble other) {
    return new Playing(interpretation, a4, room, body, hall, other);
  }

  /** With bodies and rooms of the player’s own; empty for ours. */
  public Playing sounding(
      Optional<ImpulseResponse> otherBody, Optional<ImpulseResponse> otherHall) {
    return new Playing(interpretation, a4, room, otherBody, otherHall, loudness);
  }
}
