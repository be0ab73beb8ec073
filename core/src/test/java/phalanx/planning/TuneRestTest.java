package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.PatternReader;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/** A rest in the tune is heard: the string does not ring through it. */
class TuneRestTest {

  @Test
  void anOpenStringStopsAtARest() {
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(TestSongs.of("| C | C |"), "e4@1 - g -", "e4@1 . . ."));
    Performance performance = Performance.of(a);
    for (int tick : new int[] {0, 2 * Ticks.PER_QUARTER}) {
      Note note =
          a.notesFrom(tick, tick + 1).stream()
              .filter(n -> n.part() == Note.Part.TUNE)
              .findFirst()
              .orElseThrow();
      assertThat(note.lengthTicks()).isEqualTo(Ticks.PER_QUARTER);
      Sounded heard =
          performance.notes().stream().filter(n -> n.note().equals(note)).findFirst().orElseThrow();
      double beat = 60 / a.song().tempo();
      assertThat(heard.end() - heard.onset()).isLessThan(1.1 * beat);
    }
  }

  @Test
  void whatIsTiedOrFollowedRingsAsItIsWritten() {
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(TestSongs.of("| C | C |"), "e4@1 . g@2 .", ". . e4@1 ."));
    Note first =
        a.notesFrom(0, 1).stream()
            .filter(n -> n.part() == Note.Part.TUNE)
            .findFirst()
            .orElseThrow();
    assertThat(first.lengthTicks()).isGreaterThanOrEqualTo(2 * Ticks.PER_QUARTER);
  }

  /** Short blocks stop the chord, and the tune sings on over them. */
  @Test
  void whatThePatternStopsIsNotTheTune() {
    PatternReader.Result read =
        PatternReader.read(
            """
            name: Short
            metre: 4/4
            tune   | . . | o! = | . . | o! = |
            upper  | . . | o! = | . . | o! = |
            middle | . . | o! = | . . | o! = |
            thumb  | o . | . . | o . | . . |
            """);
    Song song =
        TestSongs.singing(TestSongs.of("| G | C |"), "d4 b3 d4 g", "e4 c e g")
            .withPattern(read.patterns().get(0));
    Performance performance = Performance.of(new Arranger().arrange(song));
    double beat = 60 / song.tempo();
    List<Sounded> tune = part(performance, Note.Part.TUNE);
    assertThat(tune).hasSize(8);
    assertThat(tune.subList(0, 7))
        .allMatch(n -> n.end() - n.onset() > 0.95 * beat, "sounds for its beat");
    assertThat(part(performance, Note.Part.INNER))
        .isNotEmpty()
        .anyMatch(n -> n.end() - n.onset() < 0.6 * beat);
  }

  private static List<Sounded> part(Performance performance, Note.Part part) {
    return performance.notes().stream().filter(n -> n.note().part() == part).toList();
  }
}
