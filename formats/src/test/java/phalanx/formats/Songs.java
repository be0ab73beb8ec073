package phalanx.formats;

import phalanx.arrangement.Arrangement;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.planning.Arranger;

/** Small charts of our own for the tests. */
public final class Songs {

  public static final String FOUR =
      """
      {title: Mooring}
      {key: G}
      {time: 4/4}
      {tempo: 96}
      {capo: 2}
      {start_of_grid: Verse}
      |: G . . . | D/F# . Em7 . :|
      | Bb . . . | F#m7b5 . B7 . |
      {end_of_grid}
      """;

  public static final String SIX =
      """
      {title: Slack Water}
      {key: Am}
      {time: 6/8}
      {start_of_grid: Verse}
      | Am . . . . . | F . . G . . | C |
      {end_of_grid}
      """;

  private Songs() {}

  public static Arrangement arranged(String chart) {
    SongReading reading = ChordProReader.read(chart);
    if (!reading.problems().isEmpty()) {
      throw new IllegalArgumentException(reading.problems().toString());
    }
    return new Arranger().arrange(reading.song());
  }
}
