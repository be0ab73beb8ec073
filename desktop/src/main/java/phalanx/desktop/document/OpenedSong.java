package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/**
 * A song as it was read.
 *
 * @param from the file it was read from
 * @param song as much of it as could be read
 * @param home the file it is saved into; empty where it is a chart, a score, a pattern to start
 *     from, or was read in part only
 * @param stamp what that file was like
 * @param told what the player should know of it
 */
public record OpenedSong(
    Path from, Song song, Optional<Path> home, Optional<FileStamp> stamp, List<String> told) {

  public OpenedSong {
    told = List.copyOf(told);
  }
}
