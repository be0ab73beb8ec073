package phalanx.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.song.Song;

/**
 * What came of reading a file.
 *
 * @param song everything that could be read
 * @param problems everything that could not, in order of its place
 * @param remarks what was read, but is not in the song as it was written
 * @param sources the parts that the tune could be taken from; empty where there is no choice
 */
public record SongReading(
    Song song,
    List<FileProblem> problems,
    List<FileProblem> remarks,
    Optional<TuneSources> sources) {

  /** Of a file that is wrong all over only the first faults are told. */
  private static final int MOST_TOLD = 200;

  public SongReading {
    problems = told(problems);
    remarks = told(remarks);
  }

  /** Without a choice of parts. */
  public SongReading(Song song, List<FileProblem> problems, List<FileProblem> remarks) {
    this(song, problems, remarks, Optional.empty());
  }

  /** Without remarks. */
  public SongReading(Song song, List<FileProblem> problems) {
    this(song, problems, List.of(), Optional.empty());
  }

  private static List<FileProblem> told(List<FileProblem> all) {
    if (all.size() <= MOST_TOLD) {
      return List.copyOf(all);
    }
    List<FileProblem> first = new ArrayList<>(all.subList(0, MOST_TOLD - 1));
    FileProblem next = all.get(MOST_TOLD - 1);
    int more = all.size() - first.size();
    first.add(
        new FileProblem(next.line(), next.column(), Texts.of("songReading.andMoreFromHere", more)));
    return List.copyOf(first);
  }
}
