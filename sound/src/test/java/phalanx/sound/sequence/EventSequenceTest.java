package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Attack;
import phalanx.formats.SongFiles;
import phalanx.formats.patterns.PatternShelf;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.performance.Ending;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.sound.Layer;
import phalanx.sound.strings.Beat;

class EventSequenceTest {

  private static Performance of(Song song) {
    return Performance.of(new Arranger().arrange(song));
  }

  private static <T extends Event> List<T> all(EventSequence score, Class<T> kind) {
    return score.events().stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "slate-roof-rain", "low-tide-reel"})
  void everyNoteBeginsAndEndsAsThePerformanceHasIt(String name) {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    Performance performance = of(SongFiles.open(file).song().orElseThrow());
    EventSequence score = EventSequence.of(performance);
    List<Double> plucked =
        performance.notes().stream()
            .filter(n -> n.from().isEmpty())
            .map(Sounded::onset)
            .sorted()
            .toList();
    assertThat(all(score, Event.Pluck.class)).extracting(Event::at).isEqualTo(plucked);
    long ended = performance.notes().stream().filter(n -> n.ending() != Ending.RINGS_ON).count();
    assertThat(all(score, Event.Stop.class)).hasSize((int) ended);
    assertThat(score.events()).isSortedAccordingTo((a, b) -> Double.compare(a.at(), b.at()));
    assertThat(score.seconds()).isEqualTo(performance.seconds());
  }

  @Test
  void slursActOnTheSoundingStringAndASlideArrivesInTime() {
    Song song =
        TestSongs.singing(TestSongs.of("C | C | C"), "e4 ^f _e _d c . . .", "c4 /d . e", "c4");
    Performance performance = of(song);
    EventSequence score = EventSequence.of(performance);
    List<Sounded> slurred = performance.notes().stream().filter(n -> n.from().isPresent()).toList();
    assertThat(slurred).extracting(n -> n.note().attack()).contains(Attack.HAMMERED, Attack.SLID);
    List<Double> made =
        slurred.stream().filter(n -> n.note().attack() != Attack.SLID).map(Sounded::onset).toList();
    assertThat(all(score, Event.Slur.class)).extracting(Event::at).isEqualTo(made);
    for (Sounded slid : slurred.stream().filter(n -> n.note().attack() == Attack.SLID).toList()) {
      assertThat(all(score, Event.Arrival.class))
          .anySatisfy(
              p -> {
                assertThat(p.at()).isCloseTo(slid.onset(), within(1e-9));
                assertThat(p.midi()).isEqualTo(slid.note().midi());
              });
    }
  }

  @Test
  void theMetronomeFollowsTheMetreAndTheSwing() {
    Performance performance =
        of(TestSongs.of("C | G").withTempo(60).withPattern(AlternatingThumb.THUMB_ALONE));
    List<Event.Click> clicks = all(EventSequence.of(performance), Event.Click.class);
    assertThat(clicks)
        .extracting(Event.Click::at)
        .containsExactly(
            0.0, 0.5, 1.0, 1.5, 2.0, 2.5, 3.0, 3.5, 4.0, 4.5, 5.0, 5.5, 6.0, 6.5, 7.0, 7.5);
    assertThat(clicks.get(0).beat()).isEqualTo(Beat.FIRST);
    assertThat(clicks.get(1).beat()).isEqualTo(Beat.BETWEEN);
    assertThat(clicks.get(2).beat()).isEqualTo(Beat.BEAT);
    assertThat(clicks.get(8).beat()).isEqualTo(Beat.FIRST);
  }

  @Test
  void hitsAreEventsAtTheirTimes() {
    Song song =
        TestSongs.of("C | G").withPattern(PatternShelf.named("slap-and-block").orElseThrow());
    Performance performance = of(song);
    assertThat(performance.hits()).isNotEmpty();
    assertThat(all(EventSequence.of(performance), Event.Hit.class))
        .hasSize(performance.hits().size());
  }

  @Test
  void aShapeIsHeardFromLowToHigh() {
    Shape c =
        of(TestSongs.of("C").withPattern(AlternatingThumb.FINGERS_BETWEEN))
            .arrangement()
            .slots()
            .get(0)
            .held();
    assertThat(c.frets()).containsExactly(-1, 3, 2, 0, 1, 0);
    List<Event.Pluck> plucks = all(Sketch.shape(Guitar.STEEL, c), Event.Pluck.class);
    assertThat(plucks).extracting(Event.Pluck::midi).containsExactly(48.0, 52.0, 55.0, 60.0, 64.0);
    assertThat(plucks).isSortedAccordingTo((a, b) -> Double.compare(a.at(), b.at()));
    assertThat(Sketch.note(Guitar.STEEL.withCapo(2), 5, 3).events())
        .singleElement()
        .satisfies(e -> assertThat(((Event.Pluck) e).midi()).isEqualTo(69));
    assertThat(plucks.get(0).layer()).isEqualTo(Layer.FINGERS);
  }
}
