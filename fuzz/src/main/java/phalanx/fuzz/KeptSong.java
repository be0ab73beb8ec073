package phalanx.fuzz;

import java.nio.charset.StandardCharsets;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.json.ReviewJson;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.musicxml.MusicXmlWriter;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.formats.tab.TextTab;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.Timeline;

/**
 * What was read can be kept: saved and read back as it was, planned and written in every format.
 */
final class KeptSong {

  /** Songs of more chords are saved, but not planned: that is a matter of time, not of readers. */
  private static final int MOST_PLANNED = 24;

  private final Arranger arranger = new Arranger();

  /** The law is broken. */
  static final class Lost extends RuntimeException {
    private static final long serialVersionUID = 1;

    Lost(String words) {
      super(words);
    }
  }

  void check(Song song) {
    String text = SongFileWriter.write(song);
    String stored = new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    SongFileReader.Result result = SongFileReader.read(stored);
    if (!(result instanceof SongFileReader.Result.Read read)) {
      throw new Lost("what was saved is refused: " + result);
    }
    if (!read.problems().isEmpty()) {
      throw new Lost("what was saved is faulty: " + read.problems().get(0));
    } else if (!read.song().equals(song)) {
      throw new Lost("what was saved is read as another song:\n" + song + "\n" + read.song());
    } else if (Timeline.of(song).slots().size() <= MOST_PLANNED) {
      plan(song);
    }
  }

  private void plan(Song song) {
    Arrangement arrangement = arranger.arrange(song);
    TextTab.write(arrangement);
    ArrangementJson.write(arrangement);
    ReviewJson.write(arrangement, Review.of(arrangement), f -> List.of());
    String xml = MusicXmlWriter.write(arrangement);
    MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
  }
}
