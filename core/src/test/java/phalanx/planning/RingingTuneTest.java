package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.findings.Review;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Neighbouring notes of a tune on different strings, so that they ring (common practice). */
class RingingTuneTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Song scale() {
    Song song =
        TestSongs.of("G | C | D | G").withPattern(AlternatingThumb.THUMB_ALONE).withTempo(60);
    return TestSongs.singing(song, "g3 a b c4", "e4 d c b3", "a3 b c#4 d", "g4 f# d b3");
  }

  private static Song ringing(Song song) {
    return song.withTune(song.tune().withRinging(Set.of(song.sections().get(0).id())));
  }

  private static List<Note> tune(Arrangement a) {
    return a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).toList();
  }

  private static int neighboursOnOneString(Arrangement a) {
    List<Note> tune = tune(a);
    int same = 0;
    for (int i = 1; i < tune.size(); i++) {
      same += tune.get(i).string() == tune.get(i - 1).string() ? 1 : 0;
    }
    return same;
  }

  @Test
  void neighboursLieOnDifferentStrings() {
    Arrangement plain = ARRANGER.arrange(scale());
    Arrangement rings = ARRANGER.arrange(ringing(scale()));
    assertThat(neighboursOnOneString(rings)).isLessThan(neighboursOnOneString(plain));
    assertThat(tune(rings))
        .extracting(Note::midi)
        .isEqualTo(tune(plain).stream().map(Note::midi).toList());
    assertThat(Review.of(rings).tally().hard()).isZero();
  }

  /** An open string of the tune sounds on under the notes that follow it. */
  @Test
  void anOpenStringRingsOnIntoTheNextNotes() {
    Song song =
        TestSongs.singing(
            TestSongs.of("G | G").withPattern(AlternatingThumb.THUMB_ALONE).withTempo(60),
            "b3@2 e4 g4 .",
            "g4 . . .");
    Note plain = tune(ARRANGER.arrange(song)).get(0);
    Note rings = tune(ARRANGER.arrange(ringing(song))).get(0);
    assertThat(plain.string()).isEqualTo(rings.string()).isEqualTo(4);
    assertThat(rings.lengthTicks()).isGreaterThanOrEqualTo(3 * 5040);
    assertThat(rings.lengthTicks()).isGreaterThanOrEqualTo(plain.lengthTicks());
  }

  /** Only the section rings that is to. */
  @Test
  void otherSectionsStayAsTheyAre() {
    Song song = TestSongs.of("G | C", "G | C").withPattern(AlternatingThumb.THUMB_ALONE);
    Song sung = TestSongs.singing(song, "g3 a b c4", "e4 d c b3", "g3 a b c4", "e4 d c b3");
    Song rings = sung.withTune(sung.tune().withRinging(Set.of(sung.sections().get(1).id())));
    List<Note> plain = tune(ARRANGER.arrange(sung));
    List<Note> other = tune(ARRANGER.arrange(rings));
    assertThat(other.subList(0, 7))
        .extracting(Note::string)
        .isEqualTo(plain.subList(0, 7).stream().map(Note::string).toList());
  }
}
