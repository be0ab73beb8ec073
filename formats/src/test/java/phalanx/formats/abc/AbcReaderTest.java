package phalanx.formats.abc;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.formats.SongReading;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.Timeline;

/** Against the ABC music standard 2.1 (abcnotation.com, December 2011), from memory. */
class AbcReaderTest {

  private static List<String> notes(Song song) {
    List<String> notes = new ArrayList<>();
    song.chart()
        .bars()
        .forEach(
            b -> {
              for (TuneNote note : song.tune().at(b.id(), song.chart()).notes()) {
                notes.add(
                    ((Want.Sound) note.wants().get(0)).pitch() + ":" + note.lengthTicks() / 210);
              }
            });
    return notes;
  }

  private static Song read(String body) {
    return AbcReader.read("X:1\nT:x\nM:4/4\nL:1/8\nK:C\n" + body + "\n").song();
  }

  /** Section 4.1 and 4.3: pitches and note lengths; a quarter is 24 here. */
  @ParameterizedTest
  @CsvSource({
    "C, C4:12",
    "c, C5:12",
    "'C,', C3:12",
    "C2, C4:24",
    "C/2, C4:6",
    "C/, C4:6",
    "C3/2, C4:18",
    "^C, C♯4:12",
    "_B, B♭4:12",
    "=F, F4:12"
  })
  void readsPitchesAndLengths(String abc, String note) {
    assertThat(notes(read(abc)).get(0)).isEqualTo(note);
  }

  /** Section 4.4: a dot of broken rhythm; 4.13: triplets; 4.20: chords and ties. */
  @Test
  void readsBrokenRhythmTupletsAndTies() {
    assertThat(notes(read("A>B C<D"))).containsExactly("A4:18", "B4:6", "C4:6", "D4:18");
    assertThat(notes(read("(3ABC D2"))).containsExactly("A4:8", "B4:8", "C4:8", "D4:24");
    assertThat(notes(read("A4-A4 | B8"))).containsExactly("A4:96", "B4:96");
    assertThat(notes(read("A8- | A4 B4"))).containsExactly("A4:96", "B4:48");
  }

  /** An accidental holds to the end of its bar (section 4.2). */
  @Test
  void accidentalsHoldForTheirBar() {
    assertThat(notes(read("^F2F2=F2F2 | F8")))
        .containsExactly("F♯4:24", "F♯4:24", "F4:24", "F4:24", "F4:96");
  }

  @ParameterizedTest
  @CsvSource({"Dm, F4:12", "Ddor, F4:12", "D, F♯4:12", "Dmix, F♯4:12", "'D minor', F4:12"})
  void keysHaveTheirModes(String key, String note) {
    Song song = AbcReader.read("X:1\nT:x\nM:4/4\nL:1/8\nK:" + key + "\nF8\n").song();
    assertThat(notes(song).get(0)).isEqualTo(note.replace(":12", ":96"));
  }

  /** Section 4.6: a clef with an 8, an octave or a transposition by octaves move what sounds. */
  @ParameterizedTest
  @CsvSource({
    "K:C clef=treble-8, C3",
    "K:C treble-8, C3",
    "K:C treble+8, C5",
    "K:C bass, C4",
    "K:C clef=tenor+8, C5",
    "K:C octave=-1, C3",
    "K:C transpose=-12, C3",
    "K:C clef=treble-8 octave=1, C4",
    "K:C transpose=-2, C4"
  })
  void clefsMoveByOctaves(String key, String note) {
    Song song = AbcReader.read("X:1\nT:x\nM:4/4\nL:1/8\n" + key + "\nC8\n").song();
    assertThat(notes(song)).containsExactly(note + ":96");
  }

  /** Section 4.6 and 7: a voice has a clef of its own; a clef alone leaves the key. */
  @Test
  void voicesHaveTheirClefs() {
    String head = "X:1\nM:4/4\nL:1/8\nV:1 clef=treble-8\nV:2 bass\nK:D\n";
    assertThat(notes(AbcReader.read(head + "V:1\n\"D\"F8\nV:2\nD8\n").song()))
        .containsExactly("F♯3:96");
    assertThat(notes(AbcReader.read(head + "V:1 octave=0\n\"D\"F8\nV:2\nD8\n").song()))
        .containsExactly("F♯4:96");
    assertThat(notes(AbcReader.read("X:1\nM:4/4\nL:1/8\nK:D\nF8|[K:treble-8]F8\n").song()))
        .containsExactly("F♯4:96", "F♯3:96");
  }

  /** Section 7.1: a voice may begin within a line of notes, by {@code [V:ID]}. */
  @Test
  void voicesMayBeginWithinALine() {
    String head = "X:1\nM:4/4\nL:1/4\nV:T clef=treble\nV:B clef=bass octave=-1\nK:G\n";
    String body = "[V:T]\"G\"GABc|\"D\"d4|\n[V:B]G,4|D,4|\n[V:T] \"G\"B4|] [V:B] G,4|]\n";
    SongReading reading = AbcReader.read(head + body);
    assertThat(notes(reading.song()))
        .containsExactly("G4:24", "A4:24", "B4:24", "C5:24", "D5:96", "B4:96");
    assertThat(reading.problems()).isEmpty();
    assertThat(reading.remarks())
        .extracting(r -> r.message())
        .anyMatch(m -> m.contains("2 voices"));
    SongReading wrong = AbcReader.read(head + "[V:T]G4|[V:B]G,4|[V:T]G2 ? G2|\n");
    assertThat(wrong.problems())
        .extracting(p -> p.line() + ":" + p.column())
        .containsExactly("7:26");
  }

  /** Section 7.4: what stands behind {@code &} is a second voice of the same bar. */
  @Test
  void theSecondVoiceOfABarDoesNotMakeItLonger() {
    SongReading reading = AbcReader.read("X:1\nM:3/4\nL:1/4\nK:D\nd3 & A,3|:f2 e&D3:|\n");
    assertThat(notes(reading.song())).containsExactly("D5:72", "F♯5:48", "E5:24");
    assertThat(Timeline.of(reading.song()).bars()).hasSize(3);
    assertThat(reading.problems()).isEmpty();
    assertThat(reading.remarks()).extracting(r -> r.line() + ":" + r.column()).contains("5:4");
  }

  @Test
  void aTranspositionThatIsNotFollowedIsSaid() {
    SongReading reading = AbcReader.read("X:1\nM:4/4\nL:1/8\nK:C transpose=-2\nC8\n");
    assertThat(reading.remarks()).extracting(r -> r.line()).containsExactly(4, 1);
    assertThat(reading.remarks().get(0).message()).contains("-2 semitones");
  }

  /** Section 4.8: repeats and first and second endings. */
  @Test
  void readsRepeatsAndEndings() {
    Song song = read("|: C8 | D8 |1 E8 :|2 F8 |]");
    assertThat(Timeline.of(song).bars()).hasSize(6);
    assertThat(song.chart().bars().get(2).passes()).containsExactly(1);
    assertThat(song.chart().bars().get(3).passes()).containsExactly(2);
  }

  @Test
  void readsChordSymbolsWordsAndATempoInBeats() {
    SongReading reading =
        AbcReader.read(
            "X:1\nT:Quay\nC:Nobody\nM:6/8\nL:1/8\nQ:3/8=60\nK:Am\n\"Am\"A3 \"E7/G#\"B3 | \"Am\"c6 |\nw: down to the quay\n");
    Song song = reading.song();
    assertThat(song.tempo()).isEqualTo(90);
    assertThat(song.credits().composer()).isEqualTo("Nobody");
    assertThat(song.chart().bars().get(0).changes())
        .extracting(c -> c.harmony().label())
        .containsExactly("Am", "E7/G♯");
    assertThat(song.words().at(song.chart().bars().get(0).id()).verse(0)).isEqualTo("down to");
  }

  /** Speed the Plough, traditional, the first example of the standard: chords are proposed. */
  @Test
  void readsThePublishedExample() {
    SongReading reading =
        AbcReader.read(
            "X:1\nT:Speed the Plough\nM:4/4\nC:Trad.\nK:G\n"
                + "|:GABc dedB|dedB dedB|c2ec B2dB|c2A2 A2BA|\n"
                + "  GABc dedB|dedB dedB|c2ec B2dB|A2F2 G4:|\n"
                + "|:g2gf gdBd|g2f2 e2d2|c2ec B2dB|c2A2 A2df|\n"
                + "  g2gf g2Bd|g2f2 e2d2|c2ec B2dB|A2F2 G4:|\n");
    assertThat(reading.problems()).isEmpty();
    Song song = reading.song();
    assertThat(song.chart().bars()).hasSize(16);
    assertThat(Timeline.of(song).bars()).hasSize(32);
    assertThat(notes(song)).hasSize(93);
    assertThat(song.chart().bars().get(0).changes().get(0).harmony().label()).isEqualTo("G");
  }
}
