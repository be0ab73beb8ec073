package phalanx.formats;

import java.util.List;
import phalanx.song.Song;

/**
 * What came of reading a file.
 *
 * @param song everything that could be read
 * @param problems everything that could not, in order of its place
 */
public record SongReading(Song song, List<FileProblem> problems) {

  public SongReading {
    problems = List.copyOf(problems);
  }
}
