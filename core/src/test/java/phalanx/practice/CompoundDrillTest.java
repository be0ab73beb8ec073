package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** One pattern through many shapes, one progression through many patterns. */
class CompoundDrillTest {

  private static final Arranger ARRANGER = new Arranger();

  @Test
  void aRelayGoesThroughEveryShapeOfTheSongWithItsPattern() {
    Arrangement song = ARRANGER.arrange(TestSongs.of("| C | G | Am | F | C | G | Am | F |"));
    CompoundDrill relay = CompoundDrill.of(song).get(0);
    assertThat(relay.title()).isEqualTo("Relay of shapes: C, G, Am, F");
    Drill drill = relay.drill(ARRANGER.arrange(relay.song()));
    assertThat(drill.toBar()).isEqualTo(4);
    Map<String, List<Integer>> held =
        song.slots().stream()
            .collect(
                Collectors.toMap(
                    s -> s.played().harmony().label(), s -> s.held().frets(), (a, b) -> a));
    for (Slot slot : drill.played().slots()) {
      assertThat(slot.held().frets()).isEqualTo(held.get(slot.played().harmony().label()));
      List<Integer> ticks =
          drill.played().notesFrom(slot.played().tick(), slot.endTick()).stream()
              .map(n -> n.tick() - slot.played().tick())
              .distinct()
              .toList();
      assertThat(ticks).as("the same pattern over each").hasSizeGreaterThan(3);
    }
  }

  /** The thumb stays as it was; the fingers strike as often, on other strings. */
  @Test
  void aVariationKeepsTheThumb() {
    Arrangement song = ARRANGER.arrange(TestSongs.of("| C | G | Am | F |"));
    List<CompoundDrill> all = CompoundDrill.of(song);
    CompoundDrill round =
        all.stream().filter(d -> d.title().contains("other way")).findFirst().orElseThrow();
    List<Note> plain = ARRANGER.arrange(all.get(0).song()).notes();
    List<Note> turned = ARRANGER.arrange(round.song()).notes();
    assertThat(turned).isNotEqualTo(plain).hasSameSizeAs(plain);
    assertThat(turned.stream().filter(n -> thumbs(n)).map(n -> n.string() + " " + n.tick()))
        .containsExactlyElementsOf(
            plain.stream().filter(n -> thumbs(n)).map(n -> n.string() + " " + n.tick()).toList());
  }

  private static boolean thumbs(Note note) {
    return note.isPickedBy(PickFinger.P);
  }

  @Test
  void everySongHasItsOwnAndTheirIdsDiffer() {
    for (Map.Entry<String, Song> song : OwnSongs.all().entrySet()) {
      List<Drill> drills =
          CompoundDrill.of(ARRANGER.arrange(song.getValue())).stream()
              .map(c -> c.drill(ARRANGER.arrange(c.song())))
              .toList();
      assertThat(drills).as(song.getKey()).isNotEmpty();
      assertThat(drills.stream().map(Drill::id)).doesNotHaveDuplicates();
      assertThat(drills).allSatisfy(d -> assertThat(d.notes()).isNotEmpty());
      assertThat(drills)
          .allSatisfy(d -> assertThat(d.tempo().start()).isLessThanOrEqualTo(d.tempo().goal()));
    }
  }

  @Test
  void oneChordIsNoRelay() {
    assertThat(CompoundDrill.of(ARRANGER.arrange(TestSongs.of("| C | C |")))).isEmpty();
  }
}
