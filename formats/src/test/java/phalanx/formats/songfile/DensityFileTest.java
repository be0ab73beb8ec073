package phalanx.formats.songfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;
import phalanx.song.Densities;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.song.ThumbRoutes;

/** How much is played where, as it stands in a song file. */
class DensityFileTest {

  private static Song song() {
    return ChordProReader.read("{sog}\n| C | G | C |\n{eog}\n").song();
  }

  private static SongFileReader.Result.Read read(String text) {
    return (SongFileReader.Result.Read) SongFileReader.read(text);
  }

  @Test
  void whatIsSaidComesBack() {
    Song song = song();
    int section = song.sections().get(0).id();
    int bar = song.chart().bars().get(1).id();
    Densities densities =
        Densities.NONE
            .with(new Scope.WholeSong(), Optional.of(Density.HELD))
            .with(new Scope.OfSection(section), Optional.of(Density.FULL))
            .with(new Scope.OfBar(bar), Optional.of(Density.THUMB));
    String text = SongFileWriter.write(song.withDensities(densities));
    assertThat(read(text).problems()).isEmpty();
    assertThat(read(text).song().picking().densities()).isEqualTo(densities);
    assertThat(SongFileWriter.write(song)).doesNotContain("densities");
  }

  /** One that is none is said with its place; the others count. */
  @Test
  void aWrongNumberIsSaidAndTheRestKept() {
    Song song = song();
    int bar = song.chart().bars().get(1).id();
    Densities densities =
        Densities.NONE
            .with(new Scope.WholeSong(), Optional.of(Density.HELD))
            .with(new Scope.OfBar(bar), Optional.of(Density.THUMB));
    String text = SongFileWriter.write(song.withDensities(densities));
    String wrong = text.replaceFirst("\"density\" *: *0", "\"density\" : 7");
    assertThat(wrong).isNotEqualTo(text);
    SongFileReader.Result.Read read = read(wrong);
    assertThat(read.problems()).hasSize(1);
    assertThat(read.problems().get(0).toString()).contains("density");
    assertThat(read.song().picking().densities())
        .isEqualTo(Densities.NONE.with(new Scope.WholeSong(), Optional.of(Density.HELD)));
  }

  /** So does another way of the thumb in one section; without one the file says nothing of it. */
  @Test
  void aSectionsOwnThumbComesBack() {
    Song song = song();
    ThumbRoutes thumb =
        song.picking().thumb().with(song.sections().get(0).id(), ThumbRoute.WALKING);
    String text = SongFileWriter.write(song.withThumb(thumb));
    assertThat(read(text).problems()).isEmpty();
    assertThat(read(text).song().picking().thumb()).isEqualTo(thumb);
    assertThat(SongFileWriter.write(song)).doesNotContain("sectionThumbs");
    SongFileReader.Result.Read wrong = read(text.replace("\"walking\"", "\"running\""));
    assertThat(wrong.problems()).hasSize(1);
    assertThat(wrong.song().thumb()).isEqualTo(song.thumb());
  }
}
