package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/**
 * Frets pinned without fingers are fingered as a player would (common practice, no source): a
 * finger that can stay on its string stays on it.
 */
class PinnedFretsTest {

  private static FretRow row(String frets) {
    return new FretRow(
        List.of(frets.trim().split(" ")).stream()
            .map(f -> f.equals("x") ? Shape.SILENT : Integer.parseInt(f))
            .toList());
  }

  private static Arrangement pinned(String chords, String... rows) {
    Song song = TestSongs.of(chords);
    for (int r = 0; r < rows.length; r++) {
      song = song.pin(new SlotRef(r + 1, 0), row(rows[r]));
    }
    return new Arranger().arrange(song);
  }

  /** G is usually 2·1·3 or 3·2·4; before it the third finger was on ⑤, so the second goes there. */
  @Test
  void theFretsAreKeptAndTheUsualFingersTaken() {
    Arrangement a = pinned("| C | G | Am |", "x 3 2 0 1 0", "3 2 0 0 0 3", "x 0 2 2 1 0");
    assertThat(a.slots().stream().map(s -> s.held().toString()))
        .containsExactly("x32010 ·32·1·", "320003 32···4", "x02210 ··231·");
    assertThat(a.slots()).allMatch(Slot::pinned);
  }

  /** Pairs that slide down two strings: sixths on ③ and ①, thirds on ② and ①, tenths. */
  @ParameterizedTest
  @CsvSource({
    "3, x x x 9 x 8 | x x x 7 x 7 | x x x 5 x 5 | x x x 4 x 3",
    "5, x x x x 8 7 | x x x x 6 5 | x x x x 5 3 | x x x x 3 1",
    "1, x 12 x x 13 x | x 10 x x 12 x | x 8 x x 10 x | x 7 x x 8 x"
  })
  void aFingerStaysOnItsStringAllTheWay(int string, String rows) {
    Arrangement a = pinned("| C | C | C | C |", rows.split("\\|"));
    List<Optional<?>> fingers =
        a.slots().stream().<Optional<?>>map(s -> s.held().finger(string)).toList();
    assertThat(fingers.stream().distinct().collect(Collectors.toList()))
        .as("%s", a.slots().stream().map(Slot::held).toList())
        .hasSize(1);
  }

  @Test
  void fretsThatNoHandTakesAreSaid() {
    Arrangement a = pinned("| C |", "1 x x 9 x 14");
    assertThat(a.slots().get(0).remarks()).anyMatch(r -> r.contains("cannot be held"));
    assertThat(a.slots().get(0).shape()).isPresent();
  }
}
