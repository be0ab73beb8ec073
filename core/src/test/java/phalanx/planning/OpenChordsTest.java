package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.song.TestSongs;

/**
 * First chords are held as everybody holds them, whatever the fingers play over them: no figure is
 * worth a barre where the open chord will do. The shapes are those of every first book (common
 * practice, no source).
 */
class OpenChordsTest {

  private static final Map<String, Set<String>> FIRST =
      Map.ofEntries(
          Map.entry("C", Set.of("x32010", "332010", "x32013", "x3201x")),
          Map.entry("D", Set.of("xx0232", "x00232", "200232")),
          Map.entry("E", Set.of("022100", "02210x")),
          Map.entry("G", Set.of("320003", "320033", "32000x", "3x0003", "3x0033")),
          Map.entry("A", Set.of("x02220", "x0222x")),
          Map.entry("Am", Set.of("x02210", "x0221x")),
          Map.entry("Em", Set.of("022000", "02200x")),
          Map.entry("Dm", Set.of("xx0231", "x00231")),
          Map.entry("D7", Set.of("xx0212", "x00212")),
          Map.entry("E7", Set.of("020100", "022130", "020130")),
          Map.entry("A7", Set.of("x02020", "x0202x", "x02023", "x02223")),
          Map.entry("G7", Set.of("320001", "323001", "32000x")));

  private static final List<List<String>> SONGS =
      List.of(
          List.of("G | Em | C | D | G"),
          List.of("C | Am | Dm | G7 | C"),
          List.of("D | A7 | D | G | D"),
          List.of("E | A | E | D | E"),
          List.of("Am . Em . | Am . E7 . | Am"),
          List.of("G . D . | Em . C . | G"),
          List.of("A . D . | A . E . | A"),
          List.of("E7 | A7 | D7 | G"));

  private static final List<String> ROWS =
      List.of(
          "upper | o | o | o | o |\nthumb | o | o | o | o |\n",
          "upper | . o | . o | . o | . o |\nthumb | o . | o . | o . | o . |\n",
          "tune | . . | . o | . . | . . |\nmiddle | . o | . . | . o | . . |\n"
              + "thumb | o . | o . | o . | o . |\n",
          "tune | . . | . o | . . | . o |\nupper | . . | o . | . . | o . |\n"
              + "middle | . o | . . | . o | . . |\nthumb | o . | . . | o . | . . |\n",
          "middle | . | o | . | o |\nupper | . | o | . | o |\nthumb | o | . | o | . |\n");

  private static List<PickingStyle> styles() {
    List<PickingStyle> all = new ArrayList<>(List.of(AlternatingThumb.values()));
    for (String rows : ROWS) {
      all.addAll(PatternReader.read("name: own\nmetre: 4/4\n" + rows).patterns());
    }
    assertThat(all).hasSize(AlternatingThumb.values().length + ROWS.size());
    return all;
  }

  @Test
  void areHeldAsInEveryFirstBook() {
    int chords = 0;
    List<String> others = new ArrayList<>();
    for (PickingStyle style : styles()) {
      for (List<String> song : SONGS) {
        Arrangement a =
            new Arranger().arrange(TestSongs.of(song.toArray(String[]::new)).withPattern(style));
        for (Slot slot : a.slots()) {
          String chord = slot.played().harmony().label();
          String held = slot.held().fretText();
          chords++;
          if (!FIRST.get(chord).contains(held)) {
            others.add(style.title() + ": " + chord + " " + held);
          }
        }
      }
    }
    assertThat(chords).isGreaterThan(300);
    assertThat(others).as("of %d chords", chords).hasSizeLessThan(chords / 100);
  }
}
