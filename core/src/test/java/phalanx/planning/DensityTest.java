package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Density;
import phalanx.song.Densities;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/** How much is played beside the tune, said by the player and by itself. */
class DensityTest {

  private static final int BAR = 4 * Ticks.PER_QUARTER;

  /** A bar of a held tune, one of eighths, one of quarters, one of rest. */
  private static final Song SONG =
      TestSongs.singing(
              TestSongs.of("| C | C | C | C |"),
              "e4 . . .",
              "e4 f g f e d c d",
              "e4 g e c",
              "- - - -")
          .withPattern(AlternatingThumb.FINGERS_BETWEEN);

  private static Arrangement plan(Optional<Density> density, Scope scope) {
    return new Arranger()
        .arrange(SONG.withDensities(SONG.picking().densities().with(scope, density)));
  }

  private static List<Note> of(Arrangement a, int bar, Note.Part part) {
    return a.notesFrom(bar * BAR, (bar + 1) * BAR).stream().filter(n -> n.part() == part).toList();
  }

  @Test
  void byItselfInnerNotesGiveWayToAQuickTune() {
    Arrangement a = plan(Optional.empty(), new Scope.WholeSong());
    assertThat(of(a, 0, Note.Part.INNER)).isNotEmpty();
    assertThat(of(a, 1, Note.Part.INNER)).isEmpty();
    assertThat(of(a, 1, Note.Part.TUNE)).hasSize(8);
    assertThat(of(a, 1, Note.Part.BASS)).hasSize(4);
    assertThat(of(a, 2, Note.Part.INNER)).isNotEmpty();
    assertThat(of(a, 3, Note.Part.INNER)).isNotEmpty();
  }

  @Test
  void thePlayersWordCounts() {
    Arrangement full = plan(Optional.of(Density.FULL), new Scope.WholeSong());
    Arrangement held = plan(Optional.of(Density.HELD), new Scope.WholeSong());
    Arrangement tune = plan(Optional.of(Density.TUNE), new Scope.WholeSong());
    Arrangement thumb = plan(Optional.of(Density.THUMB), new Scope.WholeSong());
    assertThat(of(held, 0, Note.Part.INNER)).isNotEmpty();
    assertThat(of(held, 1, Note.Part.INNER)).isEmpty();
    for (int bar = 0; bar < 4; bar++) {
      assertThat(of(full, bar, Note.Part.INNER).size())
          .isGreaterThanOrEqualTo(of(held, bar, Note.Part.INNER).size());
      assertThat(of(tune, bar, Note.Part.INNER)).isEmpty();
      // In the bar of rest the top of the pattern is no tune.
      if (bar < 3) {
        assertThat(of(tune, bar, Note.Part.TUNE)).hasSameSizeAs(of(full, bar, Note.Part.TUNE));
      }
      assertThat(of(thumb, bar, Note.Part.INNER)).isEmpty();
      assertThat(of(thumb, bar, Note.Part.TUNE)).isEmpty();
      assertThat(of(thumb, bar, Note.Part.BASS))
          .hasSizeGreaterThanOrEqualTo(of(full, bar, Note.Part.BASS).size());
    }
  }

  @Test
  void aBarHasItsOwn() {
    Arrangement a = plan(Optional.of(Density.TUNE), new Scope.OfBar(1));
    assertThat(of(a, 0, Note.Part.INNER)).isEmpty();
    assertThat(of(a, 2, Note.Part.INNER)).isNotEmpty();
    Densities said = a.song().picking().densities();
    assertThat(said.own(new Scope.OfBar(1))).contains(Density.TUNE);
    assertThat(said.with(new Scope.OfBar(1), Optional.empty())).isEqualTo(Densities.NONE);
  }

  /** A pick-up is the tune alone, unless the player says otherwise. */
  @Test
  void aPickUpIsTheTuneAlone() {
    Song led =
        TestSongs.singing(TestSongs.of("| C | C |"), "g4 a", "e4 . g .")
            .withPattern(AlternatingThumb.FINGERS_BETWEEN);
    led = led.withFeel(led.feel().withPickup(2 * Ticks.PER_QUARTER));
    Arrangement a = new Arranger().arrange(led);
    assertThat(a.notesFrom(0, 2 * Ticks.PER_QUARTER)).allMatch(n -> n.part() == Note.Part.TUNE);
    Song full =
        led.withDensities(
            led.picking().densities().with(new Scope.OfBar(1), Optional.of(Density.FULL)));
    assertThat(new Arranger().arrange(full).notesFrom(0, 2 * Ticks.PER_QUARTER))
        .anyMatch(n -> n.part() == Note.Part.BASS);
  }
}
