package phalanx.embellishment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.ChordParts;
import phalanx.findings.Review;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Clock;
import phalanx.song.Harmony;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.technique.Technique;

/** How a song begins and ends: what a player would play and hear. */
class FrameTest {

  private static final Song SONG =
      TestSongs.singing(
          TestSongs.of("| G | C | D7 | G |"), "b4 . d5 .", "c5 . e .", "d5 . c .", "b4 . . .");

  private static Arrangement plan(Song song) {
    return new Arranger().arrange(song);
  }

  private static List<Note> last(Arrangement a) {
    var bars = a.timeline().bars();
    var bar = bars.get(bars.size() - 1);
    return a.notesFrom(bar.startTick(), bar.endTick());
  }

  @Test
  void anIntroPlaysThePatternOverTheFirstChords() {
    for (Frame intro : List.of(Frame.INTRO_OF_TWO, Frame.INTRO_OF_FOUR)) {
      int bars = intro == Frame.INTRO_OF_TWO ? 2 : 4;
      Arrangement a = plan(intro.in(SONG).orElseThrow());
      assertThat(a.timeline().bars()).hasSize(4 + bars);
      assertThat(a.slots().subList(0, bars).stream().map(s -> s.played().harmony().label()))
          .containsExactlyElementsOf(List.of("G", "C", "D7", "G").subList(0, bars));
      int end = a.timeline().bars().get(bars).startTick();
      assertThat(a.notesFrom(0, end)).isNotEmpty();
      assertThat(a.slots().subList(0, bars)).allMatch(s -> s.tune().isEmpty());
      assertThat(a.slots().get(bars).tune()).isNotEmpty();
      assertThat(a.song().sections().get(0).label()).isEqualTo("Intro");
    }
  }

  /** A chord that is held in two shapes is one chord of the intro. */
  @Test
  void anIntroHasEachChordOnce() {
    Song song = TestSongs.of("| G | C | D7 | G |");
    Arrangement a = plan(song);
    ChordParts whole = ChordParts.of(a, 0);
    Song parts = whole.beginning(song, whole.beats().get(1));
    assertThat(plan(parts).slots()).hasSize(5);
    Song intro = Frame.INTRO_OF_TWO.in(parts).orElseThrow();
    assertThat(intro.sections().get(0).bars()).allMatch(b -> b.changes().size() == 1);
  }

  /** Playback follows: the last bars take longer, the others as long as before. */
  @Test
  void theEndSlowsDown() {
    Performance before = Performance.of(plan(SONG));
    Performance after = Performance.of(plan(Frame.SLOWER.in(SONG).orElseThrow()));
    double bar = before.seconds() / 4;
    List<Double> starts =
        after.arrangement().timeline().bars().stream()
            .map(b -> after.clock().seconds(b.startTick(), 0))
            .toList();
    assertThat(starts.get(2)).isEqualTo(2 * bar);
    assertThat(starts.get(3) - starts.get(2)).isGreaterThan(1.05 * bar);
    assertThat(after.seconds() - starts.get(3)).isGreaterThan(starts.get(3) - starts.get(2));
    // Within a bar as well: each beat of the last is longer than the one before it.
    for (int beat = 1; beat < 4; beat++) {
      int tick = 3 * 20160 + beat * 5040;
      double one = after.clock().seconds(tick, 0) - after.clock().seconds(tick - 5040, 0);
      double next = after.clock().seconds(tick + 5039, 0) - after.clock().seconds(tick, 0);
      assertThat(next).isGreaterThan(one);
    }
    // What is repeated slows down the last time alone.
    Song again = Frame.SLOWER.in(TestSongs.of("|: G | C :|")).orElseThrow();
    Clock clock = Clock.of(again, Timeline.of(again));
    assertThat(clock.seconds(2 * 20160, 0)).isEqualTo(2 * 4 * 60 / again.tempo());
    assertThat(clock.seconds()).isGreaterThan(1.1 * 4 * 4 * 60 / again.tempo());
    assertThat(Frame.SLOWER.in(again)).isEmpty();
  }

  @Test
  void theLastChordIsRolledOrBrushed() {
    Song plain = TestSongs.of("| G | C | D7 | G |");
    List<Note> rolled = last(plan(Frame.ROLLED.in(plain).orElseThrow()));
    assertThat(rolled).hasSizeGreaterThanOrEqualTo(3).allMatch(n -> n.group() == Group.ROLL);
    assertThat(rolled.stream().map(Note::delayTicks).distinct()).hasSameSizeAs(rolled);
    List<Note> brushed = last(plan(Frame.BRUSHED.in(plain).orElseThrow()));
    assertThat(brushed).hasSizeGreaterThan(3).allMatch(Note::isBrushed);
    Song done = Frame.BRUSHED.in(plain).orElseThrow();
    assertThat(Frame.BRUSHED.in(done)).as("it is there").isEmpty();
  }

  /** The harmonic belongs to the chord, over fret 12, 7 or 5 of an open string. */
  @Test
  void aHarmonicOfTheChordRings() {
    Song song = Frame.HARMONIC.in(SONG).orElseThrow();
    Arrangement a = plan(song);
    Note harmonic =
        last(a).stream()
            .filter(
                n -> n.techniques().stream().anyMatch(Technique.NaturalHarmonic.class::isInstance))
            .findFirst()
            .orElseThrow();
    assertThat(List.of(7, 11, 2)).contains(harmonic.midi() % 12);
    assertThat(harmonic.tick() % 20_160).isEqualTo(10_080);
    Song capo = SONG.withGuitar(SONG.guitar().withCapo(2));
    assertThat(Frame.HARMONIC.in(capo).map(s -> last(plan(s)).size())).isPresent();
  }

  /** Nothing that cannot be played is offered, and the rest of the song stays as it is. */
  @Test
  void everyWayCanBePlayedInSongsOfOurOwn() {
    for (Map.Entry<String, Song> own : OwnSongs.all().entrySet()) {
      for (Frame frame : Frame.values()) {
        frame
            .in(own.getValue())
            .ifPresent(
                song -> {
                  Arrangement a = plan(song);
                  assertThat(Review.of(a).tally().cannot())
                      .as("%s, %s", own.getKey(), frame)
                      .isZero();
                  long chords =
                      a.slots().stream()
                          .filter(s -> s.played().harmony() instanceof Harmony.Sounding)
                          .count();
                  assertThat(chords).isGreaterThanOrEqualTo(plan(own.getValue()).slots().size());
                });
      }
    }
  }
}
