package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

/**
 * The search against fingered positions from outside; their source stands in the first line of the
 * table. Any bass and a missing root are allowed, because the data does not promise either. Rows
 * with notes foreign to their chord are set aside and named.
 */
class ChordPositionsTest {

  /** Suffixes of the data whose spelling differs from ours, by meaning; "alt" holds a ♭5 triad. */
  private static final Map<String, String> SUFFIXES =
      Map.ofEntries(
          Map.entry("major", ""),
          Map.entry("minor", "m"),
          Map.entry("69", "6/9"),
          Map.entry("m69", "m6/9"),
          Map.entry("alt", "(b5)"),
          Map.entry("7sg", "7/G"),
          Map.entry("aug9", "9#5"),
          Map.entry("aug7", "7#5"),
          Map.entry("mmaj7", "mMaj7"),
          Map.entry("mmaj7b5", "mMaj7b5"),
          Map.entry("mmaj9", "mMaj9"),
          Map.entry("mmaj11", "mMaj11"));

  /** Shapes a player sees first. */
  private static final int SHOWN = 5;

  private record Row(String name, Chord chord, List<Integer> frets, List<Integer> fingers) {}

  private static List<Row> rows(String table) throws IOException {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                ChordPositionsTest.class.getResourceAsStream(table), StandardCharsets.UTF_8))) {
      return in.lines().skip(2).map(ChordPositionsTest::row).toList();
    }
  }

  private static Row row(String line) {
    String[] cells = line.split(",");
    String symbol = cells[0] + SUFFIXES.getOrDefault(cells[1], cells[1]);
    Chord chord = ((ChordReading.Read) ChordReader.read(symbol)).chord();
    List<Integer> frets =
        Stream.of(cells[2].split(" ")).map(f -> f.equals("x") ? -1 : Integer.parseInt(f)).toList();
    List<Integer> fingers = Stream.of(cells[3].split(" ")).map(Integer::valueOf).toList();
    return new Row(cells[0] + " " + cells[1] + " " + cells[2], chord, frets, fingers);
  }

  private static boolean foreign(Row row) {
    for (int s = 0; s < 6; s++) {
      if (row.frets().get(s) >= 0) {
        int chroma = Math.floorMod(Guitar.NYLON.shapeMidi(s, row.frets().get(s)), 12);
        boolean slash = row.chord().bass().chroma() == chroma;
        if (!slash && row.chord().intervalOf(chroma).isEmpty()) {
          return true;
        }
      }
    }
    return false;
  }

  private static ShapeQuery query(Row row) {
    Optional<phalanx.theory.NoteName> bass = row.chord().slash();
    ShapeQuery query = ShapeQuery.of(row.chord(), Guitar.NYLON, Hand.MEDIUM);
    return query.withBass(bass).withRootless().withoutThumb();
  }

  private static List<Integer> fingers(Shape shape) {
    List<Integer> fingers = new ArrayList<>();
    for (int s = 0; s < 6; s++) {
      fingers.add(shape.finger(s).map(Enum::ordinal).orElse(0));
    }
    return fingers;
  }

  /**
   * The position the data gives first for a chord is among the first shapes a player is shown.
   * Where the data's position does not stand on the chord's bass, any bass is asked for.
   */
  @Test
  void ranksTheFirstPositionOfEachChordHigh() throws IOException {
    List<String> late = new ArrayList<>();
    int asked = 0;
    for (Row row : rows("first-positions.csv")) {
      if (foreign(row)) {
        continue;
      }
      asked++;
      ShapeQuery usual = ShapeQuery.of(row.chord(), Guitar.NYLON, Hand.MEDIUM);
      List<RatedShape> shown =
          ShapeSearch.find(onItsBass(row) ? usual : query(row)).candidates(SHOWN, 1);
      if (shown.stream().noneMatch(r -> frets(r.shape()).equals(row.frets()))) {
        late.add(row.name());
      }
    }
    double share = 1 - late.size() / (double) asked;
    System.out.printf(
        "first positions: %d chords asked; the first position is among our first %d for %.1f %%%n"
            + "  later: %s%n",
        asked, SHOWN, 100 * share, late);
    assertThat(share).isGreaterThanOrEqualTo(0.85);
  }

  private static boolean onItsBass(Row row) {
    int low = 0;
    while (row.frets().get(low) < 0) {
      low++;
    }
    int chroma = Math.floorMod(Guitar.NYLON.shapeMidi(low, row.frets().get(low)), 12);
    return chroma == row.chord().bass().chroma();
  }

  private static List<Integer> frets(Shape shape) {
    List<Integer> frets = new ArrayList<>();
    for (int s = 0; s < 6; s++) {
      frets.add(shape.fret(s).orElse(Shape.SILENT));
    }
    return frets;
  }

  @Test
  void findsTheKnownPositionsAndFingersThemAsPlayersDo() throws IOException {
    Map<ShapeQuery, RankedShapes> searched = new HashMap<>();
    List<String> aside = new ArrayList<>();
    List<String> missed = new ArrayList<>();
    int asked = 0;
    int same = 0;
    for (Row row : rows("chord-positions.csv")) {
      if (foreign(row)) {
        aside.add(row.name());
        continue;
      }
      asked++;
      RankedShapes shapes = searched.computeIfAbsent(query(row), ShapeSearch::find);
      Optional<RatedShape> found = shapes.fingering(row.frets());
      if (found.isEmpty()) {
        missed.add(row.name());
      } else if (fingers(found.get().shape()).equals(row.fingers())) {
        same++;
      }
    }
    double foundShare = 1 - missed.size() / (double) asked;
    double sameShare = same / (double) asked;
    System.out.printf(
        "chord positions: %d asked, %d set aside for foreign notes; %.1f %% found, %.1f %% with the"
            + " same first fingering%n  set aside: %s%n  not found: %s%n",
        asked, aside.size(), 100 * foundShare, 100 * sameShare, aside, missed);
    assertThat(foundShare).isGreaterThanOrEqualTo(0.97);
    assertThat(sameShare).isGreaterThanOrEqualTo(0.85);
  }
}
