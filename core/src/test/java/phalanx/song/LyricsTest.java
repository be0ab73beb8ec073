package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Words at their times in a song that repeats. */
class LyricsTest {

  private static List<Lyrics.Line> sung(String chart, BarLyrics... words) {
    Song song = TestSongs.of(chart);
    for (int b = 0; b < words.length; b++) {
      song = song.withWords(song.words().with(song.chart().bars().get(b).id(), words[b]));
    }
    return song.words().played(Timeline.of(song));
  }

  private static BarLyrics typed(String text) {
    return BarLyrics.read(text, List.of(0, 10_080), 20_160);
  }

  @Test
  void eachTimeThroughHasItsVerseAndTheLastStays() {
    List<Lyrics.Line> sung = sung("|: G | C :|x3", typed("one // two"), typed("same"));
    assertThat(sung).extracting(Lyrics.Line::text).startsWith("one", "same", "two", "same");
  }

  @Test
  void wordsLastUntilTheNext() {
    List<Lyrics.Line> sung = sung("| G C | D |", typed("down | to"), typed("quay"));
    assertThat(sung)
        .containsExactly(
            new Lyrics.Line(0, 10_080, "down"),
            new Lyrics.Line(10_080, 20_160, "to"),
            new Lyrics.Line(20_160, 40_320, "quay"));
  }
}
