package phalanx.formats.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.formats.FileFormat;
import phalanx.formats.FileProblem;
import phalanx.formats.SongFiles;
import phalanx.formats.SongReading;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.chordpro.ChordProWriter;
import phalanx.planning.Arranger;
import phalanx.song.Section;
import phalanx.song.Song;

/**
 * Songs as people write them down: chords above words, in brackets, as degrees (common practice).
 */
class ChartTextReaderTest {

  private static String chart(Song song) {
    return song.chart().bars().stream()
        .map(
            b ->
                b.changes().stream().map(c -> c.harmony().label()).collect(Collectors.joining(" ")))
        .collect(Collectors.joining(" | "));
  }

  private static List<String> words(Song song) {
    return song.chart().bars().stream().map(b -> song.words().at(b.id()).verse(0)).toList();
  }

  /** Amazing Grace, words by Newton (1779), tune New Britain (1829): public domain. */
  private static final String GRACE =
      """
      Amazing Grace
      Key: G

      [Verse 1]
             G        G7      C         G
      Amazing grace! How sweet the sound
                  Em           D       D7
      That saved a wretch like me
      """;

  @Test
  void readsChordsAboveTheirWords() {
    SongReading reading = ChartTextReader.read(GRACE);
    Song song = reading.song();
    assertThat(reading.problems()).isEmpty();
    assertThat(song.title()).isEqualTo("Amazing Grace");
    assertThat(song.key().orElseThrow()).hasToString("G");
    assertThat(song.sections()).extracting(Section::label).containsExactly("Verse 1");
    assertThat(chart(song)).startsWith("G | G7 | C | G");
    assertThat(String.join(" ", words(song)).replaceAll("\\s+", " "))
        .contains("Amazing")
        .contains("wretch like me");
    assertThat(reading.remarks())
        .extracting(FileProblem::message)
        .contains(ChartTextReader.PROPOSED);
  }

  @ParameterizedTest
  @CsvSource({
    "| 1 | 4 5 | 6m | 5/7 |,G | C D | Em | D/F♯",
    "| I | vi IV | V7 | bVII |,G | Em C | D7 | F",
    "| G | C D7 |,G | C D7"
  })
  void readsBarsOfSymbolsFiguresAndNumerals(String line, String chords) {
    assertThat(chart(ChartTextReader.read("Quay\nKey: G\n" + line).song())).isEqualTo(chords);
  }

  @Test
  void aBarAChordUnlessTwoStandClose() {
    String song =
        "{title: Quay}\n[G]Down to the water the [C]boats are all sleeping\n"
            + "[Em]nobody wakes and the [D]lanterns are keeping\n"
            + "[G]one [C]eye [G]open until the [D7]morning\n";
    Song read = ChordProReader.read(song).song();
    assertThat(chart(read)).startsWith("G | C | Em | D |").contains("G C");
  }

  /** A line of three chords beside lines of four bars ends on a chord of two (judged by ear). */
  @Test
  void linesOfASongAreOfOneLengthAndPartedWordsHaveAHyphen() {
    Song read =
        ChordProReader.read(
                "{title: Quay}\n[G]Down to the [C]quay where the [G]lanterns burn\n"
                    + "[Em]Tide going [C]out and the [D]tide will re[G]turn\n")
            .song();
    assertThat(chart(read)).isEqualTo("G | C | G |  | Em | C | D | G");
    assertThat(words(read))
        .containsExactly(
            "Down to the",
            "quay where the",
            "lanterns",
            "burn",
            "Tide going",
            "out and the",
            "tide will re-",
            "turn");
    Arrangement plan = new Arranger().arrange(read);
    assertThat(words(ChordProReader.read(ChordProWriter.write(plan)).song()))
        .isEqualTo(words(read));
  }

  /** A chord over the second or the last letter is meant for a word’s beginning (practice). */
  @Test
  void chordsAboveWordsNeedNotStandToTheLetter() {
    Song read =
        ChartTextReader.read(
                "Quay\nKey: G\n\n"
                    + " G              C         D\n"
                    + "Down where the boats are sleeping\n")
            .song();
    assertThat(words(read)).startsWith("Down where the", "boats are", "sleeping");
  }

  /** As people write things down (common practice, no source). */
  @Test
  void readsCapoTimesAndHeadingsAsPeopleWriteThem() {
    Song read =
        ChartTextReader.read("Quay\nCapo 3rd fret\n\n[Intro]\nG  D/F#  Em  C  (x2)\n").song();
    assertThat(read.guitar().capo()).isEqualTo(3);
    assertThat(chart(read)).isEqualTo("G | D/F♯ | Em | C");
    assertThat(read.chart().bars().get(0).repeatStart()).isTrue();
    assertThat(read.chart().bars().get(3).plays()).isEqualTo(2);
    assertThat(ChartTextReader.read("Quay\ncapo: IV\n\nG C\n").song().guitar().capo()).isEqualTo(4);
    SongReading chordPro =
        ChordProReader.read(
            "{title: Quay}\nVerse 1:\n[G]down to the [C]quay\n[Chorus]\n[D]hold [G]on\n"
                + "{sot}\ne|--0--|\n{eot}\n");
    assertThat(chordPro.problems()).isEmpty();
    assertThat(chordPro.song().sections())
        .extracting(Section::label)
        .containsExactly("Verse 1", "Chorus");
    assertThat(chordPro.remarks())
        .extracting(FileProblem::message)
        .anyMatch(m -> m.contains("left out: tab"));
  }

  /**
   * Older programs wrote Western European letters or UTF-16 (Unicode Standard, byte order mark).
   */
  @Test
  void readsLettersThatAreNotUtf8() {
    String text = "{title: Caf\u00e9}\n[G]down to the [C]quay\n";
    for (Charset charset :
        List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16, Charset.forName("windows-1252"))) {
      SongFiles.Opened opened = FileFormat.CHORDPRO.read(text.getBytes(charset));
      assertThat(opened.song().orElseThrow().title()).as(charset.name()).isEqualTo("Caf\u00e9");
      assertThat(opened.problems()).isEmpty();
      boolean told = opened.remarks().stream().anyMatch(r -> r.message().contains("UTF-"));
      assertThat(told).isEqualTo(charset != StandardCharsets.UTF_8);
    }
    assertThat(FileFormat.CHORDPRO.read(new byte[] {(byte) 0xff, 0, 1, 2}).song()).isEmpty();
  }

  /**
   * The examples of the ChordPro description (chordpro.org, “ChordPro Cheat Sheet” and “Directives:
   * define”), from memory: chords in words, a definition with its base fret.
   */
  @Test
  void readsThePublishedExamples() {
    SongReading reading =
        ChordProReader.read(
            "{title: Swing Low Sweet Chariot}\n{subtitle: Traditional}\n\n"
                + "{start_of_chorus}\nSwing [D]low, sweet [G]chari[D]ot,\n"
                + "Comin' for to carry me [A7]home.\nSwing [D7]low, sweet [G]chari[D]ot,\n"
                + "Comin' for to [A7]carry me [D]home.\n{end_of_chorus}\n"
                + "{define: A7 base-fret 1 frets x 0 2 0 2 0 fingers - - 2 - 3 -}\n");
    assertThat(reading.problems()).isEmpty();
    Song song = reading.song();
    assertThat(song.title()).isEqualTo("Swing Low Sweet Chariot");
    assertThat(song.credits().composer()).isEqualTo("Traditional");
    assertThat(song.sections()).extracting(Section::label).containsExactly("Chorus");
    assertThat(chart(song).replace(" | ", " ")).contains("D G D").endsWith("A7 D");
    assertThat(song.pins().shapes().values())
        .extracting(s -> s.frets().toString())
        .contains("[-1, 0, 2, 0, 2, 0]");
  }

  @Test
  void whatIsNoSongIsSaid() {
    SongReading reading = ChartTextReader.read("Dear aunt,\nthe weather is fine.\n");
    assertThat(reading.song().chart().isEmpty()).isTrue();
    assertThat(reading.problems()).hasSize(1);
  }
}
