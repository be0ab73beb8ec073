package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.DrawnSongs;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.testing.Draws;

/** Three bars of a song are in short what they are in the song. */
class ExcerptTest {

  @Property(tries = 200)
  void barsKeepTheirChordsTuneTimeAndPattern(
      @ForAll Draws draws, @ForAll @IntRange(max = 40) int which) {
    Song song = DrawnSongs.withTune(draws);
    var bars = song.chart().bars();
    int middle = bars.get(which % bars.size()).id();
    Song part = Excerpt.around(song, Set.of(middle));
    assertThat(part.chart().bars()).extracting(Bar::id).contains(middle).hasSizeBetween(1, 3);
    for (Bar bar : part.chart().bars()) {
      Bar before = song.chart().bar(bar.id()).orElseThrow();
      assertThat(part.chart().changes(bar)).isEqualTo(song.chart().changes(before));
      assertThat(part.tune().at(bar.id(), part.chart()))
          .isEqualTo(song.tune().at(bar.id(), song.chart()));
      assertThat(part.chart().meters(part.meter()).get(bar.id()))
          .isEqualTo(song.chart().meters(song.meter()).get(bar.id()));
      assertThat(part.chart().tempos(part.tempo()).get(bar.id()))
          .isEqualTo(song.chart().tempos(song.tempo()).get(bar.id()));
      for (ChordChange change : part.chart().changes(bar)) {
        SlotRef slot = new SlotRef(bar.id(), change.tick());
        assertThat(part.patterns().at(slot, part.chart()))
            .isEqualTo(song.patterns().at(slot, song.chart()));
      }
      assertThat(Timeline.of(part).lengthOf(bar.id()))
          .isEqualTo(Timeline.of(song).lengthOf(bar.id()));
    }
    assertThat(part.guitar()).isEqualTo(song.guitar());
    assertThat(part.hand()).isEqualTo(song.hand());
  }
}
