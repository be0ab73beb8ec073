package phalanx.formats.songfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.tune.TuneLine;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.theory.Ticks;

/** The tune of a pick-up: its cells share what the pick-up has. */
class PickupTuneTest {

  private static Song song(String meter, int pickup, String tune) {
    String text =
        """
        {"format": "phalanx-song", "version": 2, "title": "x",
         "feel": {"meter": "METRE", "tempo": 90, "swingPercent": 50, "pickupTicks": PICKUP},
         "sections": [{"id": 9, "label": "A", "bars": [
           {"id": 1, "chords": [{"tick": 0, "chord": "G"}]},
           {"id": 2, "chords": [{"tick": 0, "chord": "C"}]}]}],
         "tune": [{"bar": 1, "notes": "TUNE"}, {"bar": 2, "notes": "c4 ."}]}
        """
            .replace("METRE", meter)
            .replace("PICKUP", String.valueOf(pickup))
            .replace("TUNE", tune);
    return read(text);
  }

  private static Song read(String text) {
    return ((SongFileReader.Result.Read) SongFileReader.read(text)).song();
  }

  private static List<String> line(Song song) {
    return TuneLine.of(song, Timeline.of(song)).stream()
        .map(n -> n.label() + " " + n.tick() + "–" + n.endTick())
        .toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "4/4 | 5040 | g3 g      | G3 0–2520,G3 2520–5040",
        "4/4 | 5040 | g3        | G3 0–5040",
        "4/4 | 5040 | g3 - - -  | G3 0–5040",
        "4/4 | 5040 | g3 -      | G3 0–2520",
        "3/4 | 5040 | [g3 a] b  | G3 0–1260,A3 1260–2520,B3 2520–5040",
        "6/8 | 2520 | g3        | G3 0–2520",
        "6/8 | 7560 | g3 a b    | G3 0–2520,A3 2520–5040,B3 5040–7560"
      })
  void everyCellIsHeard(String meter, int pickup, String tune, String notes) {
    Song song = song(meter, pickup, tune);
    List<String> heard = line(song);
    assertThat(String.join(",", heard.subList(0, heard.size() - 1))).isEqualTo(notes);
    assertThat(heard.get(heard.size() - 1)).startsWith("C4 " + pickup);
  }

  /** What is written is read back the same, rests at its end included. */
  @Test
  void aPickUpIsKeptAsItIs() {
    for (String tune : List.of("g3 g", "g3 -", "g3 - - -", "- g3", "[g3 a] b")) {
      Song song = song("4/4", Ticks.PER_QUARTER, tune);
      String written = SongFileWriter.write(song);
      assertThat(line(read(written))).as(tune).isEqualTo(line(song));
    }
  }
}
