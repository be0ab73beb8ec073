package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.formats.musicxml.ScoreText.START;
import static phalanx.formats.musicxml.ScoreText.STOP;
import static phalanx.formats.musicxml.ScoreText.chords;
import static phalanx.formats.musicxml.ScoreText.note;
import static phalanx.formats.musicxml.ScoreText.read;
import static phalanx.formats.musicxml.ScoreText.resource;
import static phalanx.formats.musicxml.ScoreText.score;
import static phalanx.formats.musicxml.ScoreText.tune;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.audiveris.proxymusic.KindValue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.formats.SongReading;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Tune;
import phalanx.testing.Draws;
import phalanx.theory.Meter;

/** Scores in, each of them first held against the MusicXML 4.0 schema. */
class MusicXmlReaderTest {

  /** Ludwig van Beethoven, Symphony No. 9, 1824; from memory. */
  @Test
  void aTuneWithItsChordsIsRead() throws Exception {
    Song song = read(resource("ode-to-joy.musicxml"));
    assertThat(song.title()).isEqualTo("Ode to Joy");
    assertThat(song.key()).get().hasToString("C");
    assertThat(song.tempo()).isEqualTo(96);
    assertThat(chords(song)).isEqualTo("C | G7 | C | G7 | C | G7 | C | C");
    assertThat(tune(song).subList(0, 4))
        .containsExactly("e4 e f g", "g4 f e d", "c4 c d e", "e4 . . d d . . .");
    Arrangement a = new Arranger().arrange(song);
    assertThat(a.notes()).filteredOn(n -> n.part() == Note.Part.TUNE).hasSize(30);
  }

  /** English tune, registered 1580; from memory. */
  @Test
  void aPickUpRepeatsEndingsAndTiesAreRead() throws Exception {
    Song song = read(resource("greensleeves.musicxml"));
    assertThat(song.key()).get().hasToString("A minor");
    assertThat(song.meter()).hasToString("6/8");
    assertThat(song.tempo()).isEqualTo(90);
    assertThat(song.feel().pickupTicks()).isEqualTo(2520);
    List<Bar> bars = song.chart().bars();
    assertThat(bars.get(1).repeatStart()).isTrue();
    assertThat(bars.get(3).plays()).isEqualTo(2);
    assertThat(bars.get(3).passes()).containsExactly(1);
    assertThat(bars.get(4).passes()).containsExactly(2);
    assertThat(tune(song).get(1)).isEqualTo("c5 . d e . f#");
    assertThat(tune(song).get(4)).isEqualTo("a4");
    assertThat(Timeline.of(song).bars())
        .extracting(Timeline.PlayedBar::written)
        .containsExactly(1, 2, 3, 4, 2, 3, 5);
  }

  @Test
  void tiesOverTheBarLineGoOnAndGracesSlursAndChordsAreKept() throws Exception {
    String hammer = "<technical><hammer-on type=\"stop\"/><string>2</string></technical>";
    Song song =
        read(
            score(
                note("G4", 36) + note("B4", 12, "", START, "<tied type=\"start\"/>"),
                note("B4", 12, "", STOP, "<tied type=\"stop\"/>")
                    + note("A4", 0, "<grace/>")
                    + note("C5", 12, "", "", hammer)
                    + note("D5", 12, "", "", "<slide type=\"stop\"/>")
                    + note("E5", 12)
                    + note("C5", 12, "<chord/>"),
                note("E5", 4) + note("D5", 4) + note("C5", 4) + note("Eb5", 36)));
    assertThat(tune(song)).containsExactly("g4 . . b", ". {a4}^c@2 /d e+c", "[e5 d c] eb . .");
    BarTune second = song.tune().at(2, song.chart());
    assertThat(second.heldTicks()).isEqualTo(5040);
    assertThat(second.notes().get(0).slur()).contains(Slur.HAMMER_ON);
  }

  @Test
  void theUpperVoiceIsTheTuneAndCuesAreNot() throws Exception {
    String low = note("C3", 48).replace("<voice>1", "<voice>2");
    String cue = note("C6", 24, "<cue/>");
    Song song =
        read(score(low + "<backup><duration>48</duration></backup>" + note("E5", 24) + cue));
    assertThat(tune(song)).containsExactly("e5 . - .");
  }

  /** A part for an instrument in B♭ sounds a whole tone lower than written (common practice). */
  @Test
  void aTransposingPartIsReadAsItSounds() throws Exception {
    String chord = "<harmony><root><root-step>D</root-step></root><kind>major</kind></harmony>";
    String written =
        score(chord + note("D5", 48))
            .replace(
                "</attributes>",
                "<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose></attributes>");
    Song song = read(written);
    assertThat(chords(song)).isEqualTo("C");
    assertThat(tune(song)).containsExactly("c5");
    Song low =
        read(written.replace("</transpose>", "<octave-change>-1</octave-change></transpose>"));
    assertThat(tune(low)).containsExactly("c4");
  }

  @ParameterizedTest
  @EnumSource(
      value = KindValue.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"NEAPOLITAN", "ITALIAN", "FRENCH", "GERMAN", "PEDAL", "TRISTAN", "OTHER"})
  void everyKindOfChordWithANameOfItsOwnIsRead(KindValue kind) throws Exception {
    String chord =
        "<harmony><root><root-step>E</root-step><root-alter>-1</root-alter></root><kind>%s</kind></harmony>"
            .formatted(kind.value());
    Harmony read = firstChord(score(chord + note("E4", 48)));
    assertThat(read).isNotInstanceOf(Harmony.Unread.class);
    boolean silent = kind == KindValue.NONE;
    assertThat(read instanceof Harmony.NoChord).isEqualTo(silent);
  }

  private static Harmony firstChord(String xml) throws Exception {
    Song song = read(xml);
    return song.chart().changes(song.chart().bars().get(0)).get(0).harmony();
  }

  /** Degrees and basses; what they are called is common practice. */
  @ParameterizedTest
  @CsvSource({
    "dominant, 9:-1:add, , C7♭9",
    "minor-seventh, 5:-1:alter, , Cm7♭5",
    "major, 9:0:add, , Cadd9",
    "dominant, 5:1:alter, E, C7♯5/E",
    "half-diminished, , G, Cm7♭5/G"
  })
  void degreesAndTheBassAreRead(String kind, String degree, String bass, String label)
      throws Exception {
    StringBuilder chord = new StringBuilder();
    chord
        .append("<harmony><root><root-step>C</root-step></root><kind>")
        .append(kind)
        .append("</kind>");
    if (bass != null) {
      chord.append("<bass><bass-step>").append(bass).append("</bass-step></bass>");
    }
    if (degree != null) {
      String[] d = degree.split(":");
      chord.append("<degree><degree-value>").append(d[0]).append("</degree-value><degree-alter>");
      chord.append(d[1]).append("</degree-alter><degree-type>").append(d[2]);
      chord.append("</degree-type></degree>");
    }
    chord.append("</harmony>");
    assertThat(firstChord(score(chord + note("C4", 48))).label()).isEqualTo(label);
  }

  /** What is written and read again: chords, bars, and every note of the tune. */
  @Property(tries = 25)
  void anArrangementOfATuneWithTheThumbAloneComesBack(
      @ForAll Draws draws, @ForAll @IntRange(max = 4) int capo) {
    String[] steps = {"c", "d", "e", "f", "g", "a", "b"};
    Song song = ChordProReader.read("{key: C}\n{sog}\n| C | Am . F . | G7 |\n{eog}\n").song();
    Tune tune = Tune.NONE;
    for (Bar bar : song.chart().bars()) {
      String cells =
          String.join(
              " ",
              Stream.generate(() -> draws.nextInt(4) == 0 ? "." : steps[draws.nextInt(7)])
                  .limit(8)
                  .toList());
      tune =
          tune.with(bar.id(), TuneReader.read("e4 " + cells.substring(2), Meter.FOUR_FOUR).tune());
    }
    song =
        song.withTune(tune)
            .withTempo(60)
            .withPattern(AlternatingThumb.THUMB_ALONE)
            .withGuitar(song.guitar().withCapo(capo));
    Arrangement a = new Arranger().arrange(song);
    String xml = MusicXmlWriter.write(a);
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.problems()).isEmpty();
    Song back = reading.song();
    assertThat(back.guitar()).isEqualTo(song.guitar());
    assertThat(chords(back)).isEqualTo("C | Am F | G7");
    List<String> sung = new ArrayList<>();
    a.notes().stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .forEach(n -> sung.add(n.tick() + ":" + (n.midi() - capo)));
    List<String> read = new ArrayList<>();
    for (Timeline.PlayedBar bar : Timeline.of(back).bars()) {
      back.tune()
          .at(bar.written(), back.chart())
          .notes()
          .forEach(
              n ->
                  read.add(
                      (bar.startTick() + n.tick())
                          + ":"
                          + ((Want.Sound) n.wants().get(0)).pitch().midi()));
    }
    assertThat(read).isEqualTo(sung);
  }

  /** A file damaged anywhere gives a song or a problem with its place, and nothing else. */
  @Property(tries = 300)
  void aDamagedScoreIsReadOrRefused(@ForAll @IntRange(max = 4000) int at, @ForAll char put)
      throws Exception {
    StringBuilder xml = new StringBuilder(resource("greensleeves.musicxml"));
    xml.setCharAt(at % xml.length(), put);
    SongReading reading = MusicXmlReader.read(xml.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(reading.song().chart().isEmpty() && reading.problems().isEmpty()).isFalse();
    assertThat(reading.problems()).allMatch(p -> p.line() >= 1 && !p.message().isBlank());
  }

  /** Whatever single element is missing. */
  @Property(tries = 300)
  void aScoreThatLacksAnElementIsReadOrRefused(@ForAll @IntRange(max = 400) int which)
      throws Exception {
    String xml = resource("greensleeves.musicxml");
    List<String> elements =
        java.util.regex.Pattern.compile("<([a-z-]+)[^>]*>[^<]*</\\1>")
            .matcher(xml)
            .results()
            .map(java.util.regex.MatchResult::group)
            .toList();
    String gone = elements.get(which % elements.size());
    SongReading reading =
        MusicXmlReader.read(
            xml.replaceFirst(java.util.regex.Pattern.quote(gone), "")
                .getBytes(StandardCharsets.UTF_8));
    assertThat(reading.song().chart().isEmpty() && reading.problems().isEmpty()).isFalse();
  }

  @Test
  void aPackedScoreIsUnpacked() throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      put(
          zip,
          "META-INF/container.xml",
          "<container><rootfiles><rootfile full-path=\"in/ode.xml\"/></rootfiles></container>");
      put(zip, "other.xml", "<nothing/>");
      put(zip, "in/ode.xml", resource("ode-to-joy.musicxml"));
    }
    SongReading reading = MusicXmlReader.read(bytes.toByteArray());
    assertThat(reading.problems()).isEmpty();
    assertThat(reading.song().title()).isEqualTo("Ode to Joy");
  }

  private static void put(ZipOutputStream zip, String name, String text) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  @Test
  void otherEncodingsAreRead() throws Exception {
    String xml = resource("ode-to-joy.musicxml").replace("UTF-8", "UTF-16");
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_16));
    assertThat(reading.song().chart().bars()).hasSize(8);
  }

  @Test
  void whatCannotBeReadIsSaidWithItsLineAndTheRestStays() {
    String odd =
        "<harmony><root><root-step>C</root-step></root><kind text=\"qx\">other</kind></harmony>";
    String xml = score(note("C4", 48), odd + note("D4", 48), note("E4", 48));
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.problems()).isEmpty();
    assertThat(reading.remarks())
        .singleElement()
        .satisfies(
            p -> {
              assertThat(p.line()).isEqualTo(3);
              assertThat(p.message()).isEqualTo("bar 2: expected a chord, found “Cqx”");
            });
    assertThat(tune(reading.song())).containsExactly("c4", "d4", "e4");
  }

  @ParameterizedTest
  @CsvSource({
    "<score-partwise><part>, this is not XML",
    "<html/>, expected a MusicXML score",
    "'', this is not XML",
    "PK__, there is no score in the packed file"
  })
  void whatIsNoScoreIsRefused(String text, String message) {
    SongReading reading = MusicXmlReader.read(text.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.song().chart().isEmpty()).isTrue();
    assertThat(reading.problems().get(0).message()).startsWith(message);
  }
}
