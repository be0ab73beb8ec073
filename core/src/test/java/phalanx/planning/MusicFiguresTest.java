package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.findings.Grade;
import phalanx.findings.Review;
import phalanx.findings.UnheardTones;
import phalanx.instrument.UsualTuning;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PickingStyle;
import phalanx.review.MusicFigures;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/**
 * What a listener hears of thirteen tunes printed before 1900 and twenty-two songs of our own
 * (docs/music.md has the figures, before and after). What is wanted: common practice, no source.
 */
class MusicFiguresTest {

  private static final double THIRDS = 97;
  private static final double SEVENTHS = 93;
  private static final double BASSES = 99;
  private static final double LEAPS = 2;
  private static final int REPEATS = 8;

  /** All songs by name. */
  static Map<String, Song> songs() {
    Map<String, Song> all = new LinkedHashMap<>(OwnSongs.all());
    HeardChordsTest.tunes().forEach(t -> all.put(t.name(), OldTunesTest.song(t)));
    all.putAll(MoreOwnSongs.all());
    return all;
  }

  @Test
  void chordsAreHeardWithTheirOwnBass() {
    MusicFigures all = MusicFigures.NONE;
    for (Song song : songs().values()) {
      all = all.and(MusicFigures.of(new Arranger().arrange(song)));
    }
    System.out.printf(
        "%d chords: third %.1f %%, seventh %.1f %%, bass %.1f %%, leaps %.1f %%, one string %d%n",
        all.thirds().of(),
        all.thirds().percent(),
        all.sevenths().percent(),
        all.basses().percent(),
        all.leaps().percent(),
        all.repeats());
    assertThat(all.thirds().percent()).isGreaterThan(THIRDS);
    assertThat(all.sevenths().percent()).isGreaterThan(SEVENTHS);
    assertThat(all.basses().percent()).isGreaterThan(BASSES);
    assertThat(all.leaps().percent()).isLessThan(LEAPS);
    assertThat(all.repeats()).isLessThan(REPEATS);
  }

  /** E7 over a steady bass with fingers on ③ and ② has its seventh there. */
  @Test
  void theSeventhIsWhereItIsStruck() {
    Arrangement a = new Arranger().arrange(MoreOwnSongs.all().get("Tin Roof"));
    assertThat(a.slots().stream().filter(s -> s.played().harmony().label().equals("E7")))
        .isNotEmpty()
        .allSatisfy(
            s -> assertThat(s.held().frets().subList(1, 6)).isEqualTo(List.of(2, 0, 1, 3, 0)));
  }

  /** Four chords in a bar under a pattern with two basses: each comes with its own. */
  @Test
  void everyChordInABarComesWithItsBass() {
    Arrangement a = new Arranger().arrange(MoreOwnSongs.all().get("Half Light"));
    MusicFigures figures = MusicFigures.of(a);
    assertThat(figures.basses().percent()).isEqualTo(100);
    for (Slot slot : a.slots()) {
      Optional<Note> first =
          a.notesFrom(slot.fromTick(), slot.toTick()).stream()
              .filter(n -> n.pick().isPresent())
              .findFirst();
      assertThat(first.orElseThrow().part()).isEqualTo(Note.Part.BASS);
    }
  }

  /** Two bars of one chord in three: root, then fifth. */
  @Test
  void twoBarsInThreeGoRootFifth() {
    Arrangement a =
        new Arranger()
            .arrange(
                OldTunesTest.song(
                        new OldTunesTest.Old(
                            "x", "our own", "3/4", "G", "Am | Am | G | G | C", ".|.|.|.|."))
                    .withPattern(MoreOwnSongs.waltz()));
    List<Integer> basses =
        a.notes().stream().filter(n -> n.part() == Note.Part.BASS).map(n -> n.midi() % 12).toList();
    assertThat(basses.subList(0, 2)).containsExactly(9, 4);
    assertThat(basses.subList(2, 4)).containsExactly(7, 2);
  }

  private static List<List<Integer>> basses(Arrangement a) {
    return a.timeline().bars().stream()
        .map(
            b ->
                a.notesFrom(b.startTick(), b.endTick()).stream()
                    .filter(n -> n.part() == Note.Part.BASS)
                    .map(n -> n.midi() % 12)
                    .toList())
        .toList();
  }

  private static Arrangement inThree(PickingStyle pattern) {
    String rests = ".|.|.|.";
    OldTunesTest.Old dm = new OldTunesTest.Old("x", "our own", "3/4", "C", "Dm|Dm|Dm|Dm", rests);
    return new Arranger().arrange(OldTunesTest.song(dm).withPattern(pattern));
  }

  /**
   * A chord that lasts: a waltz of one bass a bar goes root, fifth and ends on the root; where a
   * bar has its own root and fifth each bar begins with the root. None of it is a fault (common
   * practice, no source).
   */
  @Test
  void aChordThatLastsIsHeardWithItsRootAndItsFifth() {
    Arrangement waltz = inThree(MoreOwnSongs.waltz());
    assertThat(basses(waltz)).containsExactly(List.of(2), List.of(9), List.of(2), List.of(2));
    Arrangement full = inThree(AlternatingThumb.FINGERS_BETWEEN);
    assertThat(basses(full)).containsOnly(List.of(2, 9, 2)).hasSize(4);
    for (Arrangement a : List.of(waltz, full)) {
      assertThat(Review.of(a).findings()).noneMatch(f -> f.finding().grade().isHard());
    }
  }

  /** From fret 5 up an open root is better than a fretted one. */
  @Test
  void anOpenBassLiesUnderAHighShape() {
    Song song = TestSongs.singing(TestSongs.of("D | D").withTempo(70), "a5 . . .", "a5 . . .");
    Song drop = song.withGuitar(song.guitar().withTuning(UsualTuning.DROP_D.tuning()));
    for (Song one : List.of(song, drop)) {
      Arrangement a = new Arranger().arrange(one);
      Note bass =
          a.notes().stream().filter(n -> n.part() == Note.Part.BASS).findFirst().orElseThrow();
      assertThat(bass.fret()).as("%s", a.slots().get(0).held()).isZero();
    }
  }

  /** A chord whose seventh no stroke can bring says so, quietly. */
  @Test
  void whatIsNotHeardIsSaid() {
    Arrangement a = new Arranger().arrange(MoreOwnSongs.all().get("Half Light"));
    List<String> said =
        Review.of(a).findings().stream()
            .filter(f -> f.finding().rule().equals(UnheardTones.NAME))
            .peek(f -> assertThat(f.finding().grade()).isEqualTo(Grade.NOTE))
            .map(f -> f.finding().message())
            .toList();
    assertThat(said).contains("D7 is heard without its seventh");
  }
}
