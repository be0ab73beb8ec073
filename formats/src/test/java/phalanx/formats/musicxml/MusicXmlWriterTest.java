package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.xml.bind.JAXBElement;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Fingering;
import org.audiveris.proxymusic.Fret;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.PlacementText;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.util.Marshalling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.xml.sax.SAXParseException;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.formats.SongFiles;
import phalanx.formats.SongReading;
import phalanx.formats.Songs;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.patterns.PatternShelf;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.notation.WrittenForm;
import phalanx.picking.PickFinger;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.Lyrics;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/** Against the MusicXML 4.0 schema that the binding library carries, and read back with it. */
class MusicXmlWriterTest {

  private record Played(int tick, int string, int fret, int midi, String pick, String finger) {}

  private static ScorePartwise read(String xml) throws Exception {
    byte[] bytes = xml.getBytes(StandardCharsets.UTF_8);
    return (ScorePartwise) Marshalling.unmarshal(new ByteArrayInputStream(bytes));
  }

  /** The struck notes of one staff; tied ends are left out. */
  private static List<Played> struck(ScorePartwise score, int staff, int capo) {
    List<Played> notes = new ArrayList<>();
    int barStart = 0;
    for (ScorePartwise.Part.Measure measure : score.getPart().get(0).getMeasure()) {
      int at = barStart;
      int longest = barStart;
      int before = at;
      for (Object item : measure.getNoteOrBackupOrForward()) {
        if (item instanceof Backup b) {
          at -= b.getDuration().intValue();
        } else if (item instanceof Note n) {
          int start = n.getChord() == null ? at : before;
          if (n.getChord() == null) {
            before = at;
            at += n.getDuration().intValue();
          }
          boolean tiedOn = n.getTie().stream().anyMatch(t -> t.getType() == StartStop.STOP);
          if (n.getPitch() != null && !tiedOn && n.getStaff().intValue() == staff) {
            notes.add(played(n, start, capo));
          }
          longest = Math.max(longest, at);
        }
      }
      barStart = longest;
    }
    notes.sort((a, b) -> a.tick() != b.tick() ? a.tick() - b.tick() : b.string() - a.string());
    return notes;
  }

  private static Played played(Note n, int start, int capo) {
    Map<String, String> marks = new TreeMap<>();
    n.getNotations().stream()
        .flatMap(x -> x.getTiedOrSlurOrTuplet().stream())
        .filter(Technical.class::isInstance)
        .flatMap(t -> ((Technical) t).getUpBowOrDownBowOrHarmonic().stream())
        .forEach(m -> marks.put(m.getName().getLocalPart(), text(m)));
    int alter = n.getPitch().getAlter() == null ? 0 : n.getPitch().getAlter().intValue();
    int natural =
        List.of(0, 2, 4, 5, 7, 9, 11).get("CDEFGAB".indexOf(n.getPitch().getStep().name()));
    int midi = 12 * (n.getPitch().getOctave() + 1) + natural + alter + capo;
    return new Played(
        start,
        Integer.parseInt(marks.getOrDefault("string", "0")),
        Integer.parseInt(marks.getOrDefault("fret", "-1")),
        midi,
        marks.get("pluck"),
        marks.getOrDefault("fingering", ""));
  }

  private static String text(JAXBElement<?> mark) {
    Object value = mark.getValue();
    if (value instanceof org.audiveris.proxymusic.String s) {
      return s.getValue().toString();
    }
    if (value instanceof Fret f) {
      return f.getValue().toString();
    }
    if (value instanceof Fingering f) {
      return f.getValue();
    }
    return value instanceof PlacementText words ? words.getValue() : "";
  }

  @ParameterizedTest
  @ValueSource(strings = {Songs.FOUR, Songs.SIX})
  void isValidAgainstTheSchema(String chart) throws Exception {
    String xml = MusicXmlWriter.write(Songs.arranged(chart));
    assertThat(xml).contains("version=\"4.0\"");
    MusicXmlSchema.validate(xml);
  }

  /** The demo songs: endings, a pick-up, changing metres, swing, a mode, a dropped string. */
  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "slate-roof-rain", "low-tide-reel"})
  void theDemoSongsAreValidAndReadBack(String name) throws Exception {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    Arrangement a = new Arranger().arrange(SongFiles.open(file).song().orElseThrow());
    String xml = MusicXmlWriter.write(a);
    MusicXmlSchema.validate(xml);
    readsBack(a);
  }

  @Test
  void aPickUpAChangeOfMetreAndSwingAreWritten() {
    String rain = written("slate-roof-rain");
    assertThat(rain).contains("implicit=\"yes\"", "<beats>9</beats>", "<mode>minor</mode>");
    String reel = written("low-tide-reel");
    assertThat(reel).contains("<swing>", "<first>58</first>", "<mode>mixolydian</mode>");
  }

  private static String written(String name) {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    return MusicXmlWriter.write(new Arranger().arrange(SongFiles.open(file).song().orElseThrow()));
  }

  @Test
  void theSchemaWouldNoticeAFault() {
    String xml =
        MusicXmlWriter.write(Songs.arranged(Songs.SIX))
            .replace("<fret>", "<frett>")
            .replace("</fret>", "</frett>");
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> MusicXmlSchema.validate(xml))
        .isInstanceOf(SAXParseException.class);
  }

  @ParameterizedTest
  @ValueSource(strings = {Songs.FOUR, Songs.SIX})
  void readsBackToTheSameNotes(String chart) throws Exception {
    readsBack(Songs.arranged(chart));
  }

  private static void readsBack(Arrangement a) throws Exception {
    // A passage that is repeated stands once.
    List<Played> wanted = new ArrayList<>();
    int start = 0;
    for (WrittenForm.WrittenBar bar : WrittenForm.of(a).bars()) {
      int moved = start - bar.bar().startTick();
      a.notesFrom(bar.bar().startTick(), bar.bar().endTick())
          .forEach(
              n ->
                  wanted.add(
                      new Played(
                          n.tick() + moved,
                          StringSign.number(n.string()),
                          n.fret(),
                          n.midi(),
                          n.pick().map(PickFinger::letter).orElse(null),
                          n.fretFinger().map(Finger::sign).orElse(""))));
      start += bar.bar().lengthTicks();
    }
    ScorePartwise score = read(MusicXmlWriter.write(a));
    int capo = a.song().guitar().capo();
    // The picking fingers stand on the upper staff alone.
    assertThat(struck(score, 2, capo))
        .isEqualTo(
            wanted.stream()
                .map(w -> new Played(w.tick(), w.string(), w.fret(), w.midi(), null, w.finger()))
                .toList());
    assertThat(struck(score, 1, capo))
        .extracting(Played::tick, Played::midi, Played::pick, Played::finger)
        .containsExactlyInAnyOrderElementsOf(
            wanted.stream()
                .map(
                    w ->
                        org.assertj.core.api.Assertions.tuple(
                            w.tick(), w.midi(), w.pick(), w.finger()))
                .toList());
  }

  /** Every pattern of the shelf: tuplets, brushes, rolls, hits, tremolos, anticipations. */
  @Test
  void everyPatternOfTheShelfIsValidAndReadsBack() throws Exception {
    for (WrittenPattern pattern : PatternShelf.written()) {
      String chart = "{time: %s}\n{sog}\n| C | G . D . | C |\n{eog}\n";
      Song song = ChordProReader.read(chart.formatted(pattern.meter()).replace(". D .", "")).song();
      Arrangement a = new Arranger().arrange(song.withPattern(pattern));
      String xml = MusicXmlWriter.write(a);
      MusicXmlSchema.validate(xml);
      readsBack(a);
    }
  }

  @Test
  void brushesRollsAccentsAndHitsHaveTheirMarks() throws Exception {
    String brushes = marked("brushes-down-and-back");
    assertThat(brushes).contains("<arpeggiate direction=\"up\"", "<arpeggiate direction=\"down\"");
    assertThat(brushes).contains("<fingernails", "<accent", "dynamics=\"60\"");
    // MusicXML 4.0: unstress is the mark of a note without weight, staccato of one cut short.
    assertThat(brushes).contains("<unstress");
    assertThat(marked("short-blocks")).contains("<staccato");
    assertThat(marked("rolled-chords")).contains("<arpeggiate direction=\"up\"");
    String hits = marked("slap-and-block");
    assertThat(hits).contains("<unpitched>", "<notehead>x</notehead>", "thumb slap");
    // General MIDI level 1: 38 is the acoustic snare; MusicXML counts from 1.
    assertThat(hits).contains("<midi-channel>10<", "<midi-unpitched>39<");
    assertThat(marked("five-note-roll")).contains("<actual-notes>5<", "<normal-notes>4<");
  }

  private static String marked(String name) {
    Song song = ChordProReader.read("{sog}\n| C | G |\n{eog}\n").song();
    return MusicXmlWriter.write(
        new Arranger().arrange(song.withPattern(PatternShelf.named(name).orElseThrow())));
  }

  @Test
  void aTuneWithSlursIsValidAndReadsBack() throws Exception {
    Song song = ChordProReader.read("{sog}\n| C | G | C |\n{eog}\n").song();
    Tune tune = Tune.NONE;
    String[] bars = {"e4 ^f _e .", "d4 [g . b] d .", "c4 /d . e"};
    for (int bar = 0; bar < bars.length; bar++) {
      int id = song.chart().bars().get(bar).id();
      tune = tune.with(id, TuneReader.read(bars[bar], Meter.FOUR_FOUR).tune());
    }
    Arrangement a = new Arranger().arrange(song.withTune(tune));
    String xml = MusicXmlWriter.write(a);
    MusicXmlSchema.validate(xml);
    assertThat(xml).contains("<hammer-on", "<pull-off", "<slide", "<slur");
    readsBack(a);
  }

  @Test
  void carriesEveryChordWithItsFrame() throws Exception {
    Arrangement a = Songs.arranged(Songs.FOUR);
    List<Harmony> harmonies =
        read(MusicXmlWriter.write(a)).getPart().get(0).getMeasure().stream()
            .flatMap(m -> m.getNoteOrBackupOrForward().stream())
            .filter(Harmony.class::isInstance)
            .map(Harmony.class::cast)
            .toList();
    List<Slot> slots =
        WrittenForm.of(a).bars().stream()
            .flatMap(b -> a.slotsFrom(b.bar().startTick(), b.bar().endTick()).stream())
            .toList();
    assertThat(harmonies).hasSize(slots.size());
    for (int i = 0; i < harmonies.size(); i++) {
      int sounding = slots.get(i).shape().orElseThrow().soundingStrings().size();
      assertThat(harmonies.get(i).getFrame().getFrameNote()).hasSize(sounding);
    }
  }

  @Test
  void aTuneOfManyBarsComesBack() {
    int bars = 120;
    String line = "| G | C | Em | D ".repeat(bars / 4) + "|";
    Song song = ChordProReader.read("{sog}\n" + line + "\n{eog}\n").song();
    Tune tune = Tune.NONE;
    for (Bar bar : song.chart().bars()) {
      tune = tune.with(bar.id(), TuneReader.read("g4 . b .", Meter.FOUR_FOUR).tune());
    }
    String xml = MusicXmlWriter.write(new Arranger().arrange(song.withTune(tune)));
    SongReading back = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(back.problems()).isEmpty();
    assertThat(back.song().chart().bars()).hasSize(bars);
    assertThat(back.song().tune().at(bars, back.song().chart()).notes()).hasSize(2);
  }

  /** MusicXML 4.0: a grace note has a grace element and no duration. */
  @Test
  void shortNotesStandBeforeTheirNoteAndComeBackOnTheirStrings() throws Exception {
    Song song = ChordProReader.read("{sog}\n| C | C |\n{eog}\n").song();
    Tune tune = Tune.NONE;
    String[] bars = {"e4 g {f@1 f@1}g@1 e", "{d@2}^e@2 . g ."};
    for (int bar = 0; bar < bars.length; bar++) {
      int id = song.chart().bars().get(bar).id();
      tune = tune.with(id, TuneReader.read(bars[bar], Meter.FOUR_FOUR).tune());
    }
    int first = song.chart().bars().get(0).id();
    song = song.withTune(tune).withWords(Lyrics.NONE.with(first, BarLyrics.of("down to the quay")));
    String xml = MusicXmlWriter.write(new Arranger().arrange(song));
    MusicXmlSchema.validate(xml);
    assertThat(xml).contains("down to the quay");
    assertThat(xml.split("<grace", -1)).as("three on each staff").hasSize(7);
    assertThat(xml).doesNotContain("32nd");
    SongReading back = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(graces(back.song())).isEqualTo(graces(song));
  }

  private static List<String> graces(Song song) {
    return song.chart().bars().stream()
        .flatMap(b -> song.tune().at(b.id(), song.chart()).notes().stream())
        .filter(n -> !n.graces().isEmpty())
        .map(
            n ->
                n.tick()
                    + " "
                    + n.graces().stream()
                        .map(Want.Sound.class::cast)
                        .map(w -> w.pitch().midi() + "@" + w.string())
                        .toList())
        .toList();
  }
}
