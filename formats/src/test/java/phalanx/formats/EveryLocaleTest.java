package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.json.ReviewJson;
import phalanx.formats.musicxml.MusicXmlWriter;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.formats.tab.TextTab;
import phalanx.planning.Arranger;
import phalanx.song.Song;

/** Files are the same wherever a player lives; the build runs this in Turkish as well. */
class EveryLocaleTest {

  private static List<String> files(Locale locale) {
    Locale usual = Locale.getDefault();
    Locale.setDefault(locale);
    try {
      Song song =
          SongFiles.open(Path.of("..", "demo", "low-tide-reel.phalanx.json")).song().orElseThrow();
      Arrangement a = new Arranger().arrange(song);
      return List.of(
          SongFileWriter.write(song),
          ArrangementJson.write(a),
          ReviewJson.write(a, Review.of(a), f -> List.of()),
          MusicXmlWriter.write(a),
          TextTab.write(a));
    } finally {
      Locale.setDefault(usual);
    }
  }

  /** Dotless i, decimal commas, digits of another script. */
  @ParameterizedTest
  @ValueSource(strings = {"tr-TR", "de-DE", "ar-EG-u-nu-arab", "hi-IN-u-nu-deva"})
  void filesAreTheSame(String tag) {
    assertThat(files(Locale.forLanguageTag(tag))).isEqualTo(files(Locale.ROOT));
  }
}
