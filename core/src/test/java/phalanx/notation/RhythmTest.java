package phalanx.notation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import phalanx.theory.Meter;

class RhythmTest {

  private static List<Rhythm.Span> spans(Integer... times) {
    List<Rhythm.Span> spans = new ArrayList<>();
    for (int i = 1; i < times.length; i++) {
      spans.add(new Rhythm.Span(times[i - 1], times[i]));
    }
    return spans;
  }

  private static String words(List<Rhythm.Piece> pieces) {
    return String.join(
        " ",
        pieces.stream()
            .map(
                p ->
                    p.value().type()
                        + (p.value().dotted() ? "." : "")
                        + p.ratio().map(r -> ":" + r.actual() + "/" + r.normal()).orElse(""))
            .toList());
  }

  /** Tuplets as theory books write them: three in the time of two, five in the time of four. */
  @Test
  void writesTripletsAndQuintupletsAsEverybodyDoes() {
    assertThat(words(Rhythm.of(spans(0, 1680, 3360, 5040, 10080), Meter.FOUR_FOUR)))
        .isEqualTo("eighth:3/2 eighth:3/2 eighth:3/2 quarter");
    assertThat(words(Rhythm.of(spans(0, 1008, 2016, 3024, 4032, 5040), Meter.FOUR_FOUR)))
        .isEqualTo("16th:5/4 16th:5/4 16th:5/4 16th:5/4 16th:5/4");
    assertThat(words(Rhythm.of(spans(0, 3360, 5040), Meter.FOUR_FOUR)))
        .isEqualTo("quarter:3/2 eighth:3/2");
    assertThat(words(Rhythm.of(spans(0, 2520, 5040, 7560), new Meter(6, 8))))
        .isEqualTo("eighth eighth eighth");
    assertThat(words(Rhythm.of(spans(0, 1512, 3024, 4536, 6048, 7560), new Meter(6, 8))))
        .isEqualTo("16th:5/6 16th:5/6 16th:5/6 16th:5/6 16th:5/6");
  }

  /** Law: the pieces of every span last exactly as long, whatever grids meet in a beat. */
  @Property
  void everySpanIsWrittenInFull(
      @ForAll @Size(min = 1, max = 12) List<@IntRange(max = 255) Integer> places) {
    TreeSet<Integer> times = new TreeSet<>(List.of(0, 4 * 5040));
    for (int place : places) {
      int parts = 1 + place / 32;
      times.add(place % 4 * 5040 + place / 4 % parts * 5040 / parts);
    }
    List<Rhythm.Span> spans = spans(times.toArray(Integer[]::new));
    int[] lengths = new int[spans.size()];
    int opened = 0;
    for (Rhythm.Piece piece : Rhythm.of(spans, Meter.FOUR_FOUR)) {
      lengths[piece.span()] += piece.ticks();
      opened += piece.opens() ? 1 : 0;
      opened -= piece.closes() ? 1 : 0;
      assertThat(opened).isBetween(0, 1);
    }
    assertThat(opened).isZero();
    for (int s = 0; s < lengths.length; s++) {
      assertThat(lengths[s]).isEqualTo(spans.get(s).to() - spans.get(s).from());
    }
  }
}
