package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeSearch;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** Plans hold chords as players do; the source stands in the first line of the table. */
class ProgressionsTest {

  private static final double SHAPES = 0.95;
  private static final double FINGERINGS = 0.92;

  private static List<String> rows() throws IOException {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                ProgressionsTest.class.getResourceAsStream("progressions.csv"),
                StandardCharsets.UTF_8))) {
      return in.lines().skip(2).toList();
    }
  }

  private static String text(Shape shape) {
    String frets = shape.fretText().replace(" ", "");
    return frets + "=" + shape.fingerText().replace("·", ".");
  }

  @Test
  void commonProgressionsAreHeldAsPlayersHoldThem() throws IOException {
    int chords = 0;
    int shapes = 0;
    int fingerings = 0;
    List<String> others = new ArrayList<>();
    for (String row : rows()) {
      String[] cells = row.split(",", 3);
      Song song = TestSongs.of(cells[1]).withKey(Key.parse(cells[0]));
      String[] usual = cells[2].replace("\"", "").split(" \\| ");
      List<Slot> slots = new Arranger().arrange(song).slots();
      for (int i = 0; i < slots.size(); i++) {
        String held = text(slots.get(i).shape().orElseThrow());
        String frets = held.substring(0, 7);
        List<String> ways = new ArrayList<>();
        for (String shape : usual[i].strip().split(",")) {
          for (String fingers : shape.substring(7).split("/")) {
            ways.add(shape.substring(0, 7) + fingers);
          }
        }
        chords++;
        shapes += ways.stream().anyMatch(w -> w.startsWith(frets)) ? 1 : 0;
        fingerings += ways.contains(held) ? 1 : 0;
        if (!ways.contains(held)) {
          others.add(slots.get(i).played().harmony().label() + " " + held);
        }
      }
    }
    System.out.printf(
        "progressions: %d chords, usual shape %.1f %%, usual fingering %.1f %%; others %s%n",
        chords, 100.0 * shapes / chords, 100.0 * fingerings / chords, others);
    assertThat((double) shapes / chords).isGreaterThanOrEqualTo(SHAPES);
    assertThat((double) fingerings / chords).isGreaterThanOrEqualTo(FINGERINGS);
  }

  /** The open position's usual fingerings come first among the shapes (common practice). */
  @ParameterizedTest
  @CsvSource({
    "D, xx0232=...132",
    "C, x32010=.32.1.",
    "Am, x02210=..231.",
    "E, 022100=.231..",
    "A, x02220=..123.",
    "B7, x21202=.213.4"
  })
  void theUsualFingeringIsShownFirst(String chord, String usual) {
    Song song = TestSongs.of(chord);
    Shape first = ShapeSearch.find(Arranger.query(song, TestSongs.chord(chord))).get(0).shape();
    assertThat(text(first)).isEqualTo(usual);
  }
}
