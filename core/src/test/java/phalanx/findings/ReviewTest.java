package phalanx.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.melody.TuneReader;
import phalanx.performance.Performance;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.song.Tune;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;
import phalanx.theory.Meter;

class ReviewTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final Shape OPEN_C =
      ShapeSearch.find(ShapeQuery.of(TestSongs.chord("C"), Guitar.STEEL, Hand.MEDIUM))
          .fingering(List.of(-1, 3, 2, 0, 1, 0))
          .orElseThrow()
          .shape();
  private static final String[] CHORDS = {"G", "D/F#", "Em7", "Cadd9", "F#m", "Bb", "B7", "Am7"};

  private static Arrangement at(Arrangement a, double tempo) {
    Song song = a.song().withTempo(tempo);
    return new Arrangement(
        song,
        Timeline.of(song),
        a.slots(),
        a.notes(),
        a.gestures(),
        a.damps(),
        a.holds(),
        a.plan());
  }

  private static List<Found> late(Arrangement a) {
    return new LateChanges().in(a, Performance.of(a));
  }

  /** Law: just under the ceiling nothing comes late, just over it something does. */
  @Property(tries = 60)
  void theCeilingIsWhereTheFirstChangeComesLate(
      @ForAll @Size(min = 2, max = 5) List<@IntRange(max = 7) Integer> row) {
    String line = String.join(" | ", row.stream().map(i -> CHORDS[i]).toList());
    Song song = TestSongs.of(line).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Arrangement a = ARRANGER.arrange(song);
    TempoCeiling ceiling = TempoCeiling.of(a);
    double changes =
        Changes.of(a, Performance.of(a)).stream()
            .mapToDouble(c -> c.ticks() * 60_000.0 / (5040 * c.needed()))
            .min()
            .orElse(1000);
    assertThat(ceiling.song().orElse(400.0)).isLessThanOrEqualTo(changes + 1e-9);
    if (changes < 395) {
      assertThat(late(at(a, changes * 0.999))).isEmpty();
      assertThat(late(at(a, changes * 1.001))).isNotEmpty();
    }
  }

  /**
   * One finger comes back after an eighth; 110 ms between (from memory) hold up to 60,000 / 220.
   */
  @Test
  void aFingerThatRepeatsSetsTheCeiling() {
    PatternReader.Result read =
        PatternReader.read("name: x\nmetre: 4/4\ntune | . m | m . | . . | . . |\n");
    Song song = TestSongs.of("C").withTempo(60).withPattern(read.patterns().get(0));
    TempoCeiling ceiling = TempoCeiling.of(ARRANGER.arrange(song));
    assertThat(ceiling.song().orElseThrow()).isCloseTo(60_000.0 / 220, within(1e-6));
    assertThat(ceiling.bar()).contains(1);
  }

  /**
   * The time of a change: 60 ms + 90 ms · log2(1 + d / 10 mm), d the furthest finger’s way, and a
   * little for what the fingers stretch.
   */
  @Test
  void aChangeNeedsTheTimeOfItsFurthestFinger() {
    PatternReader.Result block =
        PatternReader.read("name: x\nmetre: 4/4\nbrush | 6-1 | 6-1 | 6-1 | 6-1 |\n");
    Song song = TestSongs.of("C | G").withPattern(block.patterns().get(0));
    Arrangement a = ARRANGER.arrange(song);
    Changes.Change change = Changes.of(a, Performance.of(a)).get(0);
    double way =
        a
            .plan()
            .problem()
            .changes()
            .moves(a.slots().get(0).shape().orElseThrow(), a.slots().get(1).shape().orElseThrow())
            .stream()
            .mapToDouble(m -> m.millimetres())
            .max()
            .orElseThrow();
    double plain = 60 + 90 * Math.log(1 + way / 10) / Math.log(2);
    assertThat(change.needed()).isBetween(plain / 2 - 1e-6, plain + 12);
  }

  /**
   * From ② to ① at one fret a fingertip goes 7 to 13 mm on any steel-string guitar (common
   * practice, no source): 129 to 168 ms by 60 ms + 90 ms · log2(1 + d / 10 mm).
   */
  @Test
  void aFingerBesideItsShapeHasToBeInTimeToo() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("[2:3 1:3] - - -", Meter.FOUR_FOUR).tune());
    Song song = TestSongs.of("C").withTune(tune).withTempo(60);
    Arrangement slow = ARRANGER.arrange(song.pin(new SlotRef(1, 0), OPEN_C).withTempo(60));
    assertThat(slow.notes())
        .filteredOn(n -> n.part() == Note.Part.TUNE)
        .extracting(n -> n.fretFinger().orElseThrow())
        .containsExactly(Finger.LITTLE, Finger.LITTLE);
    assertThat(Changes.of(slow, Performance.of(slow)))
        .filteredOn(c -> c.note().isPresent())
        .first()
        .satisfies(
            c -> {
              assertThat(c.needed()).isBetween(129.0, 168.0);
              assertThat(c.ticks()).isEqualTo(2520);
            });
    assertThat(late(slow)).isEmpty();
    double ceiling = TempoCeiling.of(slow).song().orElseThrow();
    assertThat(ceiling).isBetween(30_000 / 168.0, 30_000 / 129.0);
    assertThat(late(at(slow, ceiling + 5)))
        .singleElement()
        .satisfies(
            f -> assertThat(f.finding().message()).startsWith("finger 4’s way to fret 3 of ①"));
  }

  @Test
  void whatOfTheTuneCannotBePlayedIsFoundWithItsPlace() {
    Song song = TestSongs.of("C | G").withKey(phalanx.theory.Key.parse("C"));
    Tune tune =
        Tune.NONE
            .with(1, TuneReader.read("c4 e g b7", Meter.FOUR_FOUR).tune())
            .with(2, TuneReader.read("g4 . . .", Meter.FOUR_FOUR).tune());
    Review review = Review.of(ARRANGER.arrange(song.withTune(tune)));
    assertThat(review.findings())
        .filteredOn(f -> f.finding().rule().equals("tune out of reach"))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.bar()).isEqualTo(1);
              assertThat(f.tick()).isEqualTo(15120);
              assertThat(f.finding().message()).contains("B7");
            });
  }

  /** Every way out that is offered takes its finding away. */
  @Test
  void everyRemedyTakesItsFindingAway() {
    Song song = TestSongs.of("C | G | F#m | Bb").withKey(phalanx.theory.Key.parse("C"));
    Tune tune =
        Tune.NONE
            .with(1, TuneReader.read("c4 e g b7", Meter.FOUR_FOUR).tune())
            .with(2, TuneReader.read("b3 d b5 .", Meter.FOUR_FOUR).tune());
    Arrangement a = ARRANGER.arrange(song.withTempo(380).withTune(tune));
    Review review = Review.of(a);
    assertThat(review.findings()).extracting(f -> f.finding().rule()).contains("tune out of reach");
    int offered = 0;
    for (Found found : review.findings()) {
      for (Suggestion remedy : Suggestions.of(new Arranger(), a, found)) {
        Review after = Review.of(new Arranger().arrange(remedy.edit().apply(a.song())));
        assertThat(after.findings())
            .as(remedy.words())
            .noneMatch(
                f -> f.finding().rule().equals(found.finding().rule()) && f.tick() == found.tick());
        assertThat(after.tally()).isEqualTo(remedy.left());
        assertThat(after.tally()).isLessThan(review.tally());
        assertThat(remedy.line(review.tally())).startsWith(remedy.words());
        offered++;
      }
    }
    assertThat(offered).isGreaterThan(2);
  }
}
