package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;
import phalanx.song.Patterns.Scope;

/** A repeat written out: the song is played as before, and the second time stands alone. */
class SecondTimeTest {

  private static final int SECTION = 1000;

  private static List<String> played(Song song) {
    Timeline timeline = Timeline.of(song);
    Stream<String> chords =
        timeline.slots().stream().map(s -> s.tick() + " " + s.lengthTicks() + " " + s.harmony());
    Stream<String> bars =
        timeline.bars().stream()
            .map(
                b ->
                    b.startTick()
                        + " "
                        + b.meter()
                        + " "
                        + b.tempo()
                        + " "
                        + song.tune().at(b.written(), song.chart()));
    return Stream.concat(chords, bars).toList();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "C | G :|",
        "C |: Am | G :|",
        "C | G |1 Am :|2 F |",
        "|: C | . G | . . D7 |1 G :|2 C",
        "C | 3/4 G | . :|",
        "C |: D | 3/4 Em :| 4/4 G | C"
      })
  void itIsPlayedAsBefore(String line) {
    Song song = TestSongs.singing(TestSongs.of(line, "F | C"), "c4 . e .", "d4 . g .");
    SecondTime second = SecondTime.of(song, SECTION).orElseThrow();
    assertThat(played(second.song())).isEqualTo(played(song));
    assertThat(second.song().sections()).hasSize(3);
    assertThat(second.song().chart().bars()).noneMatch(b -> b.plays() > 1);
    assertThat(SecondTime.isPossible(song.chart(), SECTION)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"C | G", "C | G :| x3"})
  void whatIsPlayedOnceOrOftenerThanTwiceStays(String line) {
    Song song = TestSongs.of(line);
    assertThat(SecondTime.of(song, SECTION)).isEmpty();
    assertThat(SecondTime.isPossible(song.chart(), SECTION)).isFalse();
  }

  @Test
  void whatWasSaidOfTheSectionIsSaidOfBoth() {
    Song plain = TestSongs.of("C | G :|");
    Song song =
        plain
            .withDensities(
                Densities.NONE.with(new Scope.OfSection(SECTION), Optional.of(Density.HELD)))
            .withThumb(plain.picking().thumb().with(SECTION, ThumbRoute.STEADY))
            .withTune(plain.tune().withRinging(Set.of(SECTION)))
            .pin(new SlotRef(2, 0), new phalanx.fretting.FretRow(List.of(3, 2, 0, 0, 3, 3)));
    SecondTime second = SecondTime.of(song, SECTION).orElseThrow();
    List<Bar> again = second.song().chart().section(second.section()).orElseThrow().bars();
    for (Bar bar : again) {
      assertThat(second.song().thumbAt(bar.id())).isEqualTo(ThumbRoute.STEADY);
      assertThat(second.song().picking().densities().at(bar.id(), second.song().chart()))
          .contains(Density.HELD);
    }
    assertThat(second.song().tune().ringing()).containsExactlyInAnyOrder(SECTION, second.section());
    assertThat(second.song().pins().frets(new SlotRef(again.get(1).id(), 0)))
        .isEqualTo(song.pins().frets(new SlotRef(2, 0)));
  }
}
