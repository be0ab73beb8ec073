package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Note;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;
import phalanx.findings.Review;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** A section that comes again, played otherwise (common practice, no source: in one thing). */
class VariationsTest {

  private static final List<Fill> FILLS =
      FillReader.read(
              """
              name: Up to the fifth
              about: three steps
              beats: 2
              major: 1 2 3 5
              """)
          .fills();

  static List<Song> songs() {
    return List.of(
        TestSongs.singing(
                TestSongs.of("G | C | D7 | G :|", "C | G"),
                "b4 . d5 .",
                "c5 . g4 .",
                "a4 b c5 a4",
                "g4 . . .")
            .withKey(Key.parse("G"))
            .withPattern(AlternatingThumb.FINGERS_BETWEEN),
        TestSongs.of("Am | F | C | G", "Am | F | C | G", "C | Am")
            .withKey(Key.parse("Am"))
            .withPattern(AlternatingThumb.PINCH_AND_BETWEEN),
        TestSongs.singing(TestSongs.of("D | A | Bm | G", "D | A | Bm | G"), "f#4 . a .", "e4 . . .")
            .withKey(Key.parse("D")));
  }

  private static int again(Song song) {
    return song.sections().stream()
        .mapToInt(s -> s.id())
        .filter(s -> Variations.comesAgain(song, s))
        .findFirst()
        .orElseThrow();
  }

  /** What is struck, by its time in the section. */
  private static Map<Integer, List<Integer>> struck(Variation v, boolean tune) {
    return v.arrangement().notesFrom(v.fromTick(), v.endTick()).stream()
        .filter(n -> !tune || v.arrangement().isOfTune(n))
        .collect(
            Collectors.groupingBy(
                n -> n.tick() - v.fromTick(),
                TreeMap::new,
                Collectors.mapping(Note::midi, Collectors.toList())));
  }

  @ParameterizedTest
  @MethodSource("songs")
  void threeWaysKeepTuneAndBassAndAreNoHarder(Song song) {
    List<Variation> ways = Variations.of(song, again(song), FILLS, () -> false);
    assertThat(ways).hasSize(1 + Variations.OFFERED);
    assertThat(ways).extracting(Variation::kind).doesNotHaveDuplicates();
    Variation before = ways.get(0);
    assertThat(before.kind()).isEqualTo(Variation.Kind.AS_BEFORE);
    for (Variation way : ways.subList(1, ways.size())) {
      assertThat(struck(way, false)).as(way.words()).isNotEqualTo(struck(before, false));
      struck(before, true)
          .forEach(
              (tick, notes) ->
                  assertThat(struck(way, true).get(tick)).as(way.words()).containsAll(notes));
      assertThat(basses(way)).as(way.words()).isEqualTo(basses(before));
      assertThat(Review.of(way.arrangement()).tally().hard())
          .isLessThanOrEqualTo(Review.of(before.arrangement()).tally().hard());
    }
  }

  private static List<Integer> basses(Variation v) {
    return v.arrangement().slotsFrom(v.fromTick(), v.endTick()).stream()
        .filter(s -> !s.played().isPart())
        .map(
            s ->
                v.arrangement().notesFrom(s.fromTick(), s.toTick()).stream()
                    .filter(n -> n.part() == Note.Part.BASS)
                    .findFirst()
                    .map(Note::midi)
                    .orElse(-1))
        .toList();
  }

  /** Before the section nothing changes but the walk that leads into it. */
  @ParameterizedTest
  @MethodSource("songs")
  void theFirstTimeStaysAsItWas(Song song) {
    List<Variation> ways = Variations.of(song, again(song), FILLS, () -> false);
    Variation before = ways.get(0);
    for (Variation way : ways) {
      assertThat(way.fromTick()).isEqualTo(before.fromTick());
      assertThat(way.song().sections().get(0)).isEqualTo(before.song().sections().get(0));
    }
  }

  @Test
  void whatComesOnceIsNotVaried() {
    Song song = TestSongs.of("G | C", "D | Em");
    assertThat(Variations.comesAgain(song, 1000)).isFalse();
    assertThat(Variations.of(song, 1001, FILLS, () -> false)).isEmpty();
  }

  @Test
  void aCancelledSearchEndsAtOnce() {
    Song song = songs().get(0);
    assertThat(Variations.of(song, again(song), FILLS, () -> true)).hasSize(1);
  }
}
