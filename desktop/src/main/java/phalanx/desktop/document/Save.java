package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/**
 * A song on its way into a file.
 *
 * @param number tells its answer from others
 * @param document the document the song was when the save was asked for
 * @param file where it goes
 * @param song what is written
 * @param known what the file was like when it was last read or written here; a file that is there
 *     and different, or there although nothing is known of it, is not written over
 * @param overOther whether the player has said that whatever lies there may go
 * @param overReadOnly whether the player has said so of a file that may only be read
 * @param then what the player wanted next, once the song is safe
 */
public record Save(
    long number,
    long document,
    Path file,
    Song song,
    Optional<FileStamp> known,
    boolean overOther,
    boolean overReadOnly,
    Optional<Intent> then) {

  /** A song on its way from a document into a file of which only the document's own is known. */
  static Save of(long number, OpenDocument from, Path file, Song song) {
    Optional<FileStamp> known = from.file().filter(file::equals).flatMap(f -> from.home().stamp());
    return new Save(number, from.id(), file, song, known, false, false, Optional.empty());
  }

  /** Whether it is of the same song into the same file. */
  boolean follows(Save before) {
    return file.equals(before.file) && document == before.document;
  }

  Save knowing(FileStamp stamp) {
    return new Save(
        number, document, file, song, Optional.of(stamp), overOther, overReadOnly, then);
  }

  Save then(Optional<Intent> next) {
    return new Save(number, document, file, song, known, overOther, overReadOnly, next);
  }

  /** The same once more, of the song as it is now. */
  Save again(long next, Song now) {
    return new Save(next, document, file, now, known, overOther, overReadOnly, then);
  }

  Save overAnyFile() {
    return new Save(number, document, file, song, known, true, overReadOnly, then);
  }

  Save evenReadOnly() {
    return new Save(number, document, file, song, known, overOther, true, then);
  }
}
