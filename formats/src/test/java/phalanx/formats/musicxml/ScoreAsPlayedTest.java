package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.formats.musicxml.ScoreText.START;
import static phalanx.formats.musicxml.ScoreText.STOP;
import static phalanx.formats.musicxml.ScoreText.chords;
import static phalanx.formats.musicxml.ScoreText.note;
import static phalanx.formats.musicxml.ScoreText.played;
import static phalanx.formats.musicxml.ScoreText.read;
import static phalanx.formats.musicxml.ScoreText.reading;
import static phalanx.formats.musicxml.ScoreText.score;
import static phalanx.formats.musicxml.ScoreText.sung;
import static phalanx.formats.musicxml.ScoreText.tune;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.formats.FileProblem;
import phalanx.formats.SongReading;
import phalanx.song.Song;
import phalanx.theory.Meter;

/**
 * What stands in a score is played as musicians play it (common practice, no source); what cannot
 * be is said with bar and beat.
 */
class ScoreAsPlayedTest {

  private static final String BACK = "<backup><duration>48</duration></backup>";

  private static String bar(String pitch) {
    return note(pitch, 48);
  }

  private static String line(String place, String inside) {
    return "<barline location=\"%s\">%s</barline>".formatted(place, inside);
  }

  private static String repeat(String direction) {
    return "<repeat direction=\"" + direction + "\"/>";
  }

  private static String ending(String numbers, String type) {
    return "<ending number=\"%s\" type=\"%s\"/>".formatted(numbers, type);
  }

  private static String words(String words) {
    return "<direction><direction-type><words>%s</words></direction-type></direction>"
        .formatted(words);
  }

  private static String mark(String letter) {
    return "<direction><direction-type><rehearsal>%s</rehearsal></direction-type></direction>"
        .formatted(letter);
  }

  private static String sound(String attributes) {
    return "<direction><direction-type><words>x</words></direction-type><sound %s/></direction>"
        .formatted(attributes);
  }

  private static String voice(String note, int voice) {
    return note.replace("<voice>1", "<voice>" + voice);
  }

  private static List<String> remarks(SongReading reading) {
    // These scores are about something else than their chords, of which most have none.
    return reading.remarks().stream()
        .map(FileProblem::message)
        .filter(m -> !m.contains("chords are proposed"))
        .toList();
  }

  @Test
  void theVoiceThatLiesHighestIsTheTuneWhateverItIsCalled() throws Exception {
    // B lies above C, A above G: letters are no heights.
    Song song =
        read(score(bar("C4") + BACK + voice(bar("B4"), 2), bar("G3") + BACK + voice(bar("A4"), 2)));
    assertThat(tune(song)).containsExactly("b4", "a4");
    // Short notes for orientation are nobody's voice.
    String cue = voice(note("C7", 48, "<cue/>"), 3);
    assertThat(tune(read(score(bar("E4") + BACK + cue)))).containsExactly("e4");
  }

  @Test
  void aVoiceThatChangesItsNameGoesOn() throws Exception {
    Song song = read(score(bar("E5") + BACK + voice(bar("C3"), 2), voice(bar("F5"), 3), bar("G5")));
    assertThat(tune(song)).containsExactly("e5", "f5", "g5");
  }

  @Test
  void notesOfAChordOnAnotherStaffAreOfTheChord() throws Exception {
    String below = note("E4", 48, "<chord/>").replace("</note>", "<staff>2</staff></note>");
    String xml =
        score(bar("C5").replace("</note>", "<staff>1</staff></note>") + below)
            .replace("</time>", "</time><staves>2</staves>");
    assertThat(tune(read(xml))).containsExactly("c5+e4");
  }

  @Test
  void aThirdEndingNeedsNoNumberOfTimes() throws Exception {
    Song song =
        read(
            score(
                line("left", repeat("forward")) + bar("C4"),
                line("left", ending("1, 2", "start"))
                    + bar("D4")
                    + line("right", ending("1, 2", "stop") + repeat("backward")),
                line("left", ending("3", "start")) + bar("E4") + line("right", ending("3", "stop")),
                bar("F4")));
    assertThat(sung(song)).containsExactly("c4", "d4", "c4", "d4", "c4", "e4", "f4");
  }

  @Test
  void threeEndingsOfTheirOwn() throws Exception {
    Song song =
        read(
            score(
                bar("C4"),
                line("left", ending("1", "start"))
                    + bar("D4")
                    + line("right", ending("1", "stop") + repeat("backward")),
                line("left", ending("2", "start"))
                    + bar("E4")
                    + line("right", ending("2", "stop") + repeat("backward")),
                line("left", ending("3", "start"))
                    + bar("F4")
                    + line("right", ending("3", "stop"))));
    assertThat(sung(song)).containsExactly("c4", "d4", "c4", "e4", "c4", "f4");
  }

  @Test
  void aSecondEndingUnderAMarkIsStillTheSecondEnding() throws Exception {
    SongReading reading =
        reading(
            score(
                mark("A") + bar("C4"),
                line("left", ending("1", "start"))
                    + bar("D4")
                    + line("right", ending("1", "stop") + repeat("backward")),
                line("left", ending("2", "start"))
                    + mark("B")
                    + bar("E4")
                    + line("right", ending("2", "stop")),
                mark("C") + bar("F4")));
    assertThat(sung(reading.song())).containsExactly("c4", "d4", "c4", "e4", "f4");
    assertThat(reading.song().sections()).extracting(s -> s.label()).containsExactly("A", "C");
    assertThat(remarks(reading)).containsExactly("bar 3: the mark “B” inside a repeat is left out");
  }

  @Test
  void aRepeatGoesBackOverAMark() throws Exception {
    Song song =
        reading(
                score(
                    mark("A") + bar("C4"),
                    mark("B") + bar("D4") + line("right", repeat("backward")),
                    bar("E4")))
            .song();
    assertThat(sung(song)).containsExactly("c4", "d4", "c4", "d4", "e4");
  }

  @Test
  void aRepeatMayEndOnTheLineBeforeABar() throws Exception {
    Song song = read(score(bar("C4"), line("left", repeat("backward")) + bar("D4")));
    assertThat(sung(song)).containsExactly("c4", "c4", "d4");
  }

  @ParameterizedTest
  @CsvSource({"D.C. al Fine", "D. C. al fine", "Da Capo al Fine"})
  void daCapoAlFineByWords(String words) throws Exception {
    SongReading reading =
        reading(score(bar("C4"), bar("D4") + words("Fine"), bar("E4") + words(words)));
    assertThat(sung(reading.song())).containsExactly("c4", "d4", "e4", "c4", "d4");
    assertThat(remarks(reading)).containsExactly("its jumps are written out: 3 bars as 5");
  }

  @Test
  void dalSegnoAlCodaBySoundTakesNoRepeatAgain() throws Exception {
    Song song =
        reading(
                score(
                    bar("C4"),
                    sound("segno=\"s\"") + bar("D4") + line("right", repeat("backward")),
                    bar("E4") + sound("tocoda=\"c\""),
                    bar("F4") + sound("dalsegno=\"s\""),
                    sound("coda=\"c\"") + bar("G4")))
            .song();
    assertThat(sung(song)).containsExactly("c4", "d4", "c4", "d4", "e4", "f4", "d4", "e4", "g4");
  }

  @Test
  void theSignForABarThatIsRepeatedPlaysItAgain() throws Exception {
    String sign =
        "<attributes><measure-style><measure-repeat type=\"start\">1</measure-repeat>"
            + "</measure-style></attributes>";
    String stop =
        "<attributes><measure-style><measure-repeat type=\"stop\"/></measure-style></attributes>";
    String rest = "<note><rest measure=\"yes\"/><duration>48</duration><voice>1</voice></note>";
    Song song = read(score(bar("C4"), sign + rest, rest, stop + bar("D4")));
    assertThat(sung(song)).containsExactly("c4", "c4", "c4", "d4");
  }

  @ParameterizedTest
  @CsvSource({"60, 5/4", "54, 9/8", "51, 17/16", "96, 8/4"})
  void aBarLongerThanItsMetreHasAMetreOfItsOwn(int divisions, String meter) throws Exception {
    Song song = read(score(bar("C4"), note("D4", divisions), bar("E4")));
    assertThat(song.chart().bars().get(1).meter()).contains(Meter.parse(meter).orElseThrow());
    assertThat(song.chart().bars().get(2).meter()).contains(Meter.FOUR_FOUR);
    assertThat(tune(song)).containsExactly("c4", "d4", "e4");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "<beats>3+2</beats><beat-type>8</beat-type> ~ 30 ~ 5/8",
        "<beats>2</beats><beat-type>4</beat-type><beats>3</beats><beat-type>8</beat-type> ~ 42 ~ 7/8",
        "<beats>2</beats><beat-type>1</beat-type> ~ 96 ~ 4/2"
      })
  void compositeAndLongMetresAreCountedAsAWhole(String time, int length, String meter)
      throws Exception {
    String xml = score(note("C4", length), note("D4", length));
    Song song = read(xml.replaceFirst("<beats>4</beats><beat-type>4</beat-type>", time));
    assertThat(song.meter()).isEqualTo(Meter.parse(meter).orElseThrow());
    assertThat(song.feel().pickupTicks()).isZero();
  }

  @Test
  void aChordTiedInPartLosesNoNewNote() throws Exception {
    SongReading reading =
        reading(
            score(
                note("C5", 24, "", START)
                    + note("E4", 24, "<chord/>")
                    + note("C5", 24, "", STOP)
                    + note("F4", 24, "<chord/>")));
    assertThat(tune(reading.song())).containsExactly("c5+e4 . f .");
    assertThat(remarks(reading))
        .containsExactly("bar 1, beat 3: a tied note ends where others begin with it");
  }

  @Test
  void shortNotesAtTheEndOfABarLeadToTheNext() throws Exception {
    SongReading reading =
        reading(
            score(bar("C4") + note("D4", 0, "<grace/>"), bar("E4") + note("F4", 0, "<grace/>")));
    assertThat(tune(reading.song())).containsExactly("c4", "{d4}e");
    assertThat(remarks(reading))
        .containsExactly("bar 2: 1 short notes at the end have no note to lead to");
  }

  @Test
  void notesThatOverlapInOneVoiceAreAllThere() throws Exception {
    SongReading reading =
        reading(
            score(
                note("C5", 48)
                    + "<backup><duration>24</duration></backup>"
                    + note("E5", 24)
                    + BACK
                    + note("G4", 12)));
    assertThat(tune(reading.song())).containsExactly("c5+g . e5 .");
    assertThat(remarks(reading))
        .containsExactly("bar 1, beat 3: two notes of the voice overlap: the first ends here");
  }

  @Test
  void aTranspositionThatChangesIsFollowed() throws Exception {
    String down =
        "<attributes><transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose></attributes>";
    String chord = "<harmony><root><root-step>D</root-step></root><kind>major</kind></harmony>";
    Song song = read(score(bar("C5"), down + chord + bar("D5")));
    assertThat(tune(song)).containsExactly("c5", "c5");
    assertThat(chords(song)).isEqualTo(" | C");
  }

  @Test
  void aChordBehindTheLastNoteIsKept() throws Exception {
    String chord = "<harmony><root><root-step>F</root-step></root><kind>major</kind></harmony>";
    SongReading reading =
        reading(
            score(
                bar("C5"),
                note("C5", 24) + chord,
                bar("D5") + chord,
                bar("E5"),
                bar("F5") + chord));
    Song song = reading.song();
    assertThat(song.chart().bars().get(1).changes())
        .extracting(c -> c.tick())
        .containsExactly(10080);
    assertThat(chords(song)).isEqualTo(" | F |  | F | ");
    assertThat(remarks(reading)).containsExactly("bar 5: “F” behind the end is left out");
  }

  private static String symbol(String kind, String degree) throws Exception {
    String xml =
        "<harmony><root><root-step>D</root-step><root-alter>-1</root-alter></root><kind>%s</kind>%s</harmony>"
            .formatted(kind, degree);
    return chords(reading(score(xml + bar("C4"))).song());
  }

  /** The kinds and degrees of MusicXML 4.0. */
  @ParameterizedTest
  @CsvSource({
    "suspended-fourth, 7:0:add, D♭7sus4",
    "suspended-fourth, 7:-1:add, D♭7sus4",
    "suspended-second, 7:1:add, D♭maj7sus2",
    "major-minor, , D♭mMaj7",
    "minor, 7:1:add, D♭mMaj7",
    "minor, 7:0:add, D♭m7",
    "major, 9:-1:add, D♭(♭9)",
    "dominant, 13:-1:add, D♭7♭13",
    "neapolitan, , Db Neapolitan",
    "German, , Db German",
    "Tristan, , Db Tristan"
  })
  void symbolsWithoutTextSayWhatTheyAre(String kind, String degree, String label) throws Exception {
    String xml = "";
    if (degree != null) {
      String[] d = degree.split(":");
      xml =
          "<degree><degree-value>%s</degree-value><degree-alter>%s</degree-alter><degree-type>%s</degree-type></degree>"
              .formatted(d[0], d[1], d[2]);
    }
    assertThat(symbol(kind.equals("neapolitan") ? "Neapolitan" : kind, xml)).isEqualTo(label);
  }

  @Test
  void aFileWhoseBytesContradictItsDeclarationIsReadWithANote() {
    String xml = "<?xml version=\"1.0\" encoding=\"UTF-16\"?>" + score(bar("C4"));
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(tune(reading.song())).containsExactly("c4");
    assertThat(remarks(reading))
        .containsExactly("the file says it is in UTF-16 and is in UTF-8: read as that");
    String latin =
        "<?xml version=\"1.0\" encoding=\"UTF-8\"?>"
            + score(bar("C4")).replace("x</part-name>", "é</part-name>");
    SongReading second = MusicXmlReader.read(latin.getBytes(StandardCharsets.ISO_8859_1));
    assertThat(tune(second.song())).containsExactly("c4");
    assertThat(remarks(second))
        .containsExactly("the file is not in UTF-8 throughout: read as Windows-1252");
  }

  @Test
  void writtenOutBarsAreLikeTheFirst() throws Exception {
    Song song = reading(score(bar("C4"), bar("D4") + words("D.C."))).song();
    assertThat(played(song)).containsExactly(1, 2, 3, 4);
    assertThat(song.chart().bars().get(2).borrows()).contains(1);
  }
}
