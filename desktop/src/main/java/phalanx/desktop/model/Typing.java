package phalanx.desktop.model;

import java.util.Optional;
import java.util.function.UnaryOperator;
import phalanx.song.Song;

/** What the player types in a field that puts it into the song only at the end. */
public final class Typing {

  private Optional<UnaryOperator<Song>> open = Optional.empty();

  /**
   * A field is being typed in.
   *
   * @param change what it would do to the song as its text is whenever it is asked
   */
  public void begin(UnaryOperator<Song> change) {
    open = Optional.of(change);
  }

  /** It is closed. */
  public void end() {
    open = Optional.empty();
  }

  /** A song with what is being typed. */
  public Song with(Song song) {
    return open.map(change -> change.apply(song)).orElse(song);
  }
}
