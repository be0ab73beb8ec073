package phalanx.review;

import java.util.Optional;
import java.util.function.UnaryOperator;
import phalanx.song.Song;

/**
 * A way out of a finding that was tried: with it the finding is gone.
 *
 * @param words what it does
 * @param edit the edit of the song
 * @param findings how many findings are left in the song then
 * @param ceiling the tempo both hands hold to then; empty where nothing limits it
 */
public record Remedy(
    String words, UnaryOperator<Song> edit, int findings, Optional<Double> ceiling) {

  /** What it does and what else changes, in one line. */
  public String line(int before) {
    String left =
        findings == before - 1
            ? ""
            : findings < before ? " (%d less)".formatted(before - findings) : " (others come up)";
    return words + left + ceiling.map(c -> " · holds to %.0f".formatted(Math.floor(c))).orElse("");
  }
}
