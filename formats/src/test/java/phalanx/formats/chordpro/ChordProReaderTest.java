package phalanx.formats.chordpro;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.formats.SongReading;
import phalanx.formats.Songs;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline;

class ChordProReaderTest {

  private static List<String> played(String grid) {
    SongReading reading = ChordProReader.read("{sog}\n" + grid + "\n{eog}\n");
    assertThat(reading.problems()).isEmpty();
    return Timeline.of(reading.song()).slots().stream().map(s -> s.harmony().label()).toList();
  }

  @Test
  void readsTheHeadOfAChart() {
    Song song = ChordProReader.read(Songs.FOUR).song();
    assertThat(song.title()).isEqualTo("Mooring");
    assertThat(song.key().orElseThrow()).hasToString("G");
    assertThat(song.meter()).hasToString("4/4");
    assertThat(song.tempo()).isEqualTo(96);
    assertThat(song.guitar().capo()).isEqualTo(2);
    assertThat(song.sections()).extracting(Section::label).containsExactly("Verse");
  }

  @Test
  void sharesABarEvenlyAmongItsCells() {
    Song song = ChordProReader.read(Songs.SIX).song();
    List<Bar> bars = song.sections().get(0).bars();
    assertThat(bars.get(1).changes()).extracting(c -> c.tick()).containsExactly(0, 7560);
    assertThat(bars).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({
    "| G | C |,G C", "|: G | C :|,G C G C", "|: G | C :| x3,G C G C G C",
        "|| G . D . | % |.,G D G D",
    "| G | |: C :| D |,G C C D", "Intro | G | C | twice if asked,G C", "|G|C|,G C",
        "| G . N.C. . |,G N.C."
  })
  void readsBarsRepeatsAndMarginNotes(String grid, String chords) {
    assertThat(played(grid)).containsExactly(chords.split(" "));
  }

  @Test
  void keepsTheWordsAndLeavesOutComments() {
    SongReading reading =
        ChordProReader.read(
            "# private\n{sog}\n| C |\n{eog}\n{start_of_verse}\nFirst line\n  second\n{end_of_verse}\n");
    assertThat(reading.song().lyrics()).containsExactly("First line", "  second");
  }

  @Test
  void takesTheLabelFromTheGridOrTheCommentBeforeIt() {
    Song song =
        ChordProReader.read(
                "{comment: Bridge}\n{sog}\n| C |\n{eog}\n{start_of_grid label=\"Coda\"}\n| G |\n{eog}\n{sog: 4x4}\n| D |\n{eog}\n")
            .song();
    assertThat(song.sections()).extracting(Section::label).containsExactly("Bridge", "Coda", "");
  }

  @Test
  void readsEndingsAndAMetreThatChangesBetweenGrids() {
    Song song =
        ChordProReader.read(
                "{time: 4/4}\n{sog}\n|: C . . . |1 F . . . :|2 G . . . |\n{eog}\n"
                    + "{time: 3/4}\n{sog}\n| Am . . |\n{eog}\n")
            .song();
    assertThat(Timeline.of(song).slots())
        .extracting(s -> s.harmony().label())
        .containsExactly("C", "F", "C", "G", "Am");
    assertThat(Timeline.of(song).bars())
        .extracting(b -> b.meter().toString())
        .containsExactly("4/4", "4/4", "4/4", "4/4", "3/4");
  }

  @Test
  void placesEveryProblemAndReadsTheRest() {
    SongReading reading =
        ChordProReader.read(
            """
            {title: Torn Net}
            {time: 4 4}
            {tempo: fast}
            {capo: 15}
            {key: H}
            {sog: A}
            | C . . . | Qx . . . | Am7b . . . |
            | G . . | |1 D . . . |
            no bars here
            {eog}
            {unclosed
            """);
    assertThat(reading.problems())
        .extracting(p -> p.line() + ":" + p.column())
        .containsExactly("2:8", "3:9", "4:8", "5:7", "7:13", "7:28", "8:3", "9:1", "11:1");
    assertThat(reading.problems()).allMatch(p -> p.message().contains("expected"));
    assertThat(reading.problems().get(4).in("net.cho"))
        .isEqualTo("net.cho:7:13: cannot read the chord “Qx”: expected a root note A to G");
    assertThat(Timeline.of(reading.song()).slots())
        .extracting(s -> s.harmony().label())
        .startsWith("C", "Qx", "Am7b", "G");
  }

  @ParameterizedTest
  @CsvSource({"'',1:1", "'{sog}',1:1", "'{title: X}',1:1", "'{eog}',1:5"})
  void anEmptyChartSaysWhatWasExpected(String text, String place) {
    assertThat(ChordProReader.read(text).problems())
        .first()
        .satisfies(p -> assertThat(p.line() + ":" + p.column()).isEqualTo(place));
  }

  /** Whatever is typed, there is a song to show and every problem has a place inside the text. */
  @Property(tries = 500)
  void whateverIsTypedThereIsASongThatCanBeKept(
      @ForAll @StringLength(max = 80) @CharRange(from = ' ', to = '~') String a,
      @ForAll @StringLength(max = 60) String b) {
    String text = "{sog}\n" + a + "\n" + b + "\n{eog}";
    SongReading reading = ChordProReader.read(text);
    int lines = (int) text.lines().count();
    assertThat(reading.problems())
        .allMatch(p -> p.line() >= 1 && p.line() <= lines && p.column() >= 1);
    assertThat(SongFileReader.read(SongFileWriter.write(reading.song())))
        .isEqualTo(new SongFileReader.Result.Read(reading.song(), List.of()));
  }
}
