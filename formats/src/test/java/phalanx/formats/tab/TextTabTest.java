package phalanx.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.formats.Songs;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.patterns.PatternShelf;
import phalanx.planning.Arranger;
import phalanx.song.Song;

class TextTabTest {

  @ParameterizedTest
  @ValueSource(strings = {Songs.FOUR, Songs.SIX})
  void fitsAMailInPlainCharacters(String chart) {
    String tab = TextTab.write(Songs.arranged(chart));
    assertThat(tab.lines())
        .allMatch(l -> l.length() <= 78)
        .allMatch(l -> l.chars().allMatch(c -> c < 127));
  }

  @ParameterizedTest
  @ValueSource(strings = {Songs.FOUR, Songs.SIX})
  void carriesEveryNoteOnItsString(String chart) {
    Arrangement a = Songs.arranged(chart);
    String tab = TextTab.write(a);
    String names = "EADGBe";
    for (int s = 0; s < 6; s++) {
      String prefix = names.charAt(s) + " |";
      long written =
          tab.lines()
              .filter(l -> l.startsWith(prefix))
              .flatMap(l -> java.util.Arrays.stream(l.substring(3).split("[-|]+")))
              .filter(f -> !f.isEmpty())
              .count();
      int string = s;
      assertThat(written).isEqualTo(a.notes().stream().filter(n -> n.string() == string).count());
    }
  }

  @Test
  void putsCountLettersAndChordsAboveTheirNotes() {
    List<String> lines = TextTab.write(Songs.arranged(Songs.FOUR)).lines().toList();
    int chords = lines.indexOf("Verse") + 1;
    assertThat(lines.get(chords).strip()).startsWith("G").contains("D/F#").contains("Em7");
    assertThat(lines.get(chords + 1).strip()).startsWith("1  &  2  &  3  &  4  &");
    assertThat(lines.get(chords + 8).strip()).startsWith("p  i  p");
    assertThat(lines.get(chords).indexOf('G')).isEqualTo(lines.get(chords + 8).indexOf('p'));
  }

  @Test
  void showsBrushesRollsHitsAndAccentsAndSaysWhatTheSignsMean() {
    assertThat(tab("brushes-down-and-back")).contains(">^n", ",v", "^n  brush towards the high");
    assertThat(tab("rolled-chords")).contains("/  roll from the low", "\\  roll from the high");
    assertThat(tab("click-on-two-and-four")).contains("x  finger click");
    assertThat(tab("staggered-pinch")).doesNotContain("Signs");
  }

  private static String tab(String pattern) {
    Song song = ChordProReader.read("{sog}\n| C | G |\n{eog}\n").song();
    return TextTab.write(
        new Arranger().arrange(song.withPattern(PatternShelf.named(pattern).orElseThrow())));
  }
}
