package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.findings.LateChanges;
import phalanx.findings.Review;
import phalanx.picking.Density;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;

/**
 * A note between the others is the first thing that players leave out when the hand has no time for
 * it (common practice, no source). A song of our own at a tempo that it does not have.
 */
class LeftOutFillersTest {

  private static final String SAID = "left out: the hand has no time for it";

  private static final double QUICK = 140;
  private static final double SLOW = 60;

  private static Song song(double tempo) {
    return MusicFiguresTest.songs().get("Heron").withTempo(tempo);
  }

  private static Arrangement plan(Song song) {
    return new Arranger().arrange(song);
  }

  private static List<Integer> saidIn(Arrangement a) {
    return a.slots().stream()
        .filter(s -> s.remarks().stream().anyMatch(r -> r.contains(SAID)))
        .map(s -> s.played().bar())
        .toList();
  }

  private static Set<Integer> ticks(Arrangement a, Note.Part part) {
    Set<Integer> ticks = new TreeSet<>();
    a.notes().stream().filter(n -> n.part() == part).forEach(n -> ticks.add(n.tick()));
    return ticks;
  }

  @Test
  void aFillerGoesWhereTheHandHasNoTimeAndItIsSaid() {
    Arrangement quick = plan(song(QUICK));
    Arrangement slow = plan(song(SLOW));
    assertThat(saidIn(slow)).isEmpty();
    assertThat(saidIn(quick)).isNotEmpty();
    Set<Integer> gone = ticks(slow, Note.Part.INNER);
    gone.removeAll(ticks(quick, Note.Part.INNER));
    assertThat(gone)
        .isNotEmpty()
        .allMatch(t -> saidIn(quick).contains(quick.timeline().barAt(t).number()));
  }

  /** What is left out is never the tune, nor the bass; and then nothing is late any more. */
  @Test
  void tuneAndBassStay() {
    Arrangement quick = plan(song(QUICK));
    Arrangement slow = plan(song(SLOW));
    assertThat(ticks(quick, Note.Part.TUNE)).isEqualTo(ticks(slow, Note.Part.TUNE));
    assertThat(ticks(quick, Note.Part.BASS)).isEqualTo(ticks(slow, Note.Part.BASS));
    assertThat(Review.of(quick).findings())
        .noneMatch(f -> f.finding().rule().equals(LateChanges.NAME));
  }

  /** Where the player asks for the full pattern nothing is left out. */
  @Test
  void whatThePlayerAsksForStays() {
    Song song = song(QUICK);
    Song full =
        song.withDensities(
            song.picking().densities().with(new Scope.WholeSong(), Optional.of(Density.FULL)));
    assertThat(saidIn(plan(full))).isEmpty();
  }

  /** A limit of its own cost always plans the song, though less is played than its first plan. */
  @Test
  void itsOwnCostAsLimitPlansIt() {
    for (double tempo : new double[] {SLOW, 120, QUICK, 160}) {
      double own = plan(song(tempo)).plan().cost();
      assertThat(new Arranger().attempt(song(tempo), () -> own))
          .isInstanceOfSatisfying(
              Attempt.Planned.class, p -> assertThat(p.arrangement().plan().cost()).isEqualTo(own));
    }
  }
}
