package phalanx.formats.songfile;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.chart.ChartReader;
import phalanx.chart.Notation;
import phalanx.formats.FileProblem;
import phalanx.formats.patterns.PatternShelf;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.picking.Role;
import phalanx.picking.StepText;
import phalanx.picking.ThumbRoute;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChartEdits;
import phalanx.song.Feel;
import phalanx.song.FindingRef;
import phalanx.song.NoteRef;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.Ritard;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.SongId;
import phalanx.song.Swing;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

class SongFileTest {

  private static final JsonSchema SCHEMA = schema();

  private static JsonSchema schema() {
    InputStream in = SongFileWriter.class.getResourceAsStream("song-2.schema.json");
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(in);
  }

  private static Set<ValidationMessage> schemaFaults(String text) {
    try {
      return SCHEMA.validate(new ObjectMapper().readTree(text));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Song read(String text) {
    SongFileReader.Result result = SongFileReader.read(text);
    assertThat(result).isInstanceOf(SongFileReader.Result.Read.class);
    return ((SongFileReader.Result.Read) result).song();
  }

  private static FileProblem refusal(String text) {
    SongFileReader.Result result = SongFileReader.read(text);
    assertThat(result).as(text).isInstanceOf(SongFileReader.Result.Refused.class);
    return ((SongFileReader.Result.Refused) result).problem();
  }

  private static SongFileReader.Result.Read readInPart(String text) {
    return (SongFileReader.Result.Read) SongFileReader.read(text);
  }

  private static List<Bar> bars(String line, int from) {
    List<Bar> bars = new ArrayList<>();
    for (Bar bar :
        ChartReader.read(line, Notation.in(Meter.FOUR_FOUR), Notation.Numbers.NONE).bars()) {
      bars.add(bar.withId(from + bars.size()));
    }
    return bars;
  }

  private static Song full() {
    Chart chart =
        new Chart(
            List.of(
                Section.of(100, "Verse", bars("|: G | D/F# . Em7 . |1 C | Qx :|2 3/4 D7 |", 1)),
                Section.of(200, "Ende", bars("N.C. | . | G@1/7 Am@3/7", 20))));
    return Song.untitled()
        .withChart(chart)
        .withTitle("Zwei Ufer “\\ \n")
        .withKey(Optional.of(new Key(NoteName.parse("F#").orElseThrow(), Mode.DORIAN)))
        .withLyrics(List.of("a line", ""))
        .editChart(c -> ChartEdits.sectionLike(c, 100, 100, "again"))
        .pin(new SlotRef(1, 0), Shape.NOTHING);
  }

  @Provide
  Arbitrary<Song> songs() {
    Arbitrary<Guitar> guitars =
        Combinators.combine(
                Arbitraries.of(Guitar.STEEL, Guitar.NYLON.withBody(14, true)),
                Arbitraries.integers().between(0, 11),
                Arbitraries.of(0, 1, 2, 3, 4, 5).set().ofMinSize(1),
                Arbitraries.of("D A D G A D", "Eb2 Ab2 Db3 Gb3 Bb3 Eb4"))
            .as(
                (guitar, capo, strings, tuning) ->
                    guitar.withTuning(Tuning.parse(tuning).orElseThrow()).withCapo(capo, strings));
    Arbitrary<Hand> hands =
        Combinators.combine(
                Arbitraries.doubles().between(Hand.LEAST_SPREAD, Hand.MOST_SPREAD),
                Arbitraries.of(true, false))
            .as(
                (spread, thumb) ->
                    (thumb ? Hand.measured(spread) : Hand.measured(spread, spread / 2))
                        .withThumbOver(thumb)
                        .withStretches(!thumb)
                        .withPace(new Hand.Pace(40, 120))
                        .without(thumb ? Set.of(Finger.LITTLE, Finger.INDEX) : Set.of()));
    Arbitrary<Feel> feels =
        Combinators.combine(
                Arbitraries.of("4/4", "6/8", "5/4"),
                Arbitraries.doubles().between(20, 400),
                Arbitraries.integers().between(50, 75),
                Arbitraries.of(0, 2520, 5040),
                Arbitraries.of(
                    Optional.<Ritard>empty(),
                    Optional.of(Ritard.USUAL),
                    Optional.of(new Ritard(8, 1))))
            .as(
                (meter, tempo, swing, pickup, ritard) ->
                    new Feel(
                        Meter.parse(meter).orElseThrow(), tempo, new Swing(swing), pickup, ritard));
    Arbitrary<Integer> places = Arbitraries.integers().between(0, 5);
    return Combinators.combine(
            guitars,
            hands,
            feels,
            Arbitraries.of(HandSchool.class),
            Arbitraries.of(AlternatingThumb.class),
            Arbitraries.of(Role.class),
            places,
            Arbitraries.strings().ofMaxLength(12))
        .as(
            (guitar, hand, feel, school, pattern, role, string, title) ->
                full()
                    .withGuitar(guitar)
                    .withHand(hand)
                    .withOwnHand(hand.thumbOver())
                    .withFeel(feel)
                    .withSchool(school)
                    .withPattern(pattern)
                    .withPatterns(patterns(pattern, string))
                    .withTune(tune(string))
                    .withThumb(ThumbRoute.values()[string % ThumbRoute.values().length])
                    .withTitle(title)
                    .withId(SongId.of(new UUID(string, title.hashCode())))
                    .withPins(
                        full()
                            .pins()
                            .with(new NoteRef(2, 2520, role), string)
                            .accepting(new FindingRef(2, string, "stretch"), title)));
  }

  private static Tune tune(int variety) {
    int bar = full().chart().bars().get(0).id();
    String text = variety % 2 == 0 ? "g4 . [b ^c'] -" : ". 2:3 {a}b@2 d";
    Meter meter = full().chart().meters(full().meter()).get(bar);
    return Tune.NONE.with(bar, TuneReader.read(text, meter).tune()).withOnTop(variety != 3);
  }

  /** Patterns for parts of the song, and a bar that changes one stroke. */
  private static Patterns patterns(AlternatingThumb pattern, int variety) {
    int section = full().sections().get(0).id();
    int bar = full().chart().bars().get(0).id();
    Pattern.Step step =
        StepText.read(2520, Map.of("tune", "m!", "thumb", "o", "hits", "heel")).orElseThrow();
    PickingStyle turn = PatternShelf.named("three-and-a-turn").orElseThrow();
    PickingStyle brush = PatternShelf.named("brush-on-two-and-four").orElseThrow();
    Patterns all =
        Patterns.of(pattern)
            .with(new Patterns.Scope.OfSection(section), turn)
            .with(new Patterns.Scope.OfChord(new SlotRef(bar, 0)), AlternatingThumb.THUMB_ALONE)
            .changing(bar, step)
            .endingSoftly(variety % 2 > 0);
    return variety > 2 ? all.with(new Patterns.Scope.OfBar(bar), brush) : all;
  }

  /** Round trip, and the schema holds: the published JSON Schema draft 2020-12. */
  @Property(tries = 200)
  void everySongIsReadBackAsItWasAndFitsTheSchema(@ForAll("songs") Song song) {
    String text = SongFileWriter.write(song);
    assertThat(schemaFaults(text)).isEmpty();
    assertThat(read(text)).isEqualTo(song);
    assertThat(SongFileWriter.write(read(text))).isEqualTo(text);
  }

  @Test
  void theSchemaRefusesWhatIsNoSong() {
    String text = SongFileWriter.write(full());
    assertThat(schemaFaults(text.replace("\"tempo\" : 90.0", "\"tempo\" : 9000"))).isNotEmpty();
    assertThat(schemaFaults(text.replace("\"title\"", "\"titel\""))).isNotEmpty();
  }

  /** The way up from the oldest version: nothing of it is lost. */
  @Test
  void aSongOfTheFirstVersionIsReadAndWrittenAsTheNewest() throws IOException {
    String old;
    try (InputStream in = SongFileTest.class.getResourceAsStream("version-1.phalanx.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    Song song = read(old);
    assertThat(song.meter()).isEqualTo(new Meter(6, 8));
    assertThat(song.tempo()).isEqualTo(72);
    assertThat(song.guitar().capo()).isEqualTo(3);
    assertThat(song.guitar().hasPartialCapo()).isFalse();
    assertThat(song.hand()).isEqualTo(Hand.SMALL);
    assertThat(song.guitar().tuning()).hasToString("D A D G B E");
    assertThat(song.pins()).isEqualTo(Pins.NONE);
    String now = SongFileWriter.write(song);
    assertThat(schemaFaults(now)).isEmpty();
    assertThat(read(now)).isEqualTo(song);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "\"tempo\" : 90.0 ~ \"tempo\" : \"fast\" ~ expected a number from 20 to 400 for “tempo”",
        "\"chord\" : \"Em7\" ~ \"chord\" : \"Hx\" ~ expected a root note A to G for “chord”",
        "\"meter\" : \"3/4\" ~ \"meter\" : \"3/5\" ~ expected a metre such as 4/4 for “meter”",
        "\"id\" : 200 ~ \"id\" : 100 ~ two parts of a chart are both number 100",
        "\"softEnding\" : false ~ \"softEnding\" : 1 ~ expected true or false for “softEnding”",
        "\"school\" : \"thumb-and-three\" ~ \"school\" : 3 ~ expected one of thumb-and-two",
        "\"cutaway\" : false ~ \"cutaway\" : null ~ expected true or false for “cutaway”",
        "\"plays\" : 2 ~ \"plays\" : 99 ~ expected a whole number from 1 to 16"
      })
  void aFaultCostsTheValueItIsInAndIsToldWithItsPlace(String right, String wrong, String message) {
    String good = SongFileWriter.write(full());
    assertThat(good).contains(right);
    String bad = good.replaceFirst(java.util.regex.Pattern.quote(right), wrong);
    SongFileReader.Result.Read read = readInPart(bad);
    int line =
        bad.substring(0, bad.indexOf(wrong, wrong.contains("100") ? bad.indexOf("Ende") - 60 : 0))
            .split("\n", -1)
            .length;
    assertThat(read.problems())
        .singleElement()
        .satisfies(p -> assertThat(p.message()).startsWith(message))
        .satisfies(p -> assertThat(p.line()).isEqualTo(line));
    assertThat(read.song().title()).isEqualTo(full().title());
    assertThat(read.song().chart().bars()).hasSameSizeAs(full().chart().bars());
  }

  @Test
  void aChordThatIsNoneStandsInItsBarAsItWasWritten() {
    String good = SongFileWriter.write(full());
    Song song = readInPart(good.replace("\"chord\" : \"Em7\"", "\"chord\" : \"Hx\"")).song();
    assertThat(song.chart().bars().get(1).changes())
        .extracting(c -> c.harmony().label())
        .containsExactly("D/F♯", "Hx");
  }

  @Test
  void aBarThatIsNoneStandsInTheChartAsItWasWritten() {
    String text =
        "{\"format\":\"phalanx-song\",\"version\":2,\"sections\":[{\"id\":1,\"label\":\"\","
            + "\"bars\":[7,{\"id\":3,\"chords\":[{\"tick\":0,\"chord\":\"G\"}]}]}]}";
    SongFileReader.Result.Read read = readInPart(text);
    assertThat(read.song().chart().bars()).hasSize(2);
    assertThat(read.song().chart().bars().get(0).changes().get(0).harmony().label()).isEqualTo("7");
    assertThat(read.song().chart().bars().get(1).id()).isEqualTo(3);
    assertThat(read.problems()).isNotEmpty();
  }

  /** What was written before the disk was full, say, is read. */
  @Property(tries = 100)
  void aFileThatBreaksOffIsReadUpToThere(@ForAll("cuts") int cut) {
    String good = SongFileWriter.write(full());
    int at = good.indexOf("\"tune\"") - 1 - cut % 400;
    SongFileReader.Result.Read read = readInPart(good.substring(0, at));
    assertThat(read.song().title()).isEqualTo(full().title());
    assertThat(read.song().chart().bars()).isNotEmpty();
    assertThat(read.problems())
        .anySatisfy(p -> assertThat(p.message()).isEqualTo("this is not JSON from here on"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "\"version\" : 2 ~ \"version\" : 9 ~ this song was written by a newer Phalanx (version 9",
        "\"phalanx-song\" ~ \"other\" ~ expected “phalanx-song” for “format”",
        "\"format\" ~ format ~ this is not JSON"
      })
  void whatIsOfAnotherKindIsRefusedWithItsPlace(String right, String wrong, String message) {
    String good = SongFileWriter.write(full());
    String bad = good.replaceFirst(java.util.regex.Pattern.quote(right), wrong);
    FileProblem problem = refusal(bad);
    assertThat(problem.message()).startsWith(message);
    assertThat(problem.line())
        .isEqualTo(bad.substring(0, bad.indexOf(wrong)).split("\n", -1).length);
  }

  @ParameterizedTest
  @CsvSource({"''", "'{'", "'[]'", "'null'", "'{} x'", "'7'"})
  void whatIsNoSongAtAllIsRefused(String text) {
    assertThat(refusal(text).message()).isNotBlank();
  }

  /** Damage anywhere ends in a song or a refusal with a place, never in an exception. */
  @Property(tries = 300)
  void damagedFilesAreRefusedWithAPlace(@ForAll("cuts") int cut, @ForAll char put) {
    String good = SongFileWriter.write(full());
    int at = cut % good.length();
    for (String bad :
        List.of(good.substring(0, at), good.substring(0, at) + put + good.substring(at + 1))) {
      SongFileReader.Result result = SongFileReader.read(bad);
      List<FileProblem> problems =
          result instanceof SongFileReader.Result.Read read
              ? read.problems()
              : List.of(((SongFileReader.Result.Refused) result).problem());
      assertThat(problems)
          .allMatch(p -> p.line() >= 1 && p.column() >= 1 && !p.message().isBlank());
    }
  }

  @Provide
  Arbitrary<Integer> cuts() {
    return Arbitraries.integers().between(0, 20_000);
  }
}
