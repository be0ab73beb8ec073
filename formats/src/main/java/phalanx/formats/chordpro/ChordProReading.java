package phalanx.formats.chordpro;

import java.util.List;
import phalanx.song.Song;

/**
 * What came of reading a chart.
 *
 * @param song everything that could be read
 * @param problems everything that could not, in order of its place
 */
public record ChordProReading(Song song, List<ChordProProblem> problems) {

  public ChordProReading {
    problems = List.copyOf(problems);
  }
}
