package phalanx.formats.patterns;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Arranger;
import phalanx.arrangement.Note;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.picking.HandSchool;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.PickingStyle;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.song.Song;
import phalanx.theory.Meter;

class PatternShelfTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Song song(Meter meter, String bars) {
    String chart = "{time: %s}\n{tempo: 60}\n{sog}\n%s\n{eog}\n".formatted(meter, bars);
    return ChordProReader.read(chart).song();
  }

  /** The letters struck in the first bar, by time: {@code p pm p i}. */
  private static String letters(Arrangement a) {
    TreeMap<Integer, String> struck = new TreeMap<>();
    int end = a.timeline().bars().get(0).endTick();
    for (Note note : a.notesFrom(0, end)) {
      struck.merge(note.tick(), note.pick().letter(), String::concat);
    }
    return String.join(" ", struck.values());
  }

  /**
   * The steps beginners are led up and frequent bars, on an open C (common practice, no source).
   */
  @ParameterizedTest
  @CsvSource({
    "Thumb in quarters,p p p p",
    "Pinch every beat,pm pm pm pm",
    "Staggered pinch,p m p m p m p m",
    "Pinch and stagger,pm pm p m p m",
    "Tune on two and off the beat,p pm p i p m",
    "Outside in,p i p a p i p",
    "Roll of four,p i a i p i a i",
    "Rising roll,p i m a p i m a",
    "Roll with the top rocking,p i m a m a m i",
    "Bass and block,p ima p ima",
    "Syncopated block,pima ima p ima",
    "Six up and back,p i m a m i"
  })
  void barsComeOutWithExactlyTheseFingers(String name, String fingers) {
    WrittenPattern pattern = (WrittenPattern) PatternShelf.named(name).orElseThrow();
    Arrangement a = ARRANGER.arrange(song(pattern.meter(), "| C |").withPattern(pattern));
    assertThat(a.slots().get(0).shape().orElseThrow().fretText()).isEqualTo("x32010");
    assertThat(letters(a)).isEqualTo(fingers);
  }

  @Test
  void theShelfHasPatternsForTheUsualMetres() {
    assertThat(PatternShelf.written()).hasSizeGreaterThanOrEqualTo(24);
    for (String meter : List.of("4/4", "3/4", "6/8", "5/4")) {
      assertThat(PatternShelf.in(Meter.parse(meter).orElseThrow())).hasSizeGreaterThan(4);
    }
    assertThat(PatternShelf.written()).extracting(WrittenPattern::title).doesNotHaveDuplicates();
    for (WrittenPattern pattern : PatternShelf.written()) {
      String text = PatternWriter.write(pattern);
      assertThat(PatternReader.read(text).patterns()).as(text).hasSize(1);
    }
  }

  /** No finger on two strings at once, no crossing, whatever pattern, school and route. */
  @ParameterizedTest
  @EnumSource(HandSchool.class)
  void fingersNeverCross(HandSchool school) {
    for (PickingStyle style : PatternShelf.written()) {
      Meter meter = ((WrittenPattern) style).meter();
      for (ThumbRoute route : ThumbRoute.values()) {
        Song song =
            song(meter, "| G | D/F# | Em7 | Cadd9 | B7 | F |")
                .withPattern(style)
                .withSchool(school)
                .withThumb(route);
        TreeMap<Integer, List<Note>> together =
            ARRANGER.arrange(song).notes().stream()
                .collect(Collectors.groupingBy(Note::tick, TreeMap::new, Collectors.toList()));
        for (List<Note> pinch : together.values()) {
          for (int n = 1; n < pinch.size(); n++) {
            assertThat(pinch.get(n).pick())
                .as("%s, %s, %s", style.title(), school, route)
                .isGreaterThan(pinch.get(n - 1).pick());
          }
        }
      }
    }
  }

  @Test
  void aPatternOfTwoBarsGoesOnInTheSecond() {
    PickingStyle pattern = PatternShelf.named("question-and-answer").orElseThrow();
    Arrangement a = ARRANGER.arrange(song(Meter.FOUR_FOUR, "| C | C | C |").withPattern(pattern));
    List<Note> first = a.notesFrom(0, 20160);
    List<Note> second = a.notesFrom(20160, 40320);
    List<Note> third = a.notesFrom(40320, 60480);
    assertThat(strokes(second, 20160)).isNotEqualTo(strokes(first, 0));
    assertThat(strokes(third, 40320)).isEqualTo(strokes(first, 0));
  }

  private static List<String> strokes(List<Note> notes, int from) {
    return notes.stream().map(n -> n.tick() - from + " on " + n.string()).toList();
  }

  @Test
  void aWrittenPatternTravelsWithItsSong() {
    Song song = song(Meter.FOUR_FOUR, "| C |");
    for (WrittenPattern pattern : PatternShelf.written()) {
      String text = SongFileWriter.write(song.withPattern(pattern));
      SongFileReader.Result result = SongFileReader.read(text);
      assertThat(result).as(text).isInstanceOf(SongFileReader.Result.Read.class);
      WrittenPattern back = (WrittenPattern) ((SongFileReader.Result.Read) result).song().pattern();
      assertThat(PatternWriter.write(back)).isEqualTo(PatternWriter.write(pattern));
    }
  }
}
