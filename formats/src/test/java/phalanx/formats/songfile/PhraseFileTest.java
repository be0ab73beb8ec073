package phalanx.formats.songfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.picking.ThumbRoute;
import phalanx.song.Bar;
import phalanx.song.ChartEdits;
import phalanx.song.Song;

/**
 * Where the player says that phrases begin, and how the thumb walks, as it stands in a song file.
 */
class PhraseFileTest {

  private static SongFileReader.Result.Read read(String text) {
    return (SongFileReader.Result.Read) SongFileReader.read(text);
  }

  @Test
  void whatIsSaidOfPhrasesComesBack() {
    Song song = ChordProReader.read("{sog}\n| C | G | C |\n{eog}\n").song();
    Bar second = song.chart().bars().get(1);
    Bar third = song.chart().bars().get(2);
    Song said =
        song.editChart(c -> ChartEdits.replace(c, second.beginningPhrase(Optional.of(true))))
            .editChart(c -> ChartEdits.replace(c, third.beginningPhrase(Optional.of(false))))
            .withThumb(ThumbRoute.WALKING_ALWAYS);
    String text = SongFileWriter.write(said);
    assertThat(read(text).problems()).isEmpty();
    assertThat(read(text).song().chart()).isEqualTo(said.chart());
    assertThat(read(text).song().thumb()).isEqualTo(ThumbRoute.WALKING_ALWAYS);
    assertThat(SongFileWriter.write(song)).doesNotContain("phrase");
  }

  @Test
  void theSectionsThatRingComeBack() {
    Song song = ChordProReader.read("{sog}\n| C | G | C |\n{eog}\n").song();
    int section = song.sections().get(0).id();
    Song rings = song.withTune(song.tune().withRinging(Set.of(section)));
    String text = SongFileWriter.write(rings);
    assertThat(read(text).problems()).isEmpty();
    assertThat(read(text).song().tune().ringing()).containsExactly(section);
    assertThat(SongFileWriter.write(song)).doesNotContain("tuneRings");
  }

  /** What is no yes or no is said with its place, and the bar is kept. */
  @Test
  void aWrongWordIsSaid() {
    Song song = ChordProReader.read("{sog}\n| C | G |\n{eog}\n").song();
    Bar second = song.chart().bars().get(1);
    Song said =
        song.editChart(c -> ChartEdits.replace(c, second.beginningPhrase(Optional.of(true))));
    String wrong =
        SongFileWriter.write(said).replaceFirst("\"phrase\" *: *true", "\"phrase\" : \"perhaps\"");
    SongFileReader.Result.Read read = read(wrong);
    assertThat(read.problems()).hasSize(1);
    assertThat(read.problems().get(0).toString()).contains("phrase");
    assertThat(read.song().chart()).isEqualTo(song.chart());
  }
}
