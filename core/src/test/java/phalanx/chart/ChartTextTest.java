package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.TestSongs;
import phalanx.theory.Interval;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

class ChartTextTest {

  private static final Notation FOUR = Notation.in(Meter.FOUR_FOUR);

  private static ChartLine read(String text) {
    return ChartReader.read(text, FOUR, n -> n <= 9 ? Optional.of(n * 100) : Optional.empty());
  }

  private static List<String> chords(Bar bar) {
    return bar.changes().stream().map(c -> c.tick() + " " + c.harmony().label()).toList();
  }

  @Test
  void cellsShareTheirBar() {
    List<Bar> bars = read("| G | D/F# . Em7 . | . . . D7 |").bars();
    assertThat(chords(bars.get(0))).containsExactly("0 G");
    assertThat(chords(bars.get(1))).containsExactly("0 D/F♯", "10080 Em7");
    assertThat(chords(bars.get(2))).containsExactly("15120 D7");
  }

  @Test
  void signsGoToTheirBars() {
    List<Bar> bars = read("|: G |1 C :|2 3/4 D |: A :| x3 =2 . . D7 .").bars();
    assertThat(bars.get(0).repeatStart()).isTrue();
    assertThat(bars.get(1).passes()).containsExactly(1);
    assertThat(bars.get(1).plays()).isEqualTo(2);
    assertThat(bars.get(2).passes()).containsExactly(2);
    assertThat(bars.get(2).meter()).contains(new Meter(3, 4));
    assertThat(bars.get(3).plays()).isEqualTo(3);
    assertThat(bars.get(4).borrows()).contains(200);
    assertThat(chords(bars.get(4))).hasSize(1).first().asString().endsWith("D7");
  }

  @Test
  void sixtyFourChordsFitInABar() {
    ChartLine line = read("C G ".repeat(32));
    assertThat(line.problems()).isEmpty();
    assertThat(line.bars().get(0).changes()).hasSize(64);
  }

  @ParameterizedTest
  @CsvSource({
    "'C | Qx', 4, cannot read the chord “Qx”",
    "'C | Am7q', 7, cannot read the chord “Am7q”",
    "'C D E', 0, expected cells that share a bar of 4/4 evenly",
    "':| C', 0, expected a bar before the repeat ends",
    "'C :| x99', 5, expected a repeat from x2 to x16",
    "'=77 C', 0, expected the number of another bar",
    "'C | D@9/4', 4, expected a place within the bar",
    "'%', 0, expected a bar before %",
    "'|0,1 C', 0, expected an ending"
  })
  void aMistakeHasItsPlaceAndTheRestIsRead(String text, int column, String message) {
    ChartLine line = read(text);
    assertThat(line.problems()).hasSize(1);
    assertThat(line.problems().get(0).column()).isEqualTo(column);
    assertThat(line.problems().get(0).message()).startsWith(message);
  }

  @Test
  void whatIsTypedInTheSoundingViewIsMeantFromTheCapo() {
    Notation sounding = new Notation(Meter.FOUR_FOUR, 0, NoteNaming.ENGLISH, Interval.of(2, 0));
    List<Bar> bars = ChartReader.read("A | E/G#", sounding, Notation.Numbers.NONE).bars();
    assertThat(chords(bars.get(0))).containsExactly("0 G");
    assertThat(chords(bars.get(1))).containsExactly("0 D/F♯");
    assertThat(ChartWriter.line(bars, sounding, Notation.Numbers.NONE)).isEqualTo("| A | E/G♯ |");
  }

  @Provide
  Arbitrary<Bar> bars() {
    Arbitrary<Harmony> harmony =
        Arbitraries.of("C", "F#m7b5", "Bb/D", "E7#9", "N.C.")
            .map(
                s ->
                    s.equals("N.C.")
                        ? new Harmony.NoChord()
                        : new Harmony.Sounding(TestSongs.chord(s)));
    Arbitrary<List<ChordChange>> changes =
        Combinators.combine(
                harmony.list().ofMinSize(8).ofMaxSize(8),
                Arbitraries.of(2520, 5040, 10080, 3360, 1, 4032).set().ofMaxSize(4))
            .as(
                (chords, ticks) -> {
                  List<ChordChange> row = new ArrayList<>();
                  row.add(new ChordChange(0, chords.get(0)));
                  ticks.stream()
                      .sorted()
                      .forEach(t -> row.add(new ChordChange(t, chords.get(row.size()))));
                  return row;
                });
    return Combinators.combine(
            changes, Arbitraries.of(true, false), Arbitraries.of(1, 1, 2, 3), Arbitraries.of(0, 1))
        .as(
            (c, starts, plays, meter) ->
                Bar.of(1, c)
                    .startingRepeat(starts)
                    .endingRepeat(plays)
                    .withMeter(meter == 1 ? Optional.of(new Meter(6, 8)) : Optional.empty()));
  }

  /** The round trip: what is written is read back as the same bars. */
  @Property(tries = 400)
  void whatIsWrittenIsReadBack(@ForAll("bars") Bar first, @ForAll("bars") Bar second) {
    List<Bar> bars = List.of(first, second.withId(2));
    String line = ChartWriter.line(bars, FOUR, Notation.Numbers.NONE);
    ChartLine back = ChartReader.read(line, FOUR, Notation.Numbers.NONE);
    assertThat(back.problems()).as(line).isEmpty();
    assertThat(back.bars()).as(line).isEqualTo(bars);
  }

  @Test
  void endingsAreReadBack() {
    for (String line :
        List.of("|: G |1 C :|2 D |", "|: G |1,2 C | A :|3 D | F |", "| =3 . D7 | 3/4 G |")) {
      List<Bar> bars = read(line).bars();
      assertThat(ChartWriter.line(bars, FOUR, n -> Optional.of(n / 100))).isEqualTo(line);
    }
    assertThat(read("|: G |1,2 C | A :|3 D | F |").bars())
        .extracting(Bar::passes)
        .containsExactly(Set.of(), Set.of(1, 2), Set.of(1, 2), Set.of(3), Set.of());
  }

  /** Nothing a player types stops the reader. */
  @Property(tries = 400)
  void anyTextIsRead(@ForAll("typed") String text) {
    ChartLine line = ChartReader.read(text, FOUR, Notation.Numbers.NONE);
    line.problems().forEach(p -> assertThat(p.column()).isBetween(0, text.length()));
  }

  @Provide
  Arbitrary<String> typed() {
    return Arbitraries.strings().withChars("|:1234 .%=/CGm7#b@x][,-").ofMaxLength(24);
  }
}
