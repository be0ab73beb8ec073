package phalanx.formats.fills;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.advice.FittedFill;
import phalanx.arrangement.laying.Arranger;
import phalanx.colour.Fill;
import phalanx.colour.FillReader;
import phalanx.melody.Want;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;

class FillShelfTest {

  private static final Arranger ARRANGER = new Arranger();

  /**
   * Degrees of the major and the minor pentatonic with the fourth, the second and the blue third.
   */
  private static final Set<Integer> MAJOR = Set.of(0, 2, 4, 5, 7, 9);

  private static final Set<Integer> BLUESY = Set.of(0, 2, 3, 4, 5, 7, 10);

  @Test
  void thirtyFillsOrMoreInBothColours() {
    assertThat(FillShelf.all()).hasSizeGreaterThanOrEqualTo(30);
    assertThat(FillShelf.all()).extracting(Fill::name).doesNotHaveDuplicates();
    assertThat(FillShelf.all()).extracting(Fill::beats).contains(1, 2, 4, 8);
    for (Fill fill : FillShelf.all()) {
      assertThat(degrees(fill, Fill.Colour.MAJOR)).as(fill.name()).isSubsetOf(MAJOR);
      assertThat(degrees(fill, Fill.Colour.BLUESY)).as(fill.name()).isSubsetOf(BLUESY);
      assertThat(degrees(fill, Fill.Colour.MAJOR))
          .as(fill.name())
          .isNotEqualTo(degrees(fill, Fill.Colour.BLUESY));
    }
  }

  private static Set<Integer> degrees(Fill fill, Fill.Colour colour) {
    return fill.over(colour, 60, NoteName.parse("C").orElseThrow()).notes().stream()
        .flatMap(n -> n.wants().stream())
        .map(w -> ((Want.Sound) w).pitch().midi() % 12)
        .collect(Collectors.toSet());
  }

  /** The chords on I, IV and V of G, C, D, A and E: every fill goes over each, within comfort. */
  @ParameterizedTest
  @ValueSource(strings = {"G", "C", "D", "A", "E", "F", "B"})
  void everyFillIsComfortableOverItsChords(String chord) {
    List<String> hard = new ArrayList<>();
    NoteName root = NoteName.parse(chord).orElseThrow();
    for (Fill fill : FillShelf.all()) {
      for (Fill.Colour colour : Fill.Colour.values()) {
        FittedFill fitted =
            FittedFill.of(ARRANGER, song(chord, fill), new SlotRef(1, 0), root, fill, colour)
                .orElseThrow();
        fitted.hard().forEach(f -> hard.add(fill.name() + ": " + f.finding().message()));
        assertThat(fitted.notes())
            .as(fill.name())
            .hasSameSizeAs(fill.over(colour, 60, root).notes());
      }
    }
    assertThat(hard).isEmpty();
  }

  private static Song song(String chord, Fill fill) {
    Song song = TestSongs.of(chord).withTempo(100);
    return song.withFeel(song.feel().withMeter(new Meter(Math.max(4, fill.beats()), 4)));
  }

  @Test
  void aFillGivesWayToNothingAndTakesNothingBeforeIt() {
    Fill fill = FillShelf.all().get(0);
    NoteName g = NoteName.parse("G").orElseThrow();
    Song song = TestSongs.singing(TestSongs.of("G"), "g3 b d4 b3");
    FittedFill fitted =
        FittedFill.of(ARRANGER, song, new SlotRef(1, 0), g, fill, Fill.Colour.MAJOR).orElseThrow();
    var notes = fitted.song().tune().bars().get(1).notes();
    assertThat(notes.subList(0, 2)).isEqualTo(song.tune().bars().get(1).notes().subList(0, 2));
    assertThat(notes).hasSize(2 + 4);
    assertThat(FittedFill.of(ARRANGER, song, new SlotRef(1, 10080 + 1), g, fill, Fill.Colour.MAJOR))
        .isEmpty();
  }

  @Test
  void whatIsNoFillIsSaidWithItsLine() {
    FillReader.Result read =
        FillReader.read(
            "name: A\nbeats: 2\nmajor: 5 3\nbluesy: 5 b3\n\nname: B\nbeats: 9\nmajor: 1\n"
                + "bluesy: 1\nname: C\nbeats: 1\nmajor: 9\nbluesy: 1\nloud: yes\n");
    assertThat(read.fills()).extracting(Fill::name).containsExactly("A");
    assertThat(read.problems()).extracting(FillReader.Problem::line).containsExactly(6, 14, 10);
  }
}
