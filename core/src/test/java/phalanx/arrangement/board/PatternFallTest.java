package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.board.PatternFall.Work;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternEdits;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Meter;

class PatternFallTest {

  private static final Arranger ARRANGER = new Arranger();

  private static List<PatternFall> falls(Song song, int slot) {
    WrittenPattern shown = PatternEdits.written(song.pattern(), song.meter());
    return PatternFall.of(ARRANGER, ARRANGER.arrange(song), shown, slot, 4);
  }

  @Test
  void eachChordOfTheSongIsShownOnceFromTheSelectedOneOn() {
    Song song = TestSongs.of("G | C | G | Em7 | D7");
    assertThat(falls(song, 1))
        .extracting(f -> f.harmony().label())
        .containsExactly("C", "G", "Em7", "D7");
    assertThat(falls(song, 4)).extracting(f -> f.harmony().label()).startsWith("D7", "G");
  }

  @Test
  void aRestHasNothingToShow() {
    assertThat(falls(TestSongs.of("N.C. | G"), 0))
        .extracting(f -> f.harmony().label())
        .containsExactly("G");
    assertThat(falls(Song.untitled(), 0)).isEmpty();
  }

  /** Four quarters at 60 are a second apart; the index comes back after two beats. */
  @Test
  void theHandsWorkIsCountedAndTimed() {
    PatternFall fall = falls(TestSongs.of("C").withTempo(60), 0).get(0);
    Map<PickFinger, Work> work = fall.work(60);
    assertThat(work.get(PickFinger.P)).isEqualTo(new Work(4, 1000, 0, 5040));
    assertThat(work.get(PickFinger.I).strokes()).isEqualTo(2);
    assertThat(work.get(PickFinger.I).quickestMillis()).isCloseTo(2000, within(1e-6));
    assertThat(work).doesNotContainKey(PickFinger.C);
  }

  /** A stroke put in and taken out again leaves the same strokes. */
  @Property(tries = 100)
  void togglingTwiceChangesNothing(
      @ForAll AlternatingThumb style,
      @ForAll @IntRange(max = 31) int place,
      @ForAll @IntRange(max = 4) int row) {
    Role role = List.of(Role.THUMB, Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE).get(row);
    int tick = place * 630;
    WrittenPattern pattern = PatternEdits.written(style, Meter.FOUR_FOUR);
    WrittenPattern once = toggled(pattern, role, tick);
    assertThat(PatternEdits.stroke(once.pattern(), role, tick).isPresent())
        .isNotEqualTo(PatternEdits.stroke(pattern.pattern(), role, tick).isPresent());
    WrittenPattern twice = toggled(once, role, tick);
    for (int t = 0; t < 20160; t += 630) {
      assertThat(PatternEdits.stroke(twice.pattern(), role, t))
          .isEqualTo(PatternEdits.stroke(pattern.pattern(), role, t));
    }
    assertThat(once.title()).endsWith("(mine)");
    assertThat(twice.title()).isEqualTo(once.title());
  }

  private static WrittenPattern toggled(WrittenPattern pattern, Role role, int tick) {
    PatternEdits.Result result = PatternEdits.toggle(pattern, Stroke.Pluck.of(role), tick);
    return ((PatternEdits.Result.Done) result).pattern();
  }

  /** The motion and the count as players say them (common practice, no source). */
  @Test
  void theMotionIsSaidInWords() {
    PatternReader.Result read =
        PatternReader.read(
            """
            name: Words
            metre: 4/4
            tune   | o . | . . | o | . |
            upper  | . . | . o | o | . |
            middle | . . | . . | o | . |
            thumb  | o . | o . | . | o |
            hits   | . . | . . | . | click |
            brush  | . (4-2) | . . | . | . |
            """);
    Song song = TestSongs.of("C").withPattern(read.patterns().get(0));
    List<SpokenMotion> motions = SpokenMotion.of(falls(song, 0).get(0), Meter.FOUR_FOUR);
    assertThat(motions)
        .extracting(m -> m.count() + " " + m.words())
        .containsExactly(
            "1 pinch", "& brush down", "2 thumb", "& middle", "3 block", "4 thumb + finger click");
  }
}
