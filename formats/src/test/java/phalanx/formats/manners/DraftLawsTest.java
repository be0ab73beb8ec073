package phalanx.formats.manners;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.formats.fills.FillShelf;
import phalanx.planning.OldTunesTest;
import phalanx.planning.OldTunesTest.Old;
import phalanx.review.MusicFigures;
import phalanx.song.OwnSongs;
import phalanx.song.Song;

/**
 * What holds for every draft of every song, at every level: old tunes in print before 1900 and
 * charts of our own.
 */
class DraftLawsTest {

  /** Drafts that are this far from what was asked for say why. */
  private static final double FAR = 0.5;

  /** In a soak every song is drafted at every level, else at one. */
  private static final boolean SOAK = System.getProperty("phalanx.soak.times") != null;

  private static final List<Double> LEVELS = List.of(1.0, 3.0, 5.0);

  /** A song with its name and the levels it is drafted at. */
  private record Named(String name, Song song, List<Double> levels) {
    @Override
    public String toString() {
      return name;
    }
  }

  /** More tunes in print before 1900, written down from memory, with chords of our own. */
  private static final List<Old> MORE =
      List.of(
          new Old(
              "Frère Jacques",
              "French round, 18th century",
              "4/4",
              "C",
              "C G7 | C | C G7 | C | C F | C | C G7 | C",
              "c4 d e c | c d e c | e f g . | e f g . | [g a] [g f] e c | [g a] [g f] e c"
                  + " | c g3 c4 . | c g3 c4 ."),
          new Old(
              "Good King Wenceslas",
              "Piae Cantiones, 1582",
              "4/4",
              "G",
              "G | G D | C D7 | G | G | G D | C D7 | G",
              "g4 g g a | g g d . | e d e f# | g . g . | g g g a | g g d . | e d e f# | g . g ."),
          new Old(
              "Jingle Bells",
              "James Pierpont, 1857",
              "4/4",
              "G",
              "G | G | G D | G | C | G | A7 | D7",
              "b4 b b . | b b b . | b d5 g4 a | b . . . | c5 c c c | c b4 b b | b a a b | a . d5 ."),
          new Old(
              "Silent Night",
              "Franz Xaver Gruber, 1818",
              "6/8",
              "C",
              "C | C | G7 | C | F | C | F | C",
              "g4 [. a] g e . . | g [. a] g e . . | d5 . d b4 . . | c5 . c g4 . . | a . a c5 [. b4] a"
                  + " | g [. a] g e . . | a . a c5 [. b4] a | g [. a] g e . ."),
          new Old(
              "Aura Lee",
              "George R. Poulton, 1861",
              "4/4",
              "G",
              "G | A7 | D7 | G | G | A7 | D7 | G",
              "d4 g f# g | a e a . | g f# e f# | g . . . | d g f# g | a e a . | g f# e f# | g . . ."),
          new Old(
              "Minuet in G",
              "Christian Petzold, in the notebook of 1725",
              "3/4",
              "G",
              "G | G | C | G | C | G | D7 | D7",
              "d5 [g4 a] [b c5] | d5 g4 g | e5 [c d] [e f#] | g5 g4 g | c5 [d c] [b4 a]"
                  + " | b4 [c5 b4] [a g] | f#4 [g a] [b g] | a4 . ."));

  static Stream<Named> songs() {
    List<Named> songs = new ArrayList<>();
    Stream.concat(OldTunesTest.tunes().stream(), MORE.stream())
        .forEach(t -> songs.add(named(t.name(), OldTunesTest.song(t), songs.size())));
    OwnSongs.all().forEach((name, song) -> songs.add(named(name, song, songs.size())));
    return songs.stream();
  }

  private static Named named(String name, Song song, int place) {
    return new Named(name, song, SOAK ? LEVELS : List.of(LEVELS.get(place % LEVELS.size())));
  }

  private static List<Draft> drafts(Song song, double level) {
    Drafts.Wish wish =
        new Drafts.Wish(OptionalDouble.of(level), MannerShelf.all(), FillShelf.all(), 3);
    return Drafts.of(song, wish, d -> {}, () -> false);
  }

  @ParameterizedTest
  @MethodSource("songs")
  void everyLevelHasDraftsThatSingTheTuneAndCanBePlayed(Named named) {
    double before = 0;
    for (double level : named.levels()) {
      List<Draft> drafts = drafts(named.song(), level);
      assertThat(drafts).isNotEmpty();
      for (Draft draft : drafts) {
        String what = named + " at " + level + ": " + draft.manner().name();
        assertThat(draft.tally().cannot()).as(what).isZero();
        boolean far = Math.abs(draft.level().level() - level) > FAR;
        assertThat(draft.reason().isPresent()).as(what).isEqualTo(far);
        assertThat(sung(draft.arrangement()))
            .as(what)
            .isGreaterThanOrEqualTo(written(named.song(), draft));
        assertThat(draft.sections()).hasSameSizeAs(draft.song().sections());
        MusicFigures.Share basses = MusicFigures.of(draft.arrangement()).basses();
        assertThat(basses.percent()).as(what + ": basses").isGreaterThanOrEqualTo(90);
      }
      double best = drafts.get(0).level().level();
      assertThat(best).as(named + " at " + level).isGreaterThanOrEqualTo(before);
      before = best;
      differ(drafts);
    }
  }

  /** Three drafts are no three of the same kind: a third of their strokes is another’s. */
  private static void differ(List<Draft> drafts) {
    for (int i = 0; i < drafts.size(); i++) {
      for (int j = 0; j < i; j++) {
        Set<List<Integer>> one = struck(drafts.get(i));
        Set<List<Integer>> other = struck(drafts.get(j));
        Set<List<Integer>> all = new HashSet<>(one);
        all.addAll(other);
        one.retainAll(other);
        assertThat(1 - (double) one.size() / all.size())
            .as(drafts.get(i).manner().name() + " and " + drafts.get(j).manner().name())
            .isGreaterThan(1.0 / 3 - 0.05);
      }
    }
  }

  private static Set<List<Integer>> struck(Draft draft) {
    Set<List<Integer>> struck = new HashSet<>();
    draft.arrangement().notes().forEach(n -> struck.add(List.of(n.tick(), n.string(), n.fret())));
    return struck;
  }

  private static long sung(Arrangement a) {
    return a.notes().stream()
        .filter(a::isOfTune)
        .filter(n -> !a.isGrace(n))
        .map(n -> List.of(n.tick(), n.midi()))
        .distinct()
        .count();
  }

  /** How many notes the tune has as it is played, by the song’s own plan of its bars. */
  private static long written(Song song, Draft draft) {
    return draft.arrangement().timeline().bars().stream()
        .flatMap(b -> song.tune().at(b.written(), song.chart()).notes().stream())
        .mapToLong(n -> n.wants().size())
        .sum();
  }
}
