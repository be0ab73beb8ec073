package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.melody.TuneWriter;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;

class TuneImportTest {

  private static Song song(String chords, String key, String... bars) {
    Tune tune = Tune.NONE;
    for (int b = 0; b < bars.length; b++) {
      tune = tune.with(b + 1, TuneReader.read(bars[b], Meter.FOUR_FOUR).tune());
    }
    return TestSongs.of(chords).withKey(Key.parse(key)).withTune(tune);
  }

  private static List<String> tune(Song song) {
    return song.chart().bars().stream()
        .map(b -> TuneWriter.write(song.tune().at(b.id(), song.chart()), Meter.FOUR_FOUR))
        .toList();
  }

  @Test
  void aTuneGoesOverTheBarsFromAPlaceOnAndTheRestStays() {
    Song mine = song("C | F | G | C", "C", "c4", "f4", "g4", "c5");
    TuneImport done = TuneImport.into(mine, song("C | F", "C", "e4 g", "a4"), 2);
    assertThat(tune(done.song())).containsExactly("c4", "e4 . g .", "a4", "c5");
    assertThat(done.bars()).isEqualTo(2);
    assertThat(done.remarks()).isEmpty();
    assertThat(done.song().withTune(Tune.NONE)).isEqualTo(mine.withTune(Tune.NONE));
  }

  @Test
  void aTuneIsMovedToTheKeyOfTheSongTheShorterWay() {
    TuneImport up = TuneImport.into(song("D", "D"), song("C", "C", "e4 g"), 1);
    assertThat(tune(up.song())).containsExactly("f#4 . a .");
    assertThat(up.remarks()).containsExactly("it is moved from C to D");
    TuneImport down = TuneImport.into(song("A", "A"), song("C", "C", "e4 g"), 1);
    assertThat(tune(down.song())).containsExactly("c#4 . e .");
    TuneImport minor = TuneImport.into(song("Am", "Am"), song("C", "C", "e4 g"), 1);
    assertThat(tune(minor.song())).containsExactly("e4 . g .");
    assertThat(minor.remarks()).containsExactly("it is in C and keeps its pitches");
  }

  @Test
  void whatFindsNoPlaceIsSaid() {
    TuneImport done =
        TuneImport.into(song("C | F", "C"), song("C | F | G", "C", "c4", "d4", "e4"), 2);
    assertThat(done.bars()).isEqualTo(1);
    assertThat(done.remarks())
        .containsExactly("2 more bars of it find no place behind the last bar");
    Song waltz = song("C", "C", "c4 d e f");
    Song three = waltz.withFeel(waltz.feel().withMeter(new Meter(3, 4)));
    assertThat(TuneImport.into(song("C", "C"), three, 1).remarks())
        .containsExactly("1 of its bars have another metre");
  }

  @Test
  void pickUpsMeetEachOther() {
    Song plain = song("C | F", "C", "c4", "f4");
    Song other = song("C | F", "C", "[- e4]", "a4");
    Song led = other.withFeel(other.feel().withPickup(5040));
    TuneImport without = TuneImport.into(plain, led, 1);
    assertThat(tune(without.song())).containsExactly("a4", "f4");
    assertThat(without.remarks())
        .containsExactly("its pick-up is left out, for there is none here");
    Song waiting = plain.withFeel(plain.feel().withPickup(5040));
    assertThat(tune(TuneImport.into(waiting, plain.withTune(other.tune()), 1).song()))
        .containsExactly("c4", tune(other).get(0));
  }

  @Test
  void aSilentBarSilencesAndAnEmptySongBecomesTheOther() {
    Song mine = song("C | F", "C", "c4", "f4");
    TuneImport silent = TuneImport.into(mine, song("C | F", "C", "", "a4"), 1);
    assertThat(silent.song().tune().at(1, mine.chart())).isEqualTo(BarTune.SILENT);
    Song other = song("C", "C", "e4");
    assertThat(TuneImport.into(Song.untitled(), other, 0).song()).isEqualTo(other);
  }
}
