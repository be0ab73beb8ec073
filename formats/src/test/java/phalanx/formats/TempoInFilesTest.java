package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.fretting.FretRow;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/**
 * Tempos that change within a song, and damped strings, in every file that has a place for them.
 */
class TempoInFilesTest {

  private static final String CHART =
      """
      {title: Slower}
      {tempo: 96}
      {start_of_grid: A}
      | G . . . | C . . . |
      {tempo: 60}
      | Em . . . | D . . . |
      {end_of_grid}
      {tempo: 120}
      {start_of_grid: B}
      | G . . . |
      {end_of_grid}
      """;

  private static Song song() {
    return ChordProReader.read(CHART).song();
  }

  private static List<Optional<Double>> tempos(Song song) {
    return song.chart().bars().stream().map(Bar::tempo).toList();
  }

  private static Arrangement damped() {
    Song song = song();
    List<Bar> bars = song.chart().bars();
    SlotRef fourth = new SlotRef(bars.get(3).id(), 0);
    return new Arranger()
        .arrange(
            song.pin(fourth, new FretRow(List.of(-1, 1, 3, 3, 3, 1)))
                .withPins(
                    song.pin(fourth, new FretRow(List.of(-1, 1, 3, 3, 3, 1)))
                        .pins()
                        .damping(fourth, 0, true)));
  }

  @Test
  void chordProChangesItBetweenLinesAndBetweenGrids() {
    assertThat(ChordProReader.read(CHART).problems()).isEmpty();
    assertThat(song().tempo()).isEqualTo(96);
    assertThat(tempos(song()))
        .containsExactly(
            Optional.empty(),
            Optional.empty(),
            Optional.of(60.0),
            Optional.empty(),
            Optional.of(120.0));
  }

  @Test
  void aTempoThatNoHandPlaysIsSaidAndTheRestRead() {
    SongReading read = ChordProReader.read(CHART.replace("{tempo: 60}", "{tempo: 6000}"));
    assertThat(read.problems())
        .singleElement()
        .satisfies(p -> assertThat(p.message()).contains("expected a tempo from 20 to 400"));
    assertThat(read.song().chart().bars()).hasSize(5);
  }

  @Test
  void aScoreCarriesItThereAndBack() {
    Arrangement a = new Arranger().arrange(song());
    byte[] score = FileFormat.MUSICXML.write(a);
    SongReading back = MusicXmlReader.read(score);
    assertThat(back.song().tempo()).isEqualTo(96);
    assertThat(tempos(back.song())).isEqualTo(tempos(song()));
  }

  @Test
  void tablatureShowsTempoAndStoppedStringWithTheirMeaning() {
    String tab = new String(FileFormat.TEXT_TAB.write(damped()), StandardCharsets.UTF_8);
    assertThat(tab).contains("(60 a minute)", "(120 a minute)", "x6");
    assertThat(tab).contains("string is stopped: ");
    assertThat(tab.lines()).allMatch(l -> l.length() <= 78);
  }

  @Test
  void aScoreHasASignWhereAStringIsStopped() {
    String score = new String(FileFormat.MUSICXML.write(damped()), StandardCharsets.UTF_8);
    assertThat(score).contains("<damp", ">⑥ ");
  }

  @Test
  void formatsAreFoundByTheEndingOfAName() {
    for (FileFormat format : FileFormat.taken()) {
      for (String ending : format.endings()) {
        assertThat(
                FileFormat.toWrite(
                    java.nio.file.Path.of("A.B" + ending.toUpperCase(java.util.Locale.ROOT))))
            .contains(format);
      }
    }
    assertThat(FileFormat.toWrite(java.nio.file.Path.of("plan"))).isEmpty();
    for (FileFormat format : FileFormat.opened()) {
      assertThat(FileFormat.endingsRead()).containsAll(format.endings());
    }
    assertThat(FileFormat.toRead(java.nio.file.Path.of("/"))).isEmpty();
  }
}
