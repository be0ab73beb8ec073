package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.findings.Review;
import phalanx.fretting.Shape;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;

/** The first picture of a song: the shapes alone, the tune as far as they have it. */
class PreliminaryPlanTest {

  private static final Song SONG =
      TestSongs.singing(
          TestSongs.of("| C | Am | F | G |"), "e4 g c5 g", "a4 e c5 b", "a4 f c5 a", "g4 b d5 g");

  private static Arrangement preliminary(Song song) {
    return new Arranger().preliminary(song, () -> false);
  }

  private static List<Shape> shapes(Arrangement a) {
    return a.slots().stream().map(Slot::shape).map(s -> s.orElse(Shape.NOTHING)).toList();
  }

  @Test
  void itHasTheShapesOfTheSongWithoutItsTune() {
    Arrangement a = preliminary(SONG);
    assertThat(a.song()).isEqualTo(SONG);
    assertThat(shapes(a)).isEqualTo(shapes(preliminary(SONG.withTune(Tune.NONE))));
    assertThat(a.slots()).allMatch(s -> s.shape().isPresent());
  }

  /** Every note that the plan has is the tune's own, in its place and at its pitch. */
  @Test
  void theTuneIsStruckWhereTheShapesHaveIt() {
    Arrangement a = preliminary(SONG);
    List<Note> sung = a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).toList();
    assertThat(sung).hasSizeGreaterThan(8);
    List<List<Integer>> written =
        new Arranger()
            .arrange(SONG).slots().stream()
                .flatMap(s -> s.tune().stream())
                .map(n -> List.of(n.tick(), n.midi()))
                .toList();
    assertThat(written)
        .containsAll(
            sung.stream()
                .map(n -> List.of(n.tick(), SONG.guitar().shapeMidi(n.string(), n.fret())))
                .toList());
  }

  @Test
  void thePlanThatFollowsIsTheSameAsWithoutIt() {
    Arranger arranger = new Arranger();
    Arrangement first = arranger.preliminary(SONG, () -> false);
    Arrangement then = arranger.arrange(SONG);
    Arrangement alone = new Arranger().arrange(SONG);
    assertThat(then.notes()).isEqualTo(alone.notes());
    assertThat(shapes(then)).isEqualTo(shapes(alone));
    assertThat(Review.of(then).tally().hard()).isLessThanOrEqualTo(Review.of(first).tally().hard());
  }

  @Test
  void itIsGivenUpWhereNobodyWaitsForIt() {
    assertThatThrownBy(() -> new Arranger().preliminary(SONG, () -> true))
        .isInstanceOf(CancellationException.class);
  }
}
