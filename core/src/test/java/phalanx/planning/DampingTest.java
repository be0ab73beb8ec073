package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.fretting.FretRow;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.performance.Performance;
import phalanx.picking.PatternReader;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Who stops a string at a change of chord (common practice, no source). */
class DampingTest {

  private static final int BAR = 4 * 5040;

  private static Arrangement over(List<Integer> frets, String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    Song song = TestSongs.of("| Em | C |").withPattern(read.patterns().get(0));
    return new Arranger().arrange(song.pin(new SlotRef(2, 0), new FretRow(frets)));
  }

  private static Optional<Damp> sixth(Arrangement a) {
    return Damping.in(a).when(a.slots().get(1), 0);
  }

  @Test
  void aThumbThatRestsIsLaidOnTheString() {
    Arrangement a = over(List.of(-1, 3, 2, 0, 1, 0), "thumb | . | o | . | o |\n");
    assertThat(sixth(a))
        .hasValueSatisfying(
            d -> {
              assertThat(d.by().word()).isEqualTo("p");
              assertThat(d.tick()).isEqualTo(BAR);
            });
  }

  @Test
  void whileTheThumbPlucksTheFingerBesideLeansOnIt() {
    Arrangement a = over(List.of(-1, 3, 2, 0, 1, 0), "thumb | o | o | o | o |\n");
    assertThat(sixth(a)).hasValueSatisfying(d -> assertThat(d.by().word()).isEqualTo("3"));
  }

  /** Nothing is pressed beside it: a finger that the shape leaves free does it. */
  @Test
  void elseAFreeFingerDoesIt() {
    Arrangement a = over(List.of(-1, -1, 2, 0, 1, 0), "thumb | o | o | o | o |\n");
    assertThat(sixth(a))
        .hasValueSatisfying(
            d -> {
              assertThat(d.by().word()).isIn("1", "2", "3", "4");
              assertThat(a.slots().get(1).shape().orElseThrow().fingerText())
                  .doesNotContain(d.by().word());
            });
  }

  /** A treble string is stopped by the finger that is at home there, where it is free. */
  @Test
  void theFingerAtHomeIsLaidOnATrebleString() {
    Arrangement free = over(List.of(-1, 3, 2, 0, 1, 0), "thumb | o o | o o | o o | o o |\n");
    assertThat(Damping.in(free).when(free.slots().get(1), 4))
        .hasValueSatisfying(d -> assertThat(d.by().word()).isEqualTo("m"));
    Arrangement busy =
        over(
            List.of(-1, 3, 2, 0, 1, 0),
            "upper | o | o | o | o |\nthumb | o o | o o | o o | o o |\n");
    assertThat(Damping.in(busy).when(busy.slots().get(1), 4))
        .as("the finger strikes there at that moment")
        .isNotEqualTo(Damping.in(free).when(free.slots().get(1), 4));
  }

  /** A thumb that plucks ⑤ comes to rest on ④ behind it. */
  @Test
  void aThumbThatPlucksTheStringBelowComesToRestOnIt() {
    Arrangement a = over(List.of(-1, 3, -1, 0, 1, 0), "thumb | o | o | o | o |\n");
    assertThat(Damping.in(a).when(a.slots().get(1), 2))
        .hasValueSatisfying(d -> assertThat(d.by().word()).isEqualTo("p"));
  }

  /** A string that the chord itself sounds is nobody's to stop while thumb and finger are busy. */
  @Test
  void aMarkThatNobodyCanKeepIsSaid() {
    Song song =
        TestSongs.of("| C | C |")
            .withPattern(
                PatternReader.read(
                        "name: x\nmetre: 4/4\nmiddle | o o o o o o o o | o | o | o |\n"
                            + "thumb | o o o o o o o o | o | o | o |\n")
                    .patterns()
                    .get(0))
            .withTempo(200);
    SlotRef second = new SlotRef(2, 0);
    Shape c =
        ShapeTrial.of(List.of(-1, 3, 2, 0, 1, 0), new Reach(song.guitar(), song.hand()))
            .fingerings()
            .get(0)
            .shape();
    Song held = song.pin(second, c);
    Arrangement a = new Arranger().arrange(held.withPins(held.pins().damping(second, 3, true)));
    assertThat(a.damps()).isEmpty();
    assertThat(a.slots().get(1).remarks()).anyMatch(r -> r.startsWith("③ is to be stopped here"));
  }

  private static Arrangement allStopped(String rows, double tempo) {
    Song song =
        TestSongs.of("| Em | C |")
            .withPattern(PatternReader.read("name: x\nmetre: 4/4\n" + rows).patterns().get(0))
            .withTempo(tempo);
    SlotRef second = new SlotRef(2, 0);
    for (int string = 0; string < 6; string++) {
      song = song.withPins(song.pins().damping(second, string, true));
    }
    return new Arranger().arrange(song);
  }

  /** All strings at once are the heel's: on the chord where the hand rests, else just before. */
  @Test
  void theHeelStopsAllStrings() {
    Arrangement resting = allStopped("thumb | o | o | o | . |\nupper | . | o | . | . |\n", 80);
    assertThat(resting.damps())
        .singleElement()
        .satisfies(
            d -> {
              assertThat(d.by().word()).isEqualTo("heel");
              assertThat(d.strings()).containsExactly(0, 1, 2, 3, 4, 5);
              assertThat(d.tick()).isEqualTo(BAR - 5040);
            });
    Arrangement free = allStopped("thumb | . | o | o | . |\nupper | . | o | . | . |\n", 80);
    assertThat(free.damps()).singleElement().satisfies(d -> assertThat(d.tick()).isEqualTo(BAR));
    Performance heard = Performance.of(resting);
    assertThat(heard.notes())
        .filteredOn(n -> n.note().tick() < BAR - 5040)
        .allMatch(n -> n.end() <= heard.clock().seconds(BAR - 5040, 0) + 1e-9);
  }

  @Test
  void withoutTimeForTheHeelEachStringIsSaid() {
    String busy = "o o o o o o o o";
    Arrangement a =
        allStopped("thumb | " + String.join(" | ", busy, busy, busy, busy) + " |\n", 240);
    assertThat(a.damps()).noneMatch(d -> d.by().word().equals("heel"));
    assertThat(a.slots().get(1).remarks()).anyMatch(r -> r.contains("is to be stopped here"));
  }
}
