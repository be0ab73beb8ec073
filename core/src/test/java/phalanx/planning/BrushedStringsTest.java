package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.findings.BusyFingers;
import phalanx.findings.Review;
import phalanx.fretting.FretRow;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A brush passes neighbouring strings: it cannot leave out the one in the middle. */
class BrushedStringsTest {

  @Test
  void aBrushGoesRoundTheTuneAndNotOverIt() {
    String pattern = "name: x\nmetre: 4/4\nbrush | . | 5-1 | . | 5-1 |\nthumb | o | . | o | . |\n";
    for (String tune : List.of("g3 . . .", "a3 . . .", "c4 . . .", "e4 . . .", "b3 . . .")) {
      Song song =
          TestSongs.singing(TestSongs.of("| C | Am |"), tune, tune)
              .withPattern(PatternReader.read(pattern).patterns().get(0));
      Arrangement a = new Arranger().arrange(song);
      TreeMap<Integer, List<Integer>> brushed = new TreeMap<>();
      a.notes().stream()
          .filter(Note::isBrushed)
          .forEach(n -> brushed.computeIfAbsent(n.tick(), t -> new ArrayList<>()).add(n.string()));
      assertThat(brushed).as(tune).isNotEmpty();
      brushed.forEach(
          (tick, strings) -> {
            List<Integer> sorted = strings.stream().sorted().toList();
            for (int s = 1; s < sorted.size(); s++) {
              for (int between = sorted.get(s - 1) + 1; between < sorted.get(s); between++) {
                int string = between;
                assertThat(
                        a.notes().stream()
                            .filter(n -> n.string() == string)
                            .noneMatch(n -> n.tick() < tick && n.tick() + n.lengthTicks() > tick))
                    .as("%s: %s at %d passes ringing %d", tune, sorted, tick, string)
                    .isTrue();
              }
            }
          });
    }
  }

  private static Arrangement sung(String brushes, double tempo) {
    return sung(brushes, tempo, "e4 g e g", "e4 a4 e4 c5");
  }

  private static Arrangement sung(String brushes, double tempo, String... tune) {
    return new Arranger().arrange(song(brushes, tempo, tune));
  }

  private static Song song(String brushes, double tempo, String... tune) {
    String pattern = "name: x\nmetre: 4/4\nbrush | " + brushes + " |\nthumb | o | . | o | . |\n";
    return TestSongs.singing(TestSongs.of("| C | Am |"), tune)
        .withPattern(PatternReader.read(pattern).patterns().get(0))
        .withTempo(tempo);
  }

  private static List<Note> tune(Arrangement a) {
    return a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).toList();
  }

  /**
   * Nails leave no finger for the tune: they strike it on their way, last towards the treble and
   * first away from it (common practice, no source).
   */
  @Test
  void nailsStrikeTheTuneOnTheirWay() {
    Arrangement a = sung(". | 5-1n | . | 1-4n", 90);
    assertThat(tune(a)).hasSize(8);
    for (int beat : new int[] {1, 3}) {
      int tick = beat * 5040;
      Note top = tune(a).stream().filter(n -> n.tick() == tick).findFirst().orElseThrow();
      List<Note> others =
          a.notesFrom(tick, tick + 1).stream().filter(n -> n.isBrushed() && n != top).toList();
      assertThat(others).isNotEmpty().allMatch(n -> n.string() < top.string());
      assertThat(top.isBrushed()).isTrue();
      assertThat(top.isPickedBy(PickFinger.I)).isTrue();
      assertThat(others)
          .allMatch(n -> beat == 1 ? n.delayTicks() < top.delayTicks() : n.delayTicks() > 0);
    }
    assertThat(Review.of(a).findings()).noneMatch(f -> f.finding().rule().equals(BusyFingers.NAME));
  }

  /** A string that a finger of the shape keeps quiet is crossed on the way to the tune. */
  @Test
  void nailsCrossAMutedStringOnTheirWayToTheTune() {
    Song song = song(". | 5-1n | . | 1-5n", 90, "e4 g e g", "e4 e e e");
    FretRow muted = new FretRow(List.of(-1, 0, 2, 2, -1, 0));
    Arrangement a = new Arranger().arrange(song.pin(new SlotRef(2, 0), muted));
    assertThat(tune(a)).hasSize(8);
    for (int beat : new int[] {5, 7}) {
      List<Note> brushed =
          a.notesFrom(beat * 5040, beat * 5040 + 1).stream().filter(Note::isBrushed).toList();
      assertThat(brushed).extracting(Note::string).containsExactlyInAnyOrder(1, 2, 3, 5);
      assertThat(brushed).anyMatch(n -> n.string() == 5 && n.part() == Note.Part.TUNE);
    }
    assertThat(Review.of(a).findings()).noneMatch(f -> f.finding().rule().equals(BusyFingers.NAME));
  }

  /** What nails struck on their way is there to be slurred from. */
  @Test
  void aNoteUnderTheNailsMayBeSlurredFrom() {
    Arrangement a = sung(". | 5-1n | . | .", 90, "c4 e ^f4 .", "e4 . . .");
    assertThat(tune(a)).extracting(Note::midi).startsWith(60, 64, 65);
    assertThat(tune(a).get(1).isBrushed()).isTrue();
    assertThat(tune(a).get(2).attack()).isEqualTo(Attack.HAMMERED);
  }

  /** A finger that has just plucked is not in a brush: that is left out, the tune never is. */
  @Test
  void theTuneIsPluckedWhereABrushIsLeftOut() {
    Arrangement a = sung(". | . | 5-1n | .", 160, "c4 [e4 f e f] e4 .", "e4 . . .");
    assertThat(Review.of(a).findings()).anyMatch(f -> f.finding().rule().equals(BusyFingers.NAME));
    Note third = tune(a).stream().filter(n -> n.tick() == 2 * 5040).findFirst().orElseThrow();
    assertThat(third.isBrushed()).isFalse();
    assertThat(third.pick()).isPresent();
  }
}
