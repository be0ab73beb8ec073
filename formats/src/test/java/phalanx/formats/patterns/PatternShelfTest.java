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
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.picking.Force;
import phalanx.picking.HandSchool;
import phalanx.picking.HitKind;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.PickFinger;
import phalanx.picking.PickingStyle;
import phalanx.picking.ThumbRoute;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
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
      struck.merge(note.tick(), note.letter(), String::concat);
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
                .filter(n -> !n.isBrushed())
                .collect(Collectors.groupingBy(Note::tick, TreeMap::new, Collectors.toList()));
        for (List<Note> pinch : together.values()) {
          for (int n = 1; n < pinch.size(); n++) {
            assertThat(pinch.get(n).pick().orElseThrow())
                .as("%s, %s, %s", style.title(), school, route)
                .isGreaterThan(pinch.get(n - 1).pick().orElseThrow());
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

  private static Arrangement played(String name, String bars) {
    PickingStyle pattern = PatternShelf.named(name).orElseThrow();
    return ARRANGER.arrange(song(Meter.FOUR_FOUR, bars).withPattern(pattern));
  }

  @Test
  void threeBarsAreAlikeTheFourthTurnsAndTheLastChordIsBrushedSoftly() {
    Arrangement a = played("Three and a turn", "| C | C | C | C | C | C |");
    List<List<String>> bars =
        a.timeline().bars().stream()
            .map(b -> strokes(a.notesFrom(b.startTick(), b.endTick()), b.startTick()))
            .toList();
    assertThat(bars.get(1)).isEqualTo(bars.get(0)).isEqualTo(bars.get(2)).isEqualTo(bars.get(4));
    assertThat(bars.get(3)).isNotEqualTo(bars.get(0));
    List<Gesture> last = a.gesturesFrom(5 * 20160, 6 * 20160);
    assertThat(last).containsExactly(new Gesture.Brush(5 * 20160, 1, 5, Touch.FLESH, Force.SOFT));
    assertThat(a.notesFrom(5 * 20160, 6 * 20160))
        .hasSize(5)
        .allMatch(n -> n.isBrushed() && n.isPickedBy(PickFinger.P));
  }

  /** The next chord sounds on the last and, and the bar does not strike it again on one. */
  @Test
  void anAnticipationBringsTheNextChordBeforeItsBar() {
    Arrangement a = played("Arrive early", "| C | G |");
    int early = 20160 - 2520;
    assertThat(a.slots().get(1).fromTick()).isEqualTo(early);
    assertThat(a.slots().get(0).toTick()).isEqualTo(early);
    List<Note> notes = a.notesFrom(early, early + 1);
    assertThat(notes).extracting(Note::fret).containsExactly(3, 3);
    assertThat(notes).extracting(Note::string).containsExactly(0, 5);
    assertThat(a.notesFrom(20160, 20161)).isEmpty();
    // Nothing leads to the first bar: it begins by itself.
    assertThat(a.notesFrom(0, 1)).hasSize(2);
    assertThat(a.holds()).anyMatch(h -> h.fromTick() == early);
  }

  @Test
  void hitsTakeTheirFingersAndStopTheStringsTheyTouch() {
    Arrangement a = played("Click on two and four", "| C |");
    assertThat(a.gestures()).extracting(Gesture::tick).containsExactly(5040, 15120);
    assertThat(a.gestures()).allMatch(g -> g instanceof Gesture.Hit h && h.kind() == HitKind.CLICK);
    Note before = a.notesFrom(2520, 2521).get(0);
    assertThat(before.string()).isGreaterThan(2);
    assertThat(before.tick() + before.lengthTicks()).isEqualTo(5040);
    assertThat(letters(a)).isEqualTo("p m p a p m p a");
  }

  @Test
  void aStoppedBlockEndsWhereItIsStopped() {
    Arrangement a = played("Short blocks", "| C |");
    List<Note> block = a.notesFrom(5040, 5041);
    assertThat(block).hasSize(3).allMatch(n -> n.lengthTicks() == 2520);
    assertThat(block).allMatch(n -> n.force() == Force.ACCENTED);
  }

  /** Each string of a roll comes after the other: a sixty-fourth is 315 ticks. */
  @Test
  void aRollGoesThroughItsStrings() {
    Arrangement a = played("Rolled chords", "| C |");
    assertThat(a.notesFrom(0, 1)).extracting(Note::delayTicks).containsExactly(0, 315, 630, 945);
    assertThat(a.notesFrom(10080, 10081))
        .extracting(Note::delayTicks)
        .containsExactly(1890, 1260, 630, 0);
    assertThat(a.gestures()).contains(new Gesture.Roll(0, 1, 5, 315));
    assertThat(a.gestures()).contains(new Gesture.Roll(10080, 5, 1, 630));
  }

  /** Ring, middle and index finger after the thumb (common practice, no source). */
  @Test
  void aTremoloIsPlayedByRingMiddleAndIndexInTurn() {
    assertThat(letters(played("Tremolo", "| C |"))).startsWith("p a m i p a m i");
  }
}
