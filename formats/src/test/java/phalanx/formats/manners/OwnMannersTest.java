package phalanx.formats.manners;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.Manner;
import phalanx.draft.MannerWriter;
import phalanx.draft.Manners;
import phalanx.draft.SongManner;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Manners that players keep: from a song to the disk, and into other songs. */
class OwnMannersTest {

  private static final Song MINE =
      TestSongs.singing(TestSongs.of("G | C | G | D", "Em | C | G | D"), "b4 . . .", "c5 . . .")
          .withTitle("Mine")
          .withPattern(AlternatingThumb.PINCH_AND_BETWEEN)
          .withThumb(ThumbRoute.WALKING)
          .withTempo(100);

  @TempDir Path folder;

  static List<Manner> shelf() {
    return MannerShelf.all();
  }

  /** Every manner that ships is written and read back as it was. */
  @ParameterizedTest
  @MethodSource("shelf")
  void whatIsWrittenIsReadBack(Manner manner) {
    Manners.Result read = Manners.read(MannerWriter.write(manner));
    assertThat(read.problems()).isEmpty();
    assertThat(read.manners()).containsExactly(manner);
  }

  @Test
  void aMannerOfASongIsKeptReplacedAndArrangesAnother() throws Exception {
    Manner mine = SongManner.of(MINE, "Mine");
    OwnManners.save(folder, mine);
    OwnManners.save(folder, SongManner.of(MINE.withThumb(ThumbRoute.STEADY), "Other"));
    OwnManners.save(folder, mine);
    OwnManners kept = OwnManners.read(folder);
    assertThat(kept.problems()).isEmpty();
    assertThat(kept.manners()).extracting(Manner::name).containsExactly("Other", "Mine");
    Song another = TestSongs.of("Am | Dm | E7 | Am").withTempo(92);
    Drafts.Wish wish =
        new Drafts.Wish(OptionalDouble.empty(), List.of(kept.manners().get(1)), List.of(), 1);
    Draft draft = Drafts.of(another, wish, d -> {}, () -> false).get(0);
    assertThat(draft.song().thumb()).isEqualTo(ThumbRoute.WALKING);
    assertThat(draft.song().pattern().in(another.meter()).steps())
        .isEqualTo(MINE.pattern().in(MINE.meter()).steps());
    OwnManners.remove(folder, "Other");
    assertThat(OwnManners.read(folder).manners()).extracting(Manner::name).containsExactly("Mine");
  }

  @Test
  void aFaultyFileIsSaidAndTheOthersAreRead() throws Exception {
    OwnManners.save(folder, SongManner.of(MINE, "Mine"));
    Files.writeString(folder.resolve("hand.manners"), "manner: Bad\nthumb: sideways\n");
    OwnManners read = OwnManners.read(folder);
    assertThat(read.manners()).extracting(Manner::name).containsExactly("Mine");
    assertThat(read.problems()).hasSize(1);
    assertThat(read.problems().get(0).toString()).startsWith("hand.manners:1:");
  }

  /** What a song has of its own is what its manner does. */
  @Test
  void theMannerHasWhatTheSongHas() {
    int second = MINE.sections().get(1).id();
    Song song =
        MINE.withDensities(
            MINE.picking()
                .densities()
                .with(new Scope.OfSection(second), Optional.of(Density.TUNE)));
    Manner manner = SongManner.of(song, "Mine");
    assertThat(manner.least()).isEqualTo(Density.TUNE);
    assertThat(manner.most()).isEqualTo(Density.FULL);
    assertThat(manner.repeats()).containsExactly(Manner.Repeat.DENSITY);
    assertThat(manner.suits(song)).isTrue();
  }

  /** A verse from one draft and a chorus from another. */
  @Test
  void sectionsOfTwoDraftsAreMixed() {
    Drafts.Wish wish = Drafts.Wish.of(MannerShelf.all());
    List<Draft> drafts = Drafts.of(MINE, wish, d -> {}, () -> false);
    int first = MINE.sections().get(0).id();
    int second = MINE.sections().get(1).id();
    Song mixed = drafts.get(0).sectionInto(MINE, first).orElseThrow();
    mixed = drafts.get(1).sectionInto(mixed, second).orElseThrow();
    assertThat(mixed.patterns().atSection(first, mixed.chart()))
        .isEqualTo(drafts.get(0).song().patterns().atSection(first, mixed.chart()));
    assertThat(mixed.patterns().atSection(second, mixed.chart()))
        .isEqualTo(drafts.get(1).song().patterns().atSection(second, mixed.chart()));
    assertThat(mixed.pattern()).isEqualTo(MINE.pattern());
    assertThat(drafts.get(0).sectionInto(MINE, 99)).isEmpty();
  }
}
