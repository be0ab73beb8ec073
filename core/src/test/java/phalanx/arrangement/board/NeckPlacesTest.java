package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapeTrial;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.song.TunePitches;
import phalanx.theory.Key;

class NeckPlacesTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Song holding(String chord, List<Integer> frets) {
    Song song = TestSongs.of(chord).withPattern(AlternatingThumb.THUMB_ALONE);
    Reach reach = new Reach(song.guitar(), song.hand());
    return song.pin(new SlotRef(1, 0), ShapeTrial.of(frets, reach).fingerings().get(0).shape());
  }

  private static Song singing(Song song, int string, int fret) {
    TuneNote note =
        new TuneNote(0, 5040, List.of(new Want.Place(string, fret)), Optional.empty(), List.of());
    return song.withTune(Tune.NONE.with(1, new BarTune(0, List.of(note))));
  }

  /** ① fret 2 is F♯4 in G and G♭4 in D♭; ⑥ open is E2; what is a pitch already stays one. */
  @Test
  void aPlaceIsNamedInTheKeyOfTheSong() {
    Song song = TestSongs.of("C");
    assertThat(pitch(song.withKey(Key.parse("G")), 5, 2)).isEqualTo("F♯4 5");
    assertThat(pitch(song.withKey(Key.parse("Db")), 5, 2)).isEqualTo("G♭4 5");
    assertThat(pitch(song, 0, 0)).isEqualTo("E2 0");
    Want already = TunePitches.of(song, new Want.Place(4, 1));
    assertThat(TunePitches.of(song, already)).isEqualTo(already);
  }

  private static String pitch(Song song, int string, int fret) {
    Want.Sound sound = TunePitches.of(song, new Want.Place(string, fret));
    return sound.pitch() + " " + sound.string().orElseThrow();
  }

  /** Every place of the neck put into a song: what is named is played there, the rest is not. */
  @ParameterizedTest
  @CsvSource({"C, -1 3 2 0 1 0", "F, 1 3 3 2 1 1", "D/F#, 2 0 0 2 3 2", "Am7, 5 -1 5 5 5 -1"})
  void whatIsNamedIsWhatThePlanPlays(String chord, String frets) {
    Song song = holding(chord, List.of(frets.split(" ")).stream().map(Integer::valueOf).toList());
    NeckPlaces places = NeckPlaces.of(ARRANGER.arrange(song), 0);
    assertThat(places.places()).isNotEmpty();
    for (int string = 0; string < 6; string++) {
      for (int fret = 0; fret <= 14; fret++) {
        int s = string;
        int f = fret;
        boolean named = places.places().stream().anyMatch(p -> p.string() == s && p.fret() == f);
        Arrangement a = ARRANGER.arrange(singing(song, s, f));
        boolean played =
            a.notes().stream()
                .anyMatch(n -> n.part() == Note.Part.TUNE && n.string() == s && n.fret() == f);
        assertThat(played).as("string %d fret %d", s, f).isEqualTo(named);
      }
    }
  }

  @Test
  void aPlaceIsNamedInTheKeyOfTheSongFromTheCapo() {
    Song song = TestSongs.of("Eb").withKey(Key.parse("Eb"));
    assertThat((TunePitches.at(song, 5, 4)).pitch()).hasToString("A♭4");
    Song capo = song.withGuitar(song.guitar().withCapo(3));
    assertThat(TunePitches.at(capo, 5, 4)).isEqualTo(TunePitches.at(song, 5, 4));
  }

  @Test
  void whereNothingIsHeldNothingIsNamed() {
    Arrangement a = ARRANGER.arrange(TestSongs.of("N.C."));
    assertThat(NeckPlaces.of(a, 0).places()).isEmpty();
  }
}
