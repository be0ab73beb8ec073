package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.theory.Meter;

class PatternTextTest {

  private static final String GOOD =
      """
      # a remark
      name: Mixed grids
      about: a triplet against eighths
      metre: 3/4
      tune  | . o | . | o |
      inner | o o o | . | . |
      thumb | o | o | . . . . o |
      """;

  @Test
  void readsRowsThatCutTheirBeatsDifferently() {
    PatternReader.Result result = PatternReader.read(GOOD);
    assertThat(result.problems()).isEmpty();
    WrittenPattern pattern = result.patterns().get(0);
    assertThat(pattern.title()).isEqualTo("Mixed grids");
    assertThat(pattern.meter()).isEqualTo(new Meter(3, 4));
    assertThat(pattern.pattern().steps())
        .extracting(Pattern.Step::tick)
        .containsExactly(0, 1680, 2520, 3360, 5040, 10080, 10080 + 4032);
    assertThat(pattern.pattern().steps().get(0).roles())
        .containsExactlyInAnyOrder(Role.INNER, Role.ROOT);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "tune  | . o |; tune  | . ö |; 5; 11; expected o for a stroke",
        "tune  | . o |; tone  | . o |; 5; 1; expected a row",
        "metre: 3/4; metre: 3/5; 4; 8; expected a metre such as 4/4",
        "inner | o o o |; inner | o o o o o o o o o |; 6; 8; expected 1 to 8 parts in a beat, found 9",
        "thumb | o | o | . . . . o |; thumb | o | o |; 2; 1; the rows of",
        "inner |; tune |; 6; 1; the row “tune” stands twice",
        "name: Mixed grids; ; 3; 1; expected “name:” before a pattern"
      })
  void aFaultHasItsPlaceAndTheOtherPatternsStay(
      String right, String wrong, int line, int column, String message) {
    String bad = GOOD.replace(right, wrong == null ? "" : wrong);
    PatternReader.Result result =
        PatternReader.read(bad + "\nname: Good\nthumb | o | o | o | o |\n");
    assertThat(result.patterns()).extracting(WrittenPattern::title).containsExactly("Good");
    PatternReader.Problem first = result.problems().get(0);
    assertThat(first.line()).isEqualTo(line);
    assertThat(first.column()).isEqualTo(column);
    assertThat(first.message()).startsWith(message);
  }

  /** Round trip: what is written is read back as the same strokes. */
  @Property(tries = 300)
  void whatIsWrittenIsReadBack(
      @ForAll @Size(min = 1, max = 14) List<@IntRange(max = 63) Integer> places,
      @ForAll @IntRange(min = 1, max = 8) int parts) {
    List<Role> roles = List.of(Role.ROOT, Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE);
    TreeMap<Integer, TreeSet<Role>> strokes = new TreeMap<>();
    for (int place : places) {
      int tick = place % 8 * 5040 + place / 8 % parts * 5040 / parts;
      strokes.computeIfAbsent(tick, t -> new TreeSet<>()).add(roles.get(place % 5));
    }
    List<Pattern.Step> steps = new ArrayList<>();
    strokes.forEach((tick, set) -> steps.add(new Pattern.Step(tick, new ArrayList<>(set))));
    WrittenPattern pattern =
        new WrittenPattern("p", "", Meter.FOUR_FOUR, new Pattern("p", 40320, steps));
    PatternReader.Result back = PatternReader.read(PatternWriter.write(pattern));
    assertThat(back.problems()).isEmpty();
    WrittenPattern read = back.patterns().get(0);
    assertThat(read.bars()).isEqualTo(2);
    assertThat(read.pattern().steps()).hasSameSizeAs(steps);
    for (int i = 0; i < steps.size(); i++) {
      assertThat(read.pattern().steps().get(i).tick()).isEqualTo(steps.get(i).tick());
      assertThat(read.pattern().steps().get(i).roles())
          .containsExactlyInAnyOrderElementsOf(steps.get(i).roles());
    }
  }

  /** Nothing that is written into a pattern file stops the reader. */
  @Property(tries = 300)
  void anyTextIsRead(@ForAll("texts") String text) {
    PatternReader.read(text)
        .problems()
        .forEach(p -> assertThat(p.line()).isBetween(1, (int) text.lines().count()));
  }

  @Provide
  Arbitrary<String> texts() {
    return Arbitraries.of(
            "name: x", "metre: 6/8", "tune | o |", "thumb", "| o", "o", "", "thumb|.o|", "metre:")
        .list()
        .ofMaxSize(7)
        .map(lines -> String.join("\n", lines));
  }
}
