package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.testing.Draws;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Interval;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** Whatever bars there are, their text is read back as the same bars. */
class ChartTextLawsTest {

  private static final List<String> CHORDS =
      List.of("C", "G7", "Dm7b5", "F#m/C#", "Bbmaj7", "A7(b9,#11)", "Esus4", "Cdim7");

  /** What is no chord, and what would be something else where it stood alone. */
  private static final List<String> UNREAD =
      List.of(
          "Qx", "x3", "%", "=5", "3/4", "q=80", "H#", "?", "C@1/2", "n.c.", "/", ".", "1,2", ":");

  @Property(tries = 3000)
  void everyRowOfBarsIsReadBack(@ForAll Draws draws) {
    List<Bar> bars = bars(draws);
    NoteNaming naming = draws.of(List.of(NoteNaming.values()));
    Notation notation = new Notation(Meter.FOUR_FOUR, 0, naming, Interval.UNISON);
    String line = ChartWriter.line(bars, notation, Optional::of);
    ChartLine read = ChartReader.read(line, notation, Optional::of);
    assertThat(read.bars()).as(line).isEqualTo(bars);
    assertThat(ChartWriter.line(read.bars(), notation, Optional::of)).isEqualTo(line);
  }

  /** An ending of two bars behind the repeat sign. */
  @Example
  void anEndingOfSeveralBarsStaysOne() {
    Notation notation = Notation.in(Meter.FOUR_FOUR);
    String line = "|: C |1 D :|2 D |2 D |";
    List<Bar> bars = ChartReader.read(line, notation, Notation.Numbers.NONE).bars();
    assertThat(bars).extracting(Bar::passes).endsWith(Set.of(1), Set.of(2), Set.of(2));
    assertThat(ChartWriter.line(bars, notation, Notation.Numbers.NONE)).isEqualTo(line);
  }

  private static List<Bar> bars(Draws draws) {
    List<Bar> bars = new ArrayList<>();
    Meter meter = Meter.FOUR_FOUR;
    int count = 1 + draws.nextInt(9);
    for (int id = 1; id <= count; id++) {
      Optional<Meter> other =
          draws.nextInt(5) == 1
              ? Meter.parse(draws.of(List.of("3/4", "6/8", "7/8", "2/2", "5/4")))
              : Optional.empty();
      meter = other.orElse(meter);
      Bar bar = Bar.of(id, changes(draws, meter.barTicks())).withMeter(other);
      if (draws.nextInt(6) == 1) {
        bar = bar.withTempo(Optional.of((40_000 + draws.nextInt(160_000)) / 1000.0));
      }
      if (draws.nextInt(6) == 1) {
        bar = bar.borrowing(Optional.of(1 + draws.nextInt(9)));
      }
      bar = bar.startingRepeat(draws.nextInt(4) == 1);
      bar = draws.nextInt(3) == 1 ? bar.inPasses(passes(draws)) : bar;
      bars.add(draws.nextInt(3) == 1 ? bar.endingRepeat(2 + draws.nextInt(15)) : bar);
    }
    return bars;
  }

  private static Set<Integer> passes(Draws draws) {
    Set<Integer> passes = new TreeSet<>();
    for (int i = draws.nextInt(3); i >= 0; i--) {
      passes.add(1 + draws.nextInt(draws.nextBoolean() ? 3 : Bar.MOST_PLAYS));
    }
    return passes;
  }

  private static List<ChordChange> changes(Draws draws, int length) {
    TreeMap<Integer, ChordChange> changes = new TreeMap<>();
    for (int i = draws.nextInt(4); i > 0; i--) {
      int parts = draws.of(List.of(1, 2, 4, 8, 7, length));
      int tick = length / parts * draws.nextInt(parts);
      changes.put(tick, new ChordChange(tick, harmony(draws)));
    }
    return List.copyOf(changes.values());
  }

  private static Harmony harmony(Draws draws) {
    return switch (draws.nextInt(6)) {
      case 0 -> new Harmony.NoChord();
      case 1 -> new Harmony.Unread(draws.of(UNREAD));
      default ->
          new Harmony.Sounding(((ChordReading.Read) ChordReader.read(draws.of(CHORDS))).chord());
    };
  }
}
