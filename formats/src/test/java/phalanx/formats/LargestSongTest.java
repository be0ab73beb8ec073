package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.fretting.FretRow;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.SongBounds;

/** Whatever can be made can be kept; what is too large is said where it is made. */
class LargestSongTest {

  /** A sign that takes two in a file. */
  private static final String COSTLY = "\"";

  @TempDir private Path folder;

  private static Song largest() {
    List<Bar> bars = new ArrayList<>();
    Map<SlotRef, FretRow> frets = new HashMap<>();
    int chords = SongBounds.MOST_CHORDS / SongBounds.MOST_BARS;
    for (int bar = 1; bar <= SongBounds.MOST_BARS; bar++) {
      List<ChordChange> changes = new ArrayList<>();
      for (int c = 0; c < chords; c++) {
        changes.add(new ChordChange(c * 2016, new Harmony.Unread(COSTLY.repeat(25))));
        if (frets.size() < SongBounds.MOST_PINS) {
          frets.put(new SlotRef(bar, c * 2016), new FretRow(List.of(12, 12, 11, 10, 10, 12)));
        }
      }
      bars.add(Bar.of(bar, changes).startingRepeat(true).endingRepeat(16));
    }
    String name = COSTLY.repeat(SongBounds.LONGEST_NAME);
    return Song.untitled()
        .withTitle(name)
        .withChart(new Chart(List.of(Section.of(SongBounds.MOST_BARS + 1, name, bars))))
        .withPins(new Pins(Map.of(), frets, Map.of(), Map.of(), Map.of(), Map.of()))
        .withLyrics(Collections.nCopies(1_000, COSTLY.repeat(SongBounds.LONGEST_LINE)));
  }

  @Test
  void theLargestSongIsKeptAndReadBack() throws Exception {
    Path file = folder.resolve("large.phalanx.json");
    SongFiles.save(largest(), file);
    SongFiles.Opened read = SongFiles.open(file);
    assertThat(read.problems()).isEmpty();
    assertThat(read.song()).contains(largest());
  }

  @Test
  void whatIsLargerCannotBeMade() {
    Song song = largest();
    List<String> more = new ArrayList<>(song.lyrics());
    more.add("x");
    assertThatThrownBy(() -> song.withLyrics(more))
        .isInstanceOf(SongBounds.TooLarge.class)
        .hasMessageContaining("signs of words");
    assertThatThrownBy(() -> song.withTitle(song.title() + "x"))
        .isInstanceOf(SongBounds.TooLarge.class);
    assertThatThrownBy(
            () -> Song.untitled().withLyrics(Collections.nCopies(SongBounds.MOST_LINES + 1, "")))
        .isInstanceOf(SongBounds.TooLarge.class);
  }

  /** What a chart has too much of is said, the rest of it is read, kept and read again. */
  @ParameterizedTest
  @ValueSource(strings = {"words", "title", "label", "chord", "chords", "bars"})
  void aChartThatIsTooLargeIsReadAsFarAsASongGoes(String what) {
    String text = "{title: T}\n{sog}\n| C | F |\n{eog}\n";
    text =
        switch (what) {
          case "words" -> text + "one more line of words\n".repeat(450_000);
          case "title" -> text.replace("T", "T".repeat(7_900_000));
          case "label" -> text.replace("{sog}", "{sog: label=\"" + "L".repeat(900_000) + "\"}");
          case "chord" -> text.replace("F", "Q".repeat(900_000));
          case "chords" ->
              text.replace("| F |\n", "| " + "C G ".repeat(32).repeat(1) + "|\n")
                  .replace("{eog}", ("| " + "C G ".repeat(32) + "|\n").repeat(900) + "{eog}");
          default -> text.replace("{eog}", "| C | G |\n".repeat(4_000) + "{eog}");
        };
    SongReading read = ChordProReader.read(text);
    assertThat(read.problems()).isNotEmpty();
    assertThat(read.song().chart().bars()).hasSizeGreaterThanOrEqualTo(2);
    SongFileReader.Result again = SongFileReader.read(SongFileWriter.write(read.song()));
    assertThat(((SongFileReader.Result.Read) again).problems()).isEmpty();
    assertThat(((SongFileReader.Result.Read) again).song()).isEqualTo(read.song());
  }

  @Test
  void aSongFileWithTooManyBarsIsReadUpToThere() {
    String bars = "{\"id\": 0, \"chords\": []}, ".repeat(60_000);
    String text =
        "{\"format\": \"phalanx-song\", \"version\": 2, \"title\": \"x\", \"sections\": [{\"id\": 1,"
            + " \"label\": \"\", \"bars\": ["
            + bars.substring(0, bars.length() - 2)
            + "]}]}";
    SongFileReader.Result read = SongFileReader.read(text);
    assertThat(((SongFileReader.Result.Read) read).song().chart().bars())
        .hasSize(SongBounds.MOST_BARS);
    assertThat(((SongFileReader.Result.Read) read).problems())
        .anyMatch(p -> p.message().contains("expected 4000 at most here, found 60000"));
  }

  @Test
  void whatIsNamedTwiceInAnObjectIsSaid() throws Exception {
    String text = SongFileWriter.write(Song.untitled().withTitle("Twice"));
    String twice = text.replace("\"title\" : ", "\"title\" : \"First\",\n\"title\" : ");
    SongFileReader.Result.Read read = (SongFileReader.Result.Read) SongFileReader.read(twice);
    assertThat(read.song().title()).isEqualTo("Twice");
    assertThat(read.problems())
        .singleElement()
        .matches(p -> p.line() > 1 && p.message().startsWith("“title” stands here a second time"));
  }

  @Test
  void aSongFileMayBeginWithAByteOrderMarkAndBeNamedInCapitals() throws Exception {
    Song song = Song.untitled().withTitle("Marked");
    Path file = folder.resolve("X.PHALANX.JSON");
    Files.write(file, ("\uFEFF" + SongFileWriter.write(song)).getBytes(StandardCharsets.UTF_8));
    assertThat(SongFiles.open(file))
        .isEqualTo(new SongFiles.Opened(Optional.of(song), List.of(), List.of()));
    // 255 bytes are what file systems allow (POSIX NAME_MAX as usual, from memory).
    Path longest = folder.resolve("x".repeat(255 - SongFiles.ENDING.length()) + SongFiles.ENDING);
    SongFiles.save(song, longest);
    assertThat(SongFiles.open(longest).song()).contains(song);
    Path wide = folder.resolve("\u0416".repeat(121) + SongFiles.ENDING);
    SongFiles.save(song, wide);
    SongFiles.save(song, wide);
    assertThat(SongFiles.open(wide).song()).contains(song);
    assertThat(folder).isDirectoryNotContaining("glob:**.part");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1e300", "1000000000000000000000", "-5"})
  void numbersThatAreNoneOfTheirKindAreSaidWithTheirPlace(String number) {
    String score =
        """
        <score-partwise><part-list><score-part id="P"><part-name>x</part-name></score-part></part-list>
        <part id="P"><measure number="1"><attributes>
        <divisions>%s</divisions></attributes>
        <sound tempo="%s"/>
        <note><pitch><step>G</step><octave>4</octave></pitch><duration>4</duration></note>
        </measure></part></score-partwise>
        """;
    SongReading read =
        MusicXmlReader.read(score.replace("%s", number).getBytes(StandardCharsets.UTF_8));
    List<FileProblem> said = new ArrayList<>(read.remarks());
    said.addAll(read.problems());
    assertThat(said).anyMatch(r -> r.line() == 3 && r.message().startsWith("a quarter cannot"));
    assertThat(said).anyMatch(r -> r.line() == 4 && r.message().startsWith("this is no tempo"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"1e300", "NaN", "-1"})
  void aTempoNoHandPlaysIsSaidInEveryFormat(String tempo) {
    SongReading chart = ChordProReader.read("{tempo: " + tempo + "}\n{sog}\n| C |\n{eog}\n");
    assertThat(chart.problems()).singleElement().matches(p -> p.line() == 1);
    String song = SongFileWriter.write(Song.untitled());
    String odd = song.replaceFirst("\"tempo\" : [\\d.]+", "\"tempo\" : " + tempo);
    SongFileReader.Result read = SongFileReader.read(odd);
    assertThat(((SongFileReader.Result.Read) read).problems()).isNotEmpty();
  }
}
