package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import phalanx.song.BarLyrics;
import phalanx.song.Song;
import phalanx.song.TestSongs;

class RebarringTest {

  private static String chart(Song song) {
    return song.chart().bars().stream()
        .map(
            b ->
                b.changes().stream()
                    .map(c -> c.harmony().label() + "@" + c.tick() / 5040)
                    .collect(Collectors.joining(" ")))
        .collect(Collectors.joining(" | "));
  }

  private static Song worded(String line) {
    Song song = TestSongs.of(line);
    for (var bar : song.chart().bars()) {
      String all =
          bar.changes().stream()
              .map(c -> "on" + c.harmony().label())
              .collect(Collectors.joining(" | "));
      List<Integer> ticks = bar.changes().stream().map(c -> c.tick()).toList();
      song = song.withWords(song.words().with(bar.id(), BarLyrics.read(all, ticks, 20160)));
    }
    return song;
  }

  private static String words(Song song) {
    return song.chart().bars().stream()
        .map(b -> song.words().at(b.id()).verse(0))
        .collect(Collectors.joining(" | "));
  }

  @Test
  void twoChordsOfABarGetABarEach() {
    Song song = worded("G C | D");
    Song longer = Rebarring.longer(song, song.chart().bars().get(0).id());
    assertThat(chart(longer)).isEqualTo("G@0 | C@0 | D@0");
    assertThat(words(longer)).isEqualTo("onG | onC | onD");
  }

  @Test
  void aChordAloneLastsABarMoreAndABarLess() {
    Song song = worded("G | D");
    int bar = song.chart().bars().get(0).id();
    Song longer = Rebarring.longer(song, bar);
    assertThat(chart(longer)).isEqualTo("G@0 |  | D@0");
    assertThat(chart(Rebarring.shorter(longer, bar))).isEqualTo(chart(song));
    assertThat(words(Rebarring.shorter(longer, bar))).isEqualTo(words(song));
  }

  @Test
  void twoBarsBecomeOneWithTheirWords() {
    Song song = worded("G | C | D");
    Song shorter = Rebarring.shorter(song, song.chart().bars().get(0).id());
    assertThat(chart(shorter)).isEqualTo("G@0 C@2 | D@0");
    assertThat(words(shorter)).isEqualTo("onG onC | onD");
  }

  @Test
  void soManyChordsABarInTheWholeSong() {
    Song song = worded("G | C | D | G");
    Song two = Rebarring.chordsABar(song, 2);
    assertThat(chart(two)).isEqualTo("G@0 C@2 | D@0 G@2");
    assertThat(words(two)).isEqualTo("onG onC | onD onG");
    Song one = Rebarring.chordsABar(two, 1);
    assertThat(chart(one)).isEqualTo(chart(song));
    assertThat(words(one)).isEqualTo(words(song));
  }

  @Test
  void wordsAreTypedAsTheyStand() {
    List<Integer> ticks = List.of(0, 10080);
    for (String typed : List.of("down the | quay", "down // up | again", "| late")) {
      assertThat(BarLyrics.read(typed, ticks, 20160).typed(ticks)).isEqualTo(typed);
    }
  }
}
